package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.fitment.Fitments;
import abbex.app.fitment.WheelSet;
import abbex.app.form.Form;
import abbex.app.measure.Standing;
import abbex.app.page.JobHeads;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.TapeFace;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody;
import abbex.core.clearance.Verdict;
import abbex.core.motion.Pose;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.vehicle.End;
import abbex.core.vehicle.WheelPlace;
import abbex.core.wheels.Fitment;
import java.math.BigDecimal;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** Makes the pages of the station: a corner with its cut, and the chips that lead from one to the other. */
@Component
public class CornerPages {
    /** For words that speak of no length. */
    public static final Reader ANY = new Reader(LengthUnit.MILLIMETRE, Graduation.MILLIMETRE, ZoneOffset.UTC);

    private final JobHeads heads;
    private final Fitments fitments;
    private final MountedWheels mounted;
    private final MeasuredGaps probes;
    private final CornerCases cases;
    private final ClearanceWords say;
    private final CornerDrawings drawings;
    private final Words words;

    CornerPages(
            JobHeads heads,
            Fitments fitments,
            MountedWheels mounted,
            MeasuredGaps probes,
            CornerCases cases,
            ClearanceWords say,
            CornerDrawings drawings,
            Words words) {
        this.heads = heads;
        this.fitments = fitments;
        this.mounted = mounted;
        this.probes = probes;
        this.cases = cases;
        this.say = say;
        this.drawings = drawings;
        this.words = words;
    }

    /** A corner to choose, with the mark of its worst place; a motorcycle has a front and a rear. */
    public record Chip(String corner, String name, int probes, String mark, boolean chosen) {}

    /** A set of wheels with the worst that becomes of it at a corner. */
    public record SetChip(String set, String name, String mark, String word, String place, boolean chosen) {}

    /** Chips, head and names that every page of the station has. */
    public ModelAndView frame(String view, Person me, Job job, @Nullable WheelPlace corner, String tab) {
        List<MeasuredGap> all = probes.of(me.shop(), job.vehicle().id());
        ModelAndView page = new ModelAndView(view);
        page.addObject("head", heads.head(me.shop(), job.id(), "prove", Reader.of(me)));
        page.addObject(
                "corners",
                job.vehicle().kind().wheelPlaces().stream()
                        .map(c -> new Chip(
                                c.name(),
                                name(job, c),
                                (int) all.stream().filter(p -> p.corner() == c).count(),
                                worst(job, c),
                                c == corner))
                        .toList());
        page.addObject("tab", tab);
        return page;
    }

    /** The mark of the worst place of a corner. */
    private String worst(Job job, WheelPlace corner) {
        return Stream.concat(cases.of(job, corner).stream(), cases.asItStands(job, corner).stream())
                .filter(c -> !c.known().isEmpty())
                .map(c -> c.judged().get(0).verdict().word())
                .max(Comparator.comparing(Verdict.Word::bad))
                .map(ClearanceWords::mark)
                .orElse("open");
    }

    ModelAndView corner(Person me, Job job, WheelPlace corner, Form form) {
        Reader reader = form.reader();
        Map<String, String> parameters = form.texts();
        again(me, job, form);
        ModelAndView page = form.on(frame("prove", me, job, corner, "corner"));
        Optional<Fitment> now = mounted.on(job, corner.end());
        Optional<CornerCase> found = chosen(job, corner, parameters);
        page.addObject("corner", corner);
        page.addObject("name", name(job, corner));
        page.addObject("view", found.map(c -> CornerPage.of(c, reader, say)).orElse(null));
        page.addObject("standing", now.map(CornerPages::text).orElse(""));
        page.addObject("swept", found.map(c -> text(c.planned())).orElse(""));
        page.addObject("sets", sets(job, corner, parameters.get("set"), reader));
        page.addObject("plan", cases.plan(job, corner.end()));
        Standing standing = cases.standing(job);
        page.addObject("height", Numerals.html(height(standing, corner, reader) + travel(standing, corner, reader)));
        page.addObject("missing", Numerals.html(missing(job, standing, corner, reader)));
        page.addObject("fields", SweepField.values());
        page.addObject("reader", reader);
        page.addObject("edition", cases.planEdition(job, corner.end()));
        page.addObject("probePlaces", ProbePlace.values());
        page.addObject("faces", TyreBody.Face.values());
        page.addObject("likely", likely(corner));
        page.addObject("tape", TapeFace.of(me.likes().tape(), me.likes().unit()));
        found.ifPresent(c -> {
            Pose pose = CornerDrawings.pose(c, parameters);
            page.addObject("handles", drawings.handles(c, pose, reader));
            page.addObject("cut", drawings.cut(c, pose, reader));
            page.addObject("travel", drawings.travel(c, reader));
        });
        return page;
    }

    /** A gap that is to be taped anew fills the form as it was typed. */
    private void again(Person me, Job job, Form form) {
        if (form.has("gap")) {
            return;
        }
        probes.of(me.shop(), job.vehicle().id()).stream()
                .filter(p -> p.id().toString().equals(form.text("again")))
                .findFirst()
                .ifPresent(p -> {
                    form.keep("clock", plain(p.probe().clock()));
                    form.keep("face", p.probe().face().name());
                    form.keep("place", p.probe().place().name());
                    form.keep("gap", p.raw());
                    form.keep("along", p.spot().along());
                    form.keep("across", p.spot().across());
                    form.keep("replaces", say.name(p.probe()));
                });
    }

    /** How low the corner stands by the sheets, and is planned. */
    private String height(Standing standing, WheelPlace corner, Reader reader) {
        return words.say(
                "prove.height",
                reader,
                "now",
                Length.ofRoundedMm(standing.now(corner)),
                "planned",
                Length.ofRoundedMm(standing.planned(corner)));
    }

    /** The bump that the axle has under the frame, where a sheet read it. */
    private String travel(Standing standing, WheelPlace corner, Reader reader) {
        OptionalDouble travel = standing.travel(corner);
        return travel.isEmpty()
                ? ""
                : " "
                        + words.say(
                                "prove.travel", reader, "travel", Length.ofRoundedMm(Math.rint(travel.getAsDouble())));
    }

    /** The reading that would tell how low the corner stands; empty when the newest sheet tells. */
    private String missing(Job job, Standing standing, WheelPlace corner, Reader reader) {
        return standing.missing(corner)
                ? words.say(
                        "prove.height.missing",
                        reader,
                        "stage",
                        standing.newestStage().orElseThrow(),
                        "corner",
                        corner)
                : "";
    }

    /** The corner with the set of wheels that is asked for, else with what is planned. */
    Optional<CornerCase> chosen(Job job, WheelPlace corner, Map<String, String> parameters) {
        return fitments.sets(job).stream()
                .filter(s -> s.id().toString().equals(parameters.get("set")))
                .findFirst()
                .flatMap(s -> s.fitment(corner.end()))
                .map(f -> cases.of(job, corner, f))
                .or(() -> cases.of(job, corner));
    }

    /** Every set of wheels with what becomes of it at a corner where something is known. */
    private List<SetChip> sets(Job job, WheelPlace corner, @Nullable String asked, Reader reader) {
        List<SetChip> chips = new ArrayList<>();
        for (WheelSet set : fitments.sets(job)) {
            set.fitment(corner.end())
                    .map(f -> cases.of(job, corner, f))
                    .filter(c -> !c.known().isEmpty())
                    .ifPresent(c -> {
                        CornerCase.Judged worst = c.judged().get(0);
                        chips.add(new SetChip(
                                set.id().toString(),
                                set.name(),
                                ClearanceWords.mark(worst.verdict().word()),
                                say.word(worst.verdict(), c, reader),
                                say.name(worst.known().probed().probe()),
                                set.id().toString().equals(asked)));
                    });
        }
        return chips;
    }

    private static String text(Fitment f) {
        return f.tyre().text() + ", " + f.wheel().text();
    }

    String name(Job job, WheelPlace corner) {
        return corner instanceof End ? Words.capital(words.say("end." + corner.name())) : corner.name();
    }

    /** For each half hour from 0.5 to 12 the most likely part at each face: ordinals, faces apart by commas. */
    static String likely(WheelPlace corner) {
        StringBuilder all = new StringBuilder();
        for (int half = 1; half <= 24; half++) {
            for (TyreBody.Face face : TyreBody.Face.values()) {
                all.append(all.isEmpty() ? "" : ",")
                        .append(ProbePlace.likely(corner, half / 2.0, face).ordinal());
            }
        }
        return all.toString();
    }

    /** Reads the fields of a plan; what cannot be taken is said. */
    static SweepPlan read(SweepPlan known, Form form) {
        Map<SweepField, Double> values = new LinkedHashMap<>(known.values());
        for (SweepField field : SweepField.values()) {
            if (!form.text(field.id()).isEmpty()) {
                (field.length()
                                ? form.millimetres(field.id(), field.least(), field.most())
                                : form.number(field.id(), field.least(), field.most()))
                        .ifPresent(value -> values.put(field, value));
            } else if (form.has(field.id())) {
                values.remove(field);
            }
        }
        return known.with(values, form.has("chains"));
    }

    /** What the fields of a plan hold. */
    static Map<String, String> texts(SweepPlan plan, Reader reader) {
        Map<String, String> texts = new LinkedHashMap<>();
        for (SweepField field : SweepField.values()) {
            texts.put(field.id(), plan.text(field, reader));
        }
        return texts;
    }

    static String plain(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }

    /** The one that is named, else the first. */
    public static <E extends Enum<E>> E choice(E[] all, @Nullable String text) {
        return Stream.of(all).filter(e -> e.name().equals(text)).findFirst().orElse(all[0]);
    }

    /** The corner that a form names; a wheel that the vehicle has not is no other wheel: the form is told. */
    static WheelPlace named(Job job, Form form, String field) {
        WheelPlace corner = corner(job, form.text("corner"));
        boolean has = WheelPlace.named(form.text("corner"))
                .filter(asked -> asked == corner || corner instanceof End && asked.end() == corner)
                .isPresent();
        if (!has && !form.text("corner").isEmpty()) {
            form.problem(field, "problem.corner", "read", form.text("corner"));
        }
        return corner;
    }

    static WheelPlace corner(Job job, @Nullable String text) {
        List<? extends WheelPlace> places = job.vehicle().kind().wheelPlaces();
        // A corner of a single track is its end: so its addresses were written once.
        Optional<WheelPlace> asked = Optional.ofNullable(text).flatMap(WheelPlace::named);
        for (WheelPlace place : places) {
            if (asked.filter(p -> p == place || !places.contains(p) && p.end() == place.end())
                    .isPresent()) {
                return place;
            }
        }
        return places.get(0);
    }
}
