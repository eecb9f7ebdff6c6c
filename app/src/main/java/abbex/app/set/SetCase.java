package abbex.app.set;

import abbex.app.arrive.Job;
import abbex.app.arrive.StayValues;
import abbex.app.arrive.VehicleFacts;
import abbex.app.kit.KitPlans;
import abbex.app.measure.JobSheets;
import abbex.app.measure.SheetData;
import abbex.app.measure.SheetRow;
import abbex.app.measure.Sheets;
import abbex.core.balance.WheelLoads;
import abbex.core.heights.Assessment;
import abbex.core.heights.CornerHeights;
import abbex.core.heights.Height;
import abbex.core.heights.Method;
import abbex.core.heights.Outlier;
import abbex.core.heights.Reading;
import abbex.core.heights.SheetState;
import abbex.core.kit.EndPlan;
import abbex.core.setting.Adjuster;
import abbex.core.setting.Aim;
import abbex.core.setting.Car;
import abbex.core.setting.Forecast;
import abbex.core.setting.How;
import abbex.core.setting.Option;
import abbex.core.setting.SettingSolver;
import abbex.core.setting.Tries;
import abbex.core.stance.Stance;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import java.util.function.ToDoubleFunction;

/** A vehicle to be set: how it stands, what was tried, what is wanted. */
final class SetCase {
    /** The first of them that all four corners have: those without the tyre before the one with it. */
    private static final List<Method> WAYS = List.of(Method.HF, Method.RIM, Method.GF);

    /** How a set-down falls, a corner, mm (common practice, from memory). */
    private static final double SCATTER = 0.5;

    /** Wheel rates are not told here: what the plan has, and wide (ours). */
    private static final Car.Widths WIDE = new Car.Widths(0.35, 0.08, 0.2, 0.6, 0.4);

    /** A bar that was not taken apart, at a wheel, N/mm (common practice, from memory). */
    private static final double USUAL_BAR = 12;

    private final Job job;
    private final StayValues.Told told;
    private final SheetData sheet;
    private final JobSheets sheets;
    private final Method method;
    private final List<Settings.Move> all;
    private final List<Settings.Move> moves;
    private final IntFunction<SheetState> states;
    private final Supplier<KitPlans.Planned> plan;

    private SetCase(
            Job job,
            StayValues.Told told,
            SheetData sheet,
            JobSheets sheets,
            Method method,
            List<Settings.Move> all,
            IntFunction<SheetState> states,
            Supplier<KitPlans.Planned> plan) {
        this.plan = plan;
        this.states = states;
        this.sheets = sheets;
        this.job = job;
        this.told = told;
        this.sheet = sheet;
        this.method = method;
        this.all = all;
        this.moves = all.stream()
                .filter(m -> m.sheet().equals(sheet.row().id()) && m.method().equals(method.name()))
                .toList();
    }

    /** Empty until all four corners were measured one way. */
    static Optional<SetCase> of(
            Job job, StayValues.Told told, Sheets of, List<Settings.Move> all, Supplier<KitPlans.Planned> plan) {
        JobSheets sheets = of.of(job.shop(), job.id());
        return sheets.newest()
                .flatMap(sheet -> WAYS.stream()
                        .filter(way -> sheet.read().complete(way))
                        .findFirst()
                        .map(way -> new SetCase(
                                job,
                                told,
                                sheet,
                                sheets,
                                way,
                                all,
                                said -> of.state(job.shop(), sheet.row(), said),
                                plan)));
    }

    SheetRow sheet() {
        return sheet.row();
    }

    Method method() {
        return method;
    }

    /** What was turned between measurements of this sheet. */
    List<Settings.Move> moves() {
        return moves;
    }

    /** How often anything was turned on this stay: the rings stand where all of it left them. */
    int turnedInAll() {
        return all.size();
    }

    private Height height(Corner corner) {
        return sheet.read().at(corner, method).orElseThrow();
    }

    /** All readings of the stay, the newest sheet the last. */
    private Assessment judged() {
        return sheets.judge(job);
    }

    /** Which reading has to be taken again before anything is turned by it; empty where all go together. */
    List<Outlier> suspects() {
        int newest = sheets.sheets().size() - 1;
        return judged().suspects().stream().filter(s -> s.sheet() == newest).toList();
    }

    /** Where the corners stand by all readings, suspected ones held out; empty where the others do not tell. */
    private Optional<CornerHeights> stands() {
        return judged().heights(sheets.sheets().size() - 1, method);
    }

    /** A reading is suspected, and without it the others do not tell how it stands: nothing is turned by that. */
    boolean doubtful() {
        return !suspects().isEmpty() && stands().isEmpty() || exchanged().isPresent();
    }

    /** What was typed since the last turn goes with what was expected once sides or ends are exchanged. */
    Optional<Forecast.Exchanged> exchanged() {
        if (moves.isEmpty() || !toMeasure().isEmpty() || !changed().isEmpty()) {
            return Optional.empty();
        }
        Settings.Move last = moves.get(moves.size() - 1);
        return Forecast.after(
                        last.heights(),
                        walk(corner -> last.does().of(corner, method)),
                        walk(corner -> last.does().standard().get(corner)),
                        walk(corner -> height(corner).estimate().uncertainty().standard()),
                        SCATTER)
                .typed(taped());
    }

    private static double[] walk(ToDoubleFunction<Corner> of) {
        return Corner.WALK.stream().mapToDouble(of).toArray();
    }

    /** Heights as they stand, mm; while something was turned and not measured, as they were measured last. */
    double[] now() {
        return toMeasure().isEmpty()
                ? stands().map(CornerHeights::mm).orElseGet(this::taped).clone()
                : taped();
    }

    /** What the tape says, mm. */
    double[] taped() {
        double[] read = new double[Corner.WALK.size()];
        Arrays.setAll(read, c -> height(Corner.WALK.get(c)).value().mm());
        return read;
    }

    /** Of any way to measure at a corner. */
    long newestReading() {
        return Corner.WALK.stream()
                .flatMap(corner -> Arrays.stream(Method.values()).flatMap(way -> sheet.read().at(corner, way).stream()))
                .flatMap(height -> height.readings().stream())
                .mapToLong(Reading::nr)
                .max()
                .orElse(0);
    }

    private long nr(Corner corner) {
        return height(corner).readings().stream().mapToLong(Reading::nr).max().orElse(0);
    }

    /** Corners that were not measured since the last thing was turned. */
    List<Corner> toMeasure() {
        if (moves.isEmpty()) {
            return List.of();
        }
        long after = moves.get(moves.size() - 1).afterNr();
        return Corner.WALK.stream().filter(c -> nr(c) <= after).toList();
    }

    /** Other ways that were read at corners, and not since something was turned. */
    List<Method> stale() {
        if (moves.isEmpty()) {
            return List.of();
        }
        long after = moves.get(moves.size() - 1).afterNr();
        return Arrays.stream(Method.values())
                .filter(way -> way != method)
                .filter(way -> Corner.WALK.stream()
                        .flatMap(c -> sheet.read().at(c, way).stream())
                        .flatMap(h -> h.readings().stream())
                        .anyMatch(reading -> reading.nr() <= after))
                .toList();
    }

    /** Something can be turned; the form asks for the height of an end that can. */
    boolean told() {
        return Arrays.stream(End.values()).anyMatch(e -> SetForm.kind(told, e) != SetForm.Kind.NONE);
    }

    /** What heights are wanted of it. */
    Targets targets() {
        return new Targets(this, told, sheet.stage(), plan.get());
    }

    /** Heights as it came, in the way that it is set by, mm. */
    Optional<double[]> arrived() {
        return judged().heights(0, method).map(CornerHeights::mm);
    }

    /** Heights by another way that was read at all four corners since the last turn, mm. */
    Optional<double[]> reads(Method way) {
        long after = moves.isEmpty() ? 0 : moves.get(moves.size() - 1).afterNr();
        boolean read = sheet.read().complete(way)
                && Corner.WALK.stream()
                        .flatMap(c -> sheet.read().at(c, way).orElseThrow().readings().stream())
                        .allMatch(reading -> reading.nr() > after);
        return read ? judged().heights(sheets.sheets().size() - 1, way).map(CornerHeights::mm) : Optional.empty();
    }

    /** One standard deviation of a reading by a way that was read at all four corners, the widest, mm. */
    double standard(Method way) {
        return Corner.WALK.stream()
                .mapToDouble(c -> sheet.read()
                        .at(c, way)
                        .orElseThrow()
                        .estimate()
                        .uncertainty()
                        .standard())
                .max()
                .orElseThrow();
    }

    List<Adjuster> adjusters() {
        List<Adjuster> corners = new ArrayList<>();
        Adjusters turn = turn();
        for (int c = 0; c < Corner.WALK.size(); c++) {
            int corner = c;
            List<How> done = all.stream().map(m -> m.hows().get(corner)).toList();
            corners.add(turn.at(Corner.WALK.get(c), done));
        }
        return corners;
    }

    private Adjusters turn() {
        return new Adjusters(told, PerEnd.of(end -> plan.get().now().get(end).ratio()));
    }

    /** As the kit leaves it, else as the end is. */
    private double rate(End end) {
        return plan.get()
                .plan()
                .ends()
                .get(end)
                .map(EndPlan::wheelRate)
                .orElseGet(() -> plan.get().now().get(end).wheelRate().value());
    }

    private Car car() {
        double base = job.vehicle()
                        .measure(VehicleFacts.Measure.WHEELBASE)
                        .map(Length::mm)
                        .orElse(Stance.USUAL_WHEELBASE)
                / 2;
        double front = track(End.FRONT) / 2;
        double rear = track(End.REAR) / 2;
        boolean apart = !told.text(SetForm.LINKS).isEmpty();
        double[] rates = new double[Corner.WALK.size()];
        Arrays.setAll(rates, c -> rate(Corner.WALK.get(c).end()));
        return new Car(
                new double[] {base, base, -base, -base},
                new double[] {front, -front, -rear, rear},
                rates,
                Stance.USUAL_TYRE_RATE,
                apart ? 0 : USUAL_BAR,
                apart ? 0 : USUAL_BAR,
                Double.POSITIVE_INFINITY,
                WIDE,
                Corner.WALK.stream().mapToDouble(turn()::width).toArray());
    }

    private double track(End end) {
        return job.vehicle()
                .measure(VehicleFacts.Measure.TRACK.get(end))
                .map(Length::mm)
                .orElse(Stance.USUAL_TRACK);
    }

    private Car.Read read() {
        return method.hubReferenced() ? Car.Read.HUB : Car.Read.GROUND;
    }

    /** What each adjuster was believed to do before anything was tried. */
    double[][] before() {
        return car().heights(read());
    }

    /** What every try so far says, and where it stands. */
    Tries.Known known() {
        double tape = Corner.WALK.stream()
                .mapToDouble(c -> toMeasure().isEmpty() && stands().isPresent()
                        ? stands().get().standard(c)
                        : height(c).estimate().uncertainty().standard())
                .max()
                .orElseThrow();
        Tries tries = new Tries(car(), read(), tape, SCATTER);
        double[] moved = new double[Corner.WALK.size()];
        SheetState before = null;
        for (Settings.Move move : moves) {
            SheetState here = state(move);
            if (before != null && apart(before, here)) {
                tries.inAnotherState();
            }
            before = here;
            tries.add(moved, move.heights());
            for (int c = 0; c < moved.length; c++) {
                moved[c] += move.moves()[c];
            }
        }
        if (toMeasure().isEmpty()) {
            if (before != null && apart(before, sheet.heights().state())) {
                tries.inAnotherState();
            }
            tries.add(moved, now());
        }
        return tries.known();
    }

    private SheetState state(Settings.Move move) {
        Integer said = move.said();
        return said == null || said == said() ? sheet.heights().state() : states.apply(said);
    }

    /** The last entry of the sheet's state. */
    int said() {
        return sheet.row().said();
    }

    /** What differs between two tries by what was said; what is in the bags is what is turned where bags are. */
    private Set<SheetState.Item> unlike(SheetState one, SheetState other) {
        Set<SheetState.Item> unlike = one.unlike(other);
        if (Arrays.stream(End.values()).anyMatch(e -> SetForm.kind(told, e) == SetForm.Kind.BAG)) {
            unlike.remove(SheetState.Item.BAG_PRESSURE);
        }
        return unlike;
    }

    private boolean apart(SheetState one, SheetState other) {
        return !unlike(one, other).isEmpty() || one.pressuresUnlike(other);
    }

    /** The tyres were at other pressures when the last try was measured. */
    boolean pressuresChanged() {
        return !moves.isEmpty()
                && toMeasure().isEmpty()
                && state(moves.get(moves.size() - 1))
                        .pressuresUnlike(sheet.heights().state());
    }

    /** What was said to be otherwise when the last try was measured. */
    Set<SheetState.Item> changed() {
        return moves.isEmpty() || !toMeasure().isEmpty()
                ? Set.of()
                : unlike(state(moves.get(moves.size() - 1)), sheet.heights().state());
    }

    /** What moves of the adjusters do to heights read in a way, as it is known now, mm, LF RF RR LR. */
    double[] moved(List<Option> chosen, Car.Read way) {
        double[][] does = way == read() ? known().heights() : car().heights(way);
        double[] moved = new double[Corner.WALK.size()];
        for (int c = 0; c < moved.length; c++) {
            for (int i = 0; i < moved.length; i++) {
                moved[c] += does[c][i] * chosen.get(i).move();
            }
        }
        return moved;
    }

    /** How far each may be off, one standard deviation, mm. */
    double[] widths(List<Option> chosen) {
        double[] moves = chosen.stream().mapToDouble(Option::move).toArray();
        Tries.Known known = known();
        double[] widths = new double[moves.length];
        Arrays.setAll(widths, c -> known.after(c, moves));
        return widths;
    }

    SettingSolver.Answer solve(Tries.Known known) {
        return SettingSolver.solve(new SettingSolver.Question(
                known.now(),
                known.heights(),
                known.loads(),
                adjusters(),
                weighed()
                        .map(loads ->
                                Aim.heights(targets().now()).andLoads(loads.shift(Scales.cross(told)), Aim.KEPT_LOAD))
                        .orElseGet(() -> Aim.heights(targets().now()).keepingLoads())));
    }

    /** What the scales show as it stands, N; empty where it was not weighed, or turned since. */
    Optional<WheelLoads> weighed() {
        return Scales.loads(told).filter(loads -> Scales.stands(told, all.size()));
    }

    /** Together it weighs a person more or less than when it was weighed before. */
    boolean weighedWithSomebody() {
        return Scales.loads(told)
                .flatMap(loads -> Scales.before(told).stream()
                        .mapToObj(loads::byAPersonFrom)
                        .findFirst())
                .orElse(false);
    }

    /** It was weighed before the last thing was turned. */
    boolean toWeigh() {
        return Scales.loads(told).isPresent() && !Scales.stands(told, all.size());
    }
}
