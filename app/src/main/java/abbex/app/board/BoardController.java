package abbex.app.board;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.VehicleFacts;
import abbex.app.drawing.Outline;
import abbex.app.measure.JobSheets;
import abbex.app.measure.Progress;
import abbex.app.measure.Sheets;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.core.units.Length;
import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
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
    private final People people;
    private final Words words;
    private final Clock clock;

    BoardController(Jobs jobs, Sheets sheets, People people, Words words, Clock clock) {
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
            String to) {

        /** What the margin says of it: the return that is overdue, else the worst finding. */
        public String headline() {
            return late ? act : detail;
        }

        public String after() {
            return late ? name : act;
        }
    }

    @GetMapping("/")
    String floor(@Me Person me, Model model) {
        fill(me, model);
        return "board";
    }

    private void fill(Person me, Model model) {
        Reader reader = Reader.of(me);
        List<Standing> bays = new ArrayList<>();
        List<Standing> waiting = new ArrayList<>();
        List<Standing> out = new ArrayList<>();
        List<Job> floor = jobs.onTheFloor(me.shop());
        Map<UUID, JobSheets> all =
                sheets.of(me.shop(), floor.stream().map(Job::id).toList());
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
        first.removeIf(s -> !s.mark().equals("look"));
        model.addAttribute("bays", bays);
        model.addAttribute("waiting", waiting);
        model.addAttribute("out", out);
        model.addAttribute("first", first);
        model.addAttribute("gone", jobs.finished(me.shop()));
        model.addAttribute("people", people.ofShop(me.shop()));
        model.addAttribute("places", Job.Place.values());
        model.addAttribute("today", reader.full(clock.instant()));
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
        String detail = out ? progress.summary() : progress.detail();
        String mark = late ? "look" : out ? "" : progress.mark();
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
                out || progress.complete() && !progress.mark().equals("look") ? "sheet" : "measure");
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
    ModelAndView move(
            @Me Person me,
            @PathVariable UUID id,
            @RequestParam Job.Place place,
            @RequestParam(defaultValue = "") String bay,
            @RequestParam(defaultValue = "") String holder,
            @RequestParam(defaultValue = "") String due,
            Model model) {
        jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        UUID by = people.ofShop(me.shop()).stream()
                .map(Person::id)
                .filter(p -> p.toString().equals(holder))
                .findFirst()
                .orElse(null);
        String problem = bay.length() > 20 ? words.say("problem.long.20") : null;
        LocalDate day = null;
        try {
            day = due.isBlank() ? null : LocalDate.parse(due.strip());
        } catch (DateTimeParseException none) {
            problem = words.say("problem.due", Reader.of(me), "read", due);
        }
        if (problem != null) {
            fill(me, model);
            ModelAndView page = new ModelAndView("board", HttpStatus.valueOf(422));
            page.addAllObjects(model.asMap());
            page.addObject("problem", problem);
            page.addObject("problemJob", id);
            return page;
        }
        jobs.move(me.shop(), id, new Job.Where(place, place == Job.Place.BAY ? bay.strip() : ""), by, day);
        return new ModelAndView("redirect:/");
    }
}
