package abbex.app.board;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.VehicleFacts;
import abbex.app.drawing.Outline;
import abbex.app.form.Form;
import abbex.app.kit.Kits;
import abbex.app.measure.JobSheets;
import abbex.app.measure.Progress;
import abbex.app.measure.Sheets;
import abbex.app.page.JobMark;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.parts.PartsAwaited;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.rules.Bays;
import abbex.app.rules.ShopRules;
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
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** The floor as one screen: bays in their order with the free ones, those that wait, and the road of those that are out. */
@Component
class FloorPage {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
    /** So many of the worst stand in the margin; the rest folds. */
    private static final int FIRST = 5;
    /** So many days ahead somebody is due soon (ours). */
    private static final int SOON = 7;

    private final Jobs jobs;
    private final Sheets sheets;
    private final JobVerdicts verdicts;
    private final People people;
    private final Bays bays;
    private final Kits kits;
    private final PartsAwaited parts;
    private final Words words;
    private final Clock clock;

    FloorPage(
            Jobs jobs,
            Sheets sheets,
            JobVerdicts verdicts,
            People people,
            Bays bays,
            Kits kits,
            PartsAwaited parts,
            Words words,
            Clock clock) {
        this.jobs = jobs;
        this.sheets = sheets;
        this.verdicts = verdicts;
        this.people = people;
        this.bays = bays;
        this.kits = kits;
        this.parts = parts;
        this.words = words;
        this.clock = clock;
    }

    /**
     * What of the floor is asked for.
     *
     * @param mine only what the person has
     * @param moving the stay whose place is being changed
     * @param moved the stay that was just moved
     */
    record Shown(boolean mine, @Nullable UUID moving, Form form, Optional<UUID> moved) {}

    /**
     * A bay.
     *
     * @param lift its name says that it has one
     * @param stands who stands there; empty where it is free
     */
    record Bay(String name, boolean lift, List<Standing> stands) {
        public boolean free() {
            return stands.isEmpty();
        }
    }

    /** @param before where the vehicle that was just moved stood */
    ModelAndView of(Person me, Shown shown, Job.Where before) {
        ModelAndView model = shown.form().on(new ModelAndView("board"));
        Reader reader = shown.form().reader();
        List<Job> floor = jobs.onTheFloor(me.shop());
        Map<UUID, JobSheets> all = sheets.of(floor);
        Map<UUID, String> arrivals = kits.arrivals(me.shop());
        List<Standing> everybody = floor.stream()
                .map(job -> standing(
                        me,
                        job,
                        sheets.progress(job, all.getOrDefault(job.id(), JobSheets.NONE), reader),
                        parts(job, all.get(job.id()), arrivals.get(job.id()), reader)))
                .toList();
        List<Standing> seen =
                everybody.stream().filter(s -> !shown.mine() || s.mine()).toList();
        List<Standing> first = first(seen);
        model.addObject("bays", bays(me, everybody, seen));
        model.addObject("waiting", at(seen, Job.Place.WAITING).toList());
        model.addObject("out", road(seen));
        model.addObject("first", first.subList(0, Math.min(FIRST, first.size())));
        model.addObject("later", first.subList(Math.min(FIRST, first.size()), first.size()));
        model.addObject("gone", jobs.finished(me.shop()));
        model.addObject("mine", shown.mine());
        model.addObject("ofMine", everybody.stream().filter(Standing::mine).count());
        model.addObject("ofAll", everybody.size());
        model.addObject("people", people.ofShop(me.shop()));
        model.addObject("places", Job.Place.values());
        model.addObject(
                "moving",
                everybody.stream()
                        .filter(s -> s.id().equals(shown.moving()))
                        .findFirst()
                        .orElse(null));
        model.addObject(
                "moved", shown.moved().flatMap(id -> jobs.find(me.shop(), id)).orElse(null));
        model.addObject("before", before);
        model.addObject("today", reader.full(clock.instant()));
        return model;
    }

    private static Stream<Standing> at(List<Standing> all, Job.Place place) {
        return all.stream().filter(s -> s.place().equals(place.name()));
    }

    private List<Bay> bays(Person me, List<Standing> everybody, List<Standing> seen) {
        List<String> stood = at(everybody, Job.Place.BAY).map(Standing::bay).toList();
        List<Bay> shown = new ArrayList<>();
        for (Bays.Bay bay : bays.of(me.shop(), stood)) {
            List<Standing> here = at(everybody, Job.Place.BAY)
                    .filter(s -> ShopRules.bayKey(s.bay()).equals(bay.key()))
                    .toList();
            List<Standing> asked = here.stream().filter(seen::contains).toList();
            // Where another's vehicle stands that was not asked for, the bay is not free.
            if (here.isEmpty() || !asked.isEmpty()) {
                shown.add(new Bay(bay.name(), bay.lift(), asked));
            }
        }
        return shown;
    }

    /** A stretch of the road. */
    record Stretch(String name, List<Standing> stands) {}

    /** On the way, due within the week, overdue: whoever is due first stands first. */
    private List<Stretch> road(List<Standing> seen) {
        List<Standing> out = at(seen, Job.Place.OUT)
                .sorted(Comparator.comparing((Standing s) -> s.due().isEmpty() ? "9" : s.due()))
                .toList();
        return Stream.of(
                        new Stretch("late", out.stream().filter(Standing::late).toList()),
                        new Stretch(
                                "soon",
                                out.stream().filter(s -> !s.late() && s.soon()).toList()),
                        new Stretch(
                                "settling",
                                out.stream().filter(s -> !s.late() && !s.soon()).toList()))
                .filter(stretch -> !stretch.stands().isEmpty())
                .toList();
    }

    /** The worst first; within it bays before those that wait, and these before those that are out. */
    private static List<Standing> first(List<Standing> seen) {
        return Stream.of(Job.Place.BAY, Job.Place.WAITING, Job.Place.OUT)
                .flatMap(place -> at(seen, place))
                .filter(s -> s.mark().equals("look") || s.mark().equals("stop"))
                .sorted(Comparator.comparing(s -> !s.mark().equals("stop")))
                .toList();
    }

    /** When the parts come, for as long as the vehicle does not stand on them; empty where nobody said, or they are in. */
    private String parts(Job job, @Nullable JobSheets sheets, @Nullable String when, Reader reader) {
        boolean in = sheets != null
                && sheets.sheets().stream().anyMatch(sheet -> sheet.stage().lowered());
        if (in) {
            return "";
        }
        String waits = parts.waits(job, reader);
        return !waits.isEmpty() || when == null ? waits : words.say("board.parts", reader, "when", when);
    }

    /** Clear is said of what was looked at whole. */
    private String mark(Job job, JobMark judged, Progress progress) {
        if (!judged.mark().isEmpty()) {
            return judged.mark();
        }
        boolean whole = verdicts.of(job).open().isEmpty();
        return progress.mark().equals("clear") && !whole ? "" : progress.mark();
    }

    private Standing standing(Person me, Job job, Progress progress, String parts) {
        boolean out = job.where().place() == Job.Place.OUT;
        LocalDate due = job.dueBack();
        LocalDate today = jobs.today(me.likes().zone());
        boolean late = out && (due == null || due.isBefore(today));
        Reader reader = Reader.of(me);
        JobMark judged = verdicts.mark(job, reader);
        boolean stop = judged.mark().equals("stop");
        JobMark.Work next = judged.work();
        // What left the shop with its sheet was answered for; a stop stays in sight there too.
        String detail = !judged.mark().isEmpty() && (stop || !out)
                ? judged.title()
                : out ? progress.summary() : progress.detail();
        String mark = stop ? "stop" : late ? "look" : out ? "" : mark(job, judged, progress);
        return new Standing(
                job.id(),
                job.vehicle().plate(),
                job.vehicle().name(),
                job.vehicle().shape().name().toLowerCase(Locale.ROOT),
                number(wheelbase(job.vehicle()) / drawn(job.vehicle())),
                number(wheelbase(job.vehicle())),
                job.vehicle().shape() == VehicleFacts.Shape.PICKUP ? "1.23" : "1",
                out ? back(due, late, reader) : next == null ? parts.isEmpty() ? progress.act() : parts : next.next(),
                Numerals.html(next == null || out ? detail : next.text()),
                mark,
                mark.isEmpty() ? "" : words.say("severity." + mark.toUpperCase(Locale.ROOT)),
                job.holderInitials(),
                job.holder(),
                job.where().place().name(),
                job.where().bay(),
                due == null ? "" : due.toString(),
                late,
                due != null && !due.isAfter(today.plusDays(SOON)),
                me.id().equals(job.holder()),
                out ? "return" : next == null ? progress.path() : next.link(),
                judged.link().isEmpty() ? "measure" : judged.link(),
                Outline.of(job.vehicle().shape().name().toLowerCase(Locale.ROOT))
                        .lines(),
                job.edition().moves());
    }

    private String back(@Nullable LocalDate due, boolean late, Reader reader) {
        return due == null
                ? words.say("next.back.unset")
                : words.say(late ? "next.back.late" : "next.back", reader, "day", DAY.format(due));
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
}
