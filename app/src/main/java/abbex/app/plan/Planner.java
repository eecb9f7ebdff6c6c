package abbex.app.plan;

import abbex.app.arrive.Job;
import abbex.app.drawing.CoilDrawing;
import abbex.app.drawing.RodsDrawing;
import abbex.app.drawing.StairDrawing;
import abbex.app.ground.Stances;
import abbex.app.kit.KitField;
import abbex.app.kit.KitPlans;
import abbex.app.kit.KitValues;
import abbex.app.measure.JobSheets;
import abbex.app.measure.SheetData;
import abbex.app.measure.Sheets;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.prove.Clearances;
import abbex.app.store.Reads;
import abbex.core.figure.Finding;
import abbex.core.figure.Severity;
import abbex.core.heights.Advertised;
import abbex.core.heights.MeasuringPoint;
import abbex.core.kit.EndKit;
import abbex.core.kit.EndPlan;
import abbex.core.kit.Interval;
import abbex.core.kit.KitFinding;
import abbex.core.kit.PlannedHeight;
import abbex.core.kit.Stacks;
import abbex.core.kit.Travel;
import abbex.core.units.Frequency;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.WheelPlace;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Words and drawings for what will come of a kit. */
@Service
class Planner {
    private final KitPlans plans;
    private final Sheets sheets;
    private final Stances stances;
    private final Clearances clearances;
    private final ToBuy toBuy;
    private final CauseWords causes;
    private final WishWords wishes;
    private final MachineWords machines;
    private final ThreeWords three;
    private final Words words;
    private final Reads reads;

    Planner(
            KitPlans plans,
            Sheets sheets,
            Stances stances,
            Clearances clearances,
            ToBuy toBuy,
            CauseWords causes,
            WishWords wishes,
            MachineWords machines,
            ThreeWords three,
            Words words,
            Reads reads) {
        this.reads = reads;
        this.wishes = wishes;
        this.machines = machines;
        this.three = three;
        this.plans = plans;
        this.sheets = sheets;
        this.stances = stances;
        this.clearances = clearances;
        this.toBuy = toBuy;
        this.causes = causes;
        this.words = words;
    }

    /** Of a kit as it is kept: worked out once while nothing is written of the vehicle. */
    PlanPage kept(Job job, KitValues values, Reader reader) {
        return reads.ofVehicle(
                job.shop(),
                job.vehicle().id(),
                List.of(Planner.class, job.shop(), job.id(), values, reader),
                () -> of(job, values, reader));
    }

    /** Of what is being typed. */
    PlanPage of(Job job, KitValues values, Reader reader) {
        KitPlans.Planned planned = plans.of(job, values);
        JobSheets all = sheets.of(job.shop(), job.id());
        Optional<SheetData> after = plans.on(job, values).stream().reduce((one, other) -> other);
        After measured =
                new After(after, after.map(sheet -> all.standing(job, sheet)).orElse(Map.of()));
        List<PlanPage.EndView> ends = new ArrayList<>();
        for (End end : End.values()) {
            planned.plan()
                    .ends()
                    .get(end)
                    .ifPresent(plan -> ends.add(end(job, planned, end, plan, values, measured, reader)));
        }
        PerEnd<OptionalDouble> drops = PerEnd.of(planned::drop);
        return new PlanPage(
                ends.isEmpty()
                        ? null
                        : stances.sideView(job, drops.map(d -> d.orElse(0))).orElse(null),
                ends,
                said(planned, reader, f -> !note(f) && !(after.isPresent() && f.untilMeasured())),
                wishes.of(planned, values, reader),
                new PlanPage.Between(
                        heights(planned, height -> !height.ofOneEnd(), measured, reader),
                        wishes.between(job, planned, values, reader)),
                toBuy.of(job, planned, reader),
                ends.isEmpty() ? words.say("plan.empty") : all.newest().isEmpty() ? words.say("plan.baseline") : "",
                plans.why(job, planned, values)
                        .map(why -> causes.of(why, reader))
                        .orElse(null),
                words.findings(elsewhere(job), reader),
                machines.of(job, planned, reader));
    }

    /**
     * The newest sheet that was taken on the kit.
     *
     * @param heights by all readings together, suspected ones held out
     */
    private record After(Optional<SheetData> sheet, Map<MeasuringPoint, Length> heights) {}

    private static final int MOST_ELSEWHERE = 3;

    /** Of the plan that is kept and chosen: what is being typed does not sweep a wheel. */
    private List<Finding> elsewhere(Job job) {
        List<Finding> all = new ArrayList<>();
        clearances.findings(job).stream()
                .filter(f -> f.severity().compareTo(Severity.LOOK) >= 0)
                .limit(MOST_ELSEWHERE)
                .forEach(all::add);
        stances.findings(job).stream()
                .filter(f -> f.severity().compareTo(Severity.LOOK) >= 0)
                .limit(MOST_ELSEWHERE)
                .forEach(all::add);
        return all;
    }

    private static String html(String text) {
        return Numerals.html(text);
    }

    private static Length mm(double mm) {
        return Length.ofRoundedMm(mm);
    }

    private static String length(double mm, Reader reader) {
        return html(Numerals.text(mm(mm), reader));
    }

    private static String half(double mm, Reader reader) {
        return html("± " + Numerals.width(mm(mm), reader));
    }

    private static String known(Interval height, Reader reader) {
        return html(Numerals.known(mm(height.value()), mm(height.half()), reader));
    }

    /** How far it comes down, no finer than that is known. */
    private static String drop(Interval down, Reader reader) {
        return html(Numerals.drop(mm(down.value()), mm(down.half()), reader));
    }

    private PlanPage.EndView end(
            Job job, KitPlans.Planned planned, End end, EndPlan plan, KitValues values, After after, Reader reader) {
        Travel travel = planned.plan().travel().get(end).orElseThrow();
        List<Double> drops = new ArrayList<>();
        List<Double> halves = new ArrayList<>();
        List<PlanPage.Step> steps = new ArrayList<>();
        for (EndPlan.Line line : plan.lines()) {
            drops.add(line.drop());
            halves.add(2 * line.standard());
            steps.add(new PlanPage.Step(
                    Words.capital(words.word(line.row(), reader)),
                    html(Numerals.drop(mm(line.drop()), mm(2 * line.standard()), reader)),
                    line.standard() == 0 ? "" : half(2 * line.standard(), reader),
                    words.reason(line.reason(), reader).stream()
                            .map(Numerals::html)
                            .toList()));
        }
        return new PlanPage.EndView(
                end.name(),
                Words.capital(words.word(end, reader)),
                drop(plan.setDown(), reader),
                half(plan.setDown().half(), reader),
                drop(plan.settled(), reader),
                between(plan.settled(), reader),
                plan.setDown().value(),
                planned.now().get(end).ratio().value(),
                perch(end, values),
                can(planned, end, perch(end, values), reader),
                box(planned, end, plan, reader),
                three.of(job, planned, end, plan, after.sheet(), after.heights(), reader),
                stack(end, values, reader),
                steps.isEmpty() ? null : StairDrawing.of(drops, halves),
                steps,
                rods(travel, plan.setDown().value()),
                left(travel.toStop().was(), reader),
                left(travel.toStop().is(), reader),
                coils(travel),
                lengths(travel, reader),
                ride(travel, reader),
                heights(planned, height -> ofEnd(height, end), after, reader),
                narrow(planned, end, reader),
                said(
                        planned,
                        reader,
                        f -> note(f) && f.place() == end && !(after.sheet().isPresent() && f.untilMeasured())));
    }

    /** Good to know, and nothing to be done: said at its end, not among what the drop takes with it. */
    private static boolean note(KitFinding finding) {
        return finding.severity() == Severity.NOTE && !finding.open();
    }

    private List<Words.Said> said(KitPlans.Planned planned, Reader reader, Predicate<KitFinding> which) {
        return words.findings(planned.plan().findings().stream().filter(which).toList(), reader);
    }

    private String between(Interval interval, Reader reader) {
        // Ends twice as fine as the middle: rounded as coarsely they would not be where it reaches.
        Length half = mm(interval.half() / 2);
        return html(words.say(
                "plan.between",
                reader,
                "low",
                Numerals.value(mm(interval.low()), half, reader),
                "high",
                Numerals.value(mm(interval.high()), half, reader)));
    }

    /** Null while nothing of the travel is known. */
    private static @Nullable RodsDrawing rods(Travel travel, double drop) {
        return travel.toMetal().is().isEmpty()
                ? null
                : RodsDrawing.of(rod(travel, Travel.Both::was), rod(travel, Travel.Both::is), drop);
    }

    private static RodsDrawing.Travel rod(Travel travel, Function<Travel.Both, OptionalDouble> which) {
        return new RodsDrawing.Travel(
                which.apply(travel.toMetal()), which.apply(travel.toStop()), which.apply(travel.droop()));
    }

    private static String left(OptionalDouble left, Reader reader) {
        return left.isEmpty() ? "" : Numerals.drawn(Numerals.text(mm(left.getAsDouble()), reader));
    }

    /** The old spring free and at ride, then the new one; null while neither is known by its figures. */
    private static @Nullable CoilDrawing coils(Travel travel) {
        List<CoilDrawing.Of> coils = new ArrayList<>();
        travel.spring().was().ifPresent(s -> coils.addAll(both("was", s)));
        travel.spring().is().ifPresent(s -> coils.addAll(both("planned", s)));
        return coils.isEmpty() ? null : CoilDrawing.of(coils);
    }

    private static List<CoilDrawing.Of> both(String style, Travel.Lengths spring) {
        return List.of(new CoilDrawing.Of(style, spring.free()), new CoilDrawing.Of(style, spring.ride()));
    }

    private static List<String> lengths(Travel travel, Reader reader) {
        List<String> lengths = new ArrayList<>();
        for (Optional<Travel.Lengths> spring :
                List.of(travel.spring().was(), travel.spring().is())) {
            spring.ifPresent(s -> {
                lengths.add(Numerals.drawn(Numerals.text(mm(s.free()), reader)));
                lengths.add(Numerals.drawn(Numerals.text(mm(s.ride()), reader)));
            });
        }
        return lengths;
    }

    private String ride(Travel travel, Reader reader) {
        return travel.ride()
                .is()
                .map(is -> words.word(new Frequency(is.hertz()), reader))
                .orElse("");
    }

    private static PlanPage.@Nullable Perch perch(End end, KitValues values) {
        Optional<Double> least = values.at(end, KitField.PERCH_LEAST).map(KitValues.Told::value);
        Optional<Double> most = values.at(end, KitField.PERCH_MOST).map(KitValues.Told::value);
        return least.isEmpty() || most.isEmpty()
                ? null
                : new PlanPage.Perch(
                        least.get(),
                        most.get(),
                        values.at(end, KitField.PERCH)
                                .map(KitValues.Told::value)
                                .orElse(0.0));
    }

    private String can(KitPlans.Planned planned, End end, PlanPage.@Nullable Perch perch, Reader reader) {
        if (perch == null) {
            return "";
        }
        double ratio = planned.now().get(end).ratio().value();
        double rest = planned.drop(end).orElse(0) - perch.at() / ratio;
        return html(words.say(
                "plan.can",
                reader,
                "least",
                mm(rest + perch.least() / ratio),
                "most",
                mm(rest + perch.most() / ratio)));
    }

    /** What the shop's own fits tell of a printed number that counts. */
    private String box(KitPlans.Planned planned, End end, EndPlan plan, Reader reader) {
        EndKit kit = planned.kit().get(end);
        if (kit.box().isEmpty()) {
            return "";
        }
        Advertised.Range box = kit.box().get();
        return plan.bySprings() || kit.own().count() == 0
                ? ""
                : html(words.say(
                        kit.own().own() ? "plan.own" : "plan.own.few",
                        reader,
                        "fits",
                        Integer.toString(kit.own().count()),
                        "drop",
                        mm(box.mean().mm() + kit.own().off().value())));
    }

    /** The pieces that make the stack, where it is known which there are. */
    private String stack(End end, KitValues values, Reader reader) {
        return values.at(end, KitField.NEW_STACK)
                .flatMap(wanted -> wishes.sizes(end, values)
                        .flatMap(sizes -> Stacks.exactly(sizes, Length.ofRoundedMm(wanted.value()))))
                .filter(stack -> !stack.pieces().isEmpty())
                .map(stack -> html(words.say("plan.stack", reader, "pieces", WishWords.pieces(stack, reader))))
                .orElse("");
    }

    private String narrow(KitPlans.Planned planned, End end, Reader reader) {
        return planned.narrowing()
                .get(end)
                .map(gain -> html(words.say(
                        "plan.narrow",
                        reader,
                        "measuring",
                        Words.capital(words.word(gain.of(), reader)),
                        "then",
                        Numerals.uncertainty(mm(gain.half()), reader),
                        "now",
                        Numerals.uncertainty(
                                mm(planned.plan()
                                        .ends()
                                        .get(end)
                                        .orElseThrow()
                                        .setDown()
                                        .half()),
                                reader))))
                .orElse("");
    }

    private static boolean ofEnd(PlannedHeight height, End end) {
        return height.ofOneEnd()
                && (height.spot().atCorner()
                        ? height.spot().corner().end() == end
                        : height.spot().place() instanceof WheelPlace wheel && wheel.end() == end);
    }

    private List<PlanPage.HeightRow> heights(
            KitPlans.Planned planned, Predicate<PlannedHeight> which, After after, Reader reader) {
        List<PlanPage.HeightRow> rows = new ArrayList<>();
        for (PlannedHeight height : planned.heights()) {
            if (!which.test(height)) {
                continue;
            }
            Optional<Length> measured = Optional.ofNullable(after.heights().get(height.spot()));
            rows.add(new PlanPage.HeightRow(
                    html(words.word(height.spot(), reader)),
                    length(height.now().value().mm(), reader),
                    known(height.setDown(), reader),
                    known(height.settled(), reader),
                    measured.map(m -> length(m.mm(), reader)).orElse(""),
                    measured.map(m -> off(height, m)).orElse("")));
        }
        return rows;
    }

    /** Whether what was measured lies where it was planned: as set down, or as settled. */
    private static String off(PlannedHeight planned, Length measured) {
        double is = measured.mm();
        return planned.setDown().holds(is) || planned.settled().holds(is) ? "clear" : "look";
    }
}
