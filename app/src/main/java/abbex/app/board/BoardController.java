package abbex.app.board;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.VehicleFacts;
import abbex.app.drawing.Outline;
import abbex.app.form.Form;
import abbex.app.measure.JobSheets;
import abbex.app.measure.Progress;
import abbex.app.measure.Sheets;
import abbex.app.page.JobMark;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.verdict.JobVerdicts;
import abbex.core.units.Length;
import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The floor: vehicles where they stand, each with its next act and who holds it. */
@Controller
class BoardController {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    private final Jobs jobs;
    private final Sheets sheets;
    private final JobVerdicts verdicts;
    private final People people;
    private final Words words;
    private final Clock clock;

    BoardController(Jobs jobs, Sheets sheets, JobVerdicts verdicts, People people, Words words, Clock clock) {
        this.verdicts = verdicts;
        this.jobs = jobs;
        this.sheets = sheets;
        this.people = people;
        this.words = words;
        this.clock = clock;
    }

    /**
     * A vehicle as it stands on the floor.
     *
     * @param stretch how much longer than its outline's wheelbase it is
     * @param rearX where the rear wheel stands, in millimetres behind the front one
     * @param wheel how much larger than the drawn wheel its wheels are
     * @param mark of the worst finding; empty for none
     * @param to the station where the next act is done
     * @param see where the worst finding is seen to
     * @param moves the edition of where it stands
     */
    record Standing(
            UUID id,
            String plate,
            String name,
            String shape,
            String stretch,
            String rearX,
            String wheel,
            String act,
            String detail,
            String mark,
            String word,
            String holder,
            @Nullable UUID holderId,
            String place,
            String bay,
            String due,
            boolean late,
            String to,
            String see,
            int moves) {

        /** What the margin says of it: a stop, the return that is overdue, else the worst finding. */
        public String headline() {
            return late && !mark.equals("stop") ? act : detail;
        }

        public String after() {
            return late && !mark.equals("stop") ? name : act;
        }
    }

    @GetMapping("/")
    ModelAndView floor(@Me Person me) {
        return page(me, Form.blank(me, words), null);
    }

    /**
     * The floor.
     *
     * @param moving the stay whose move was not taken
     */
    private ModelAndView page(Person me, Form form, @Nullable UUID moving) {
        ModelAndView model = form.on(new ModelAndView("board"));
        Reader reader = form.reader();
        List<Standing> bays = new ArrayList<>();
        List<Standing> waiting = new ArrayList<>();
        List<Standing> out = new ArrayList<>();
        List<Job> floor = jobs.onTheFloor(me.shop());
        Map<UUID, JobSheets> all = sheets.of(me.shop(), floor);
        for (Job job : floor) {
            Progress progress = sheets.progress(job, all.getOrDefault(job.id(), JobSheets.NONE), reader);
            Standing standing = standing(me, job, progress);
            switch (job.where().place()) {
                case BAY -> bays.add(standing);
                case WAITING -> waiting.add(standing);
                default -> out.add(standing);
            }
        }
        List<Standing> first = new ArrayList<>(bays);
        first.addAll(waiting);
        first.addAll(out);
        first.removeIf(s -> !s.mark().equals("look") && !s.mark().equals("stop"));
        // The worst first; within it bays before those that wait, and these before those that are out.
        first.sort(Comparator.comparing(s -> !s.mark().equals("stop")));
        model.addObject("bays", bays);
        model.addObject("waiting", waiting);
        model.addObject("out", out);
        model.addObject("first", first);
        model.addObject("gone", jobs.finished(me.shop()));
        model.addObject("people", people.ofShop(me.shop()));
        model.addObject("places", Job.Place.values());
        model.addObject("moving", moving);
        model.addObject("today", reader.full(clock.instant()));
        return model;
    }

    private Standing standing(Person me, Job job, Progress progress) {
        boolean out = job.where().place() == Job.Place.OUT;
        LocalDate due = job.dueBack();
        boolean late = out && (due == null || due.isBefore(jobs.today(me.likes().zone())));
        String act = !out
                ? progress.act()
                : due == null
                        ? words.say("next.back.unset")
                        : words.say(late ? "next.back.late" : "next.back", Reader.of(me), "day", DAY.format(due));
        JobMark judged = verdicts.mark(job, Reader.of(me));
        boolean stop = judged.mark().equals("stop");
        // What left the shop with its sheet was answered for; a stop stays in sight there too.
        String detail = !judged.mark().isEmpty() && (stop || !out)
                ? judged.title()
                : out ? progress.summary() : progress.detail();
        String mark =
                stop ? "stop" : late ? "look" : out ? "" : judged.mark().isEmpty() ? progress.mark() : judged.mark();
        return new Standing(
                job.id(),
                job.vehicle().plate(),
                job.vehicle().name(),
                job.vehicle().shape().name().toLowerCase(Locale.ROOT),
                number(wheelbase(job.vehicle()) / drawn(job.vehicle())),
                number(wheelbase(job.vehicle())),
                job.vehicle().shape() == VehicleFacts.Shape.PICKUP ? "1.23" : "1",
                act,
                Numerals.html(detail),
                mark,
                mark.isEmpty() ? "" : words.say("severity." + mark.toUpperCase(Locale.ROOT)),
                job.holderInitials(),
                job.holder(),
                job.where().place().name(),
                job.where().bay(),
                due == null ? "" : due.toString(),
                late,
                out || progress.complete() && !mark.equals("look") && !mark.equals("stop") ? "sheet" : "measure",
                judged.station().isEmpty() ? "measure" : judged.station(),
                job.edition().moves());
    }

    /** The wheelbase that the outline was drawn with, in millimetres. */
    private static double drawn(VehicleFacts vehicle) {
        return Outline.of(vehicle.shape().name().toLowerCase(Locale.ROOT)).wheelbase();
    }

    /** The vehicle's own wheelbase as far as an outline can be stretched to it. */
    private static double wheelbase(VehicleFacts vehicle) {
        double drawn = drawn(vehicle);
        double own =
                vehicle.measure(VehicleFacts.Measure.WHEELBASE).map(Length::mm).orElse(drawn);
        return Math.min(1.25 * drawn, Math.max(0.8 * drawn, own));
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.4f", value);
    }

    @PostMapping("/jobs/{id}/move")
    ModelAndView move(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        Form form = new Form(me, words, parameters);
        Job.Place place = form.choice("place", Job.Place.values(), job.where().place());
        String bay = form.line("bay", 20);
        LocalDate due = form.day("due");
        UUID holder = people.ofShop(me.shop()).stream()
                .map(Person::id)
                .filter(p -> p.toString().equals(form.text("holder")))
                .findFirst()
                .orElse(null);
        Job.Where where = new Job.Where(place, place == Job.Place.BAY ? bay : "");
        if (form.fits() && !jobs.move(me.shop(), id, where, holder, due, form.edition())) {
            Job standing = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
            form.meanwhile(standing.edition().moves(), texts(standing));
        }
        return form.fits() ? new ModelAndView("redirect:/") : page(me, form, id);
    }

    /** What the fields of a move hold. */
    private static Map<String, String> texts(Job job) {
        return Map.of(
                "place",
                job.where().place().name(),
                "bay",
                job.where().bay(),
                "holder",
                job.holder() == null ? "" : job.holder().toString(),
                "due",
                job.dueBack() == null ? "" : job.dueBack().toString());
    }
}
