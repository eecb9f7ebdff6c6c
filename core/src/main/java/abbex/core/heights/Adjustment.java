package abbex.core.heights;

import abbex.core.adjust.LeastSquares;
import abbex.core.units.Estimate;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Vehicle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * All readings of a job as one truth: adjusted at once by least squares, with the reading that does not go with the rest, or
 * the readings between which the data cannot choose. It accuses rarely and corrects nothing.
 */
public final class Adjustment {
    /** Of a hundred jobs without a mistake so many may be accused, shared out over the readings (ours). */
    static final double FALSE_ALARMS = 0.006;
    /** A difference of chi-square under which the data cannot choose (two standard deviations; common practice). */
    static final double UNDECIDED = 4;
    /** From here on two readings are twins: no data can tell an error in one from the opposite in the other. */
    private static final double TWINS = 0.9999;
    /** A quarter of the diagonal difference that another floor may bring (ours): 20 mm. */
    private static final double ANOTHER_FLOOR = 5;
    /** Another load: all loaded radii together, one standard deviation in mm: 100 kg on 220 N/mm a tyre and as much again (ours). */
    private static final double LOADED_TYRES = 2;

    /** The same for one tyre beside the others: in the boot, or beside the driver (ours). */
    private static final double LOADED_TYRE = 3;

    private static final List<SheetState.Item> LOADS = List.of(SheetState.Item.LOAD, SheetState.Item.BAG_PRESSURE);

    /** All readings together may scatter by chance beyond what is allowed in so many jobs (ours). */
    private static final double RESTLESS = 1e-4;

    /** After so many steps the frame points' places stand to a hundredth of a millimetre of height. */
    private static final int STEPS = 3;

    /** A tyre whose loaded radius on a sheet nothing holds: the hypothesis that it is another than it was. */
    record Freed(int sheet, Corner corner) {}

    private record Row(int sheet, MeasuringPoint spot, Reading reading) {}

    private final Equations equations;
    private final List<Row> rows;
    private final LeastSquares fit;

    private Adjustment(Equations equations, List<Row> rows, LeastSquares fit) {
        this.equations = equations;
        this.rows = rows;
        this.fit = fit;
    }

    /**
     * Adjusts all readings of a job; several people's of one spot each by itself.
     *
     * @param sheets in order of time, the first being the datum
     */
    public static Adjustment of(Vehicle vehicle, List<HeightSheet> sheets, PriorDeviations freedoms) {
        return without(vehicle, sheets, freedoms, List.of(), List.of());
    }

    /** The same with some readings as good as not taken, which say nothing and stay in their places, and with some tyres freed. */
    static Adjustment without(
            Vehicle vehicle,
            List<HeightSheet> sheets,
            PriorDeviations freedoms,
            List<Outlier> suspects,
            List<Freed> freed) {
        return of(vehicle, sheets, freedoms, freed, (sheet, height, reading) -> {
            boolean held = suspects.stream()
                    .anyMatch(s -> s.sheet() == sheet
                            && s.spot().equals(height.spot())
                            && s.reading().equals(reading));
            return held
                    ? HELD_OUT
                    : Math.hypot(
                            height.by(reading).uncertainty().standard(),
                            sheets.get(sheet).basis().standIn().ownMm());
        });
    }

    /** So wide that a reading says nothing, mm. */
    private static final double HELD_OUT = 1e3;

    /** The standard deviation of a reading in mm. */
    interface Standard {
        double of(int sheet, Height height, Reading reading);
    }

    /** The same with other standard deviations than the readings' own. */
    static Adjustment of(Vehicle vehicle, List<HeightSheet> sheets, PriorDeviations freedoms, Standard standard) {
        return of(vehicle, sheets, freedoms, List.of(), standard);
    }

    private static Adjustment of(
            Vehicle vehicle, List<HeightSheet> sheets, PriorDeviations freedoms, List<Freed> freed, Standard standard) {
        FramePlaces frame = FramePlaces.of(vehicle, sheets.size());
        Adjustment adjusted = step(sheets, freedoms, freed, standard, frame);
        // Only a second sheet tells where the points lie, and only where it was pitched or rolled.
        boolean moved = sheets.stream().filter(s -> s.has(Method.FG)).count() > 1;
        for (int i = 0; moved && i < STEPS; i++) {
            frame = adjusted.equations.frame(adjusted.fit);
            adjusted = step(sheets, freedoms, freed, standard, frame);
        }
        return adjusted;
    }

    private static Adjustment step(
            List<HeightSheet> sheets,
            PriorDeviations freedoms,
            List<Freed> freed,
            Standard standard,
            FramePlaces frame) {
        Equations equations = new Equations(freedoms, frame);
        List<Row> rows = new ArrayList<>();
        for (int sheet = 0; sheet < sheets.size(); sheet++) {
            state(equations, sheets, sheet, freedoms);
            for (Freed one : freed) {
                if (one.sheet() == sheet) {
                    equations.width(new Unknown.Tyre(sheet, one.corner()), PriorDeviations.FREE);
                }
            }
            for (Height height : sheets.get(sheet).all()) {
                MeasuringPoint spot = height.spot();
                for (Reading reading : height.readings()) {
                    Map<Unknown, Double> parts = equations.parts(sheet, spot.corner(), spot.method());
                    double value = height.by(reading).value().mm();
                    origins(equations, sheet, spot, value);
                    equations.add(
                            parts,
                            value + equations.twice(sheet, spot.corner(), spot.method()),
                            standard.of(sheet, height, reading));
                    rows.add(new Row(sheet, spot, reading));
                }
            }
        }
        return new Adjustment(equations, rows, equations.solve());
    }

    /** What somebody said of the state loosens what it touches: other wheels, another pressure, another bay. */
    private static void state(Equations equations, List<HeightSheet> sheets, int sheet, PriorDeviations freedoms) {
        SheetState here = sheets.get(sheet).state();
        int wheels = 0;
        while (wheels < sheet && Comparison.otherWheels(sheets.get(wheels), sheets.get(sheet))) {
            wheels++;
        }
        equations.sheet(
                wheels,
                sheets.get(sheet).basis().arches(),
                sheets.get(sheet).basis().standIn());
        List<HeightSheet> onThese = sheets.subList(wheels, sheet);
        boolean load = LOADS.stream().anyMatch(item -> differs(onThese, here, item));
        roll(equations, sheets.get(0), sheets.get(sheet), sheet, freedoms, load);
        if (load) {
            equations.width(new Unknown.Tyres(sheet), LOADED_TYRES);
        }
        turned(equations, sheets.get(wheels), sheets.get(sheet), sheet, freedoms);
        for (Corner corner : Corner.WALK) {
            if (otherPressure(onThese, here, corner)) {
                equations.width(new Unknown.Tyre(sheet, corner), PriorDeviations.FREE);
            } else if (load) {
                equations.width(new Unknown.Tyre(sheet, corner), LOADED_TYRE);
            }
        }
        List<HeightSheet> before = sheets.subList(0, sheet);
        if (differs(before, here, SheetState.Item.BAY)) {
            boolean surveyed = sheets.get(0).basis().floor().isPresent()
                    && sheets.get(sheet).basis().floor().isPresent();
            equations.width(
                    new Unknown.Moved(Unknown.Freedom.TWIST, sheet),
                    surveyed ? Math.hypot(freedoms.diagonal(), Floor.SURVEYED_DIAGONAL) / 4 : ANOTHER_FLOOR);
        }
    }

    /** A body leans as far as its sides were turned apart, and anyhow under another load. */
    private static void roll(
            Equations equations,
            HeightSheet first,
            HeightSheet here,
            int sheet,
            PriorDeviations freedoms,
            boolean load) {
        OnPurpose turned = here.basis().turned().since(first.basis().turned());
        Unknown roll = new Unknown.Moved(Unknown.Freedom.ROLL, sheet);
        if (load) {
            equations.width(roll, PriorDeviations.FREE);
        } else if (turned.any()) {
            double leans = 0;
            for (Corner corner : Corner.WALK) {
                leans += (corner.isLeft() ? 1 : -1) * turned.ground().get(corner) / Corner.WALK.size();
            }
            equations.origin(roll, leans);
            equations.width(roll, Math.hypot(freedoms.roll(), PRESSED_OFF * leans));
        }
    }

    /** Turned across a diagonal, two tyres are pressed further and two less, as far as was worked out when it was turned. */
    private static void turned(
            Equations equations, HeightSheet since, HeightSheet here, int sheet, PriorDeviations freedoms) {
        OnPurpose turned = here.basis().turned().since(since.basis().turned());
        for (Corner corner : Corner.WALK) {
            double pressed = turned.pressed(corner);
            if (pressed != 0) {
                equations.origin(new Unknown.Tyre(sheet, corner), -pressed);
                equations.width(new Unknown.Tyre(sheet, corner), Math.hypot(freedoms.tyre(), PRESSED_OFF * pressed));
            }
        }
    }

    /** Of how far a tyre is pressed so much may be off: its own rate (ours). */
    private static final double PRESSED_OFF = 0.4;

    /** Unlike what the first sheet says of it, or where that says nothing, unlike any sheet since. */
    private static boolean differs(List<HeightSheet> earlier, SheetState here, SheetState.Item item) {
        return earlier.stream()
                .map(HeightSheet::state)
                .filter(state -> state.said(item).isPresent())
                .limit(earlier.isEmpty() || earlier.get(0).state().said(item).isPresent() ? 1 : earlier.size())
                .anyMatch(state -> state.differs(here, item));
    }

    private static boolean otherPressure(List<HeightSheet> earlier, SheetState here, Corner corner) {
        Optional<Pressure> is = here.pressure(corner);
        return is.isPresent()
                && earlier.stream()
                        .flatMap(s -> s.state().pressure(corner).stream())
                        .limit(
                                earlier.isEmpty()
                                                || earlier.get(0)
                                                        .state()
                                                        .pressure(corner)
                                                        .isPresent()
                                        ? 1
                                        : earlier.size())
                        .anyMatch(was -> was.differsFrom(is.get()));
    }

    private static void origins(Equations equations, int sheet, MeasuringPoint spot, double value) {
        switch (spot.method()) {
            case GF -> equations.origin(equations.lip(sheet, spot.corner()), value);
            case FG -> equations.origin(new Unknown.FramePoint(spot.corner()), value);
            default -> {}
        }
    }

    /** The weighted sum of squared residuals, over readings and the freedoms that were used up. */
    public double chiSquare() {
        return fit.chiSquare();
    }

    /** How many readings were adjusted. */
    public int readings() {
        return rows.size();
    }

    /** Readings beyond what is needed, not a whole number where an unknown is settled only in part. */
    public double redundancy() {
        return Math.max(0, rows.size() - equations.used(fit));
    }

    /** How often so great a chi-square comes by chance. */
    public double probability() {
        double redundancy = redundancy();
        return redundancy < 0.5 ? 1 : ChiSquaredDistribution.of(redundancy).survivalProbability(chiSquare());
    }

    /** All readings together scatter more than tape and vehicle explain. */
    public boolean restless() {
        return probability() < RESTLESS;
    }

    /** The readings that nothing else checks well enough to find a quarter of an inch. */
    public List<MeasuringPoint> unchecked() {
        List<MeasuringPoint> spots = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            if (!(fit.controlled(i) && fit.errorStandard(i) < TOLD)
                    && !spots.contains(rows.get(i).spot())) {
                spots.add(rows.get(i).spot());
            }
        }
        return List.copyOf(spots);
    }

    /**
     * How far a corner came down by a method between two sheets, from all readings; what a lip was moved by between them is not
     * in it. Empty when nothing was read of it.
     */
    public Optional<Estimate> drop(int before, int after, Corner corner, Method method) {
        Map<Unknown, Double> was = equations.parts(before, corner, method);
        Map<Unknown, Double> is = equations.parts(after, corner, method);
        if (!equations.knows(was) || !equations.knows(is)) {
            return Optional.empty();
        }
        if (method.lip()) {
            was.remove(equations.lip(before, corner));
            is.remove(equations.lip(after, corner));
        }
        double twice = equations.twice(after, corner, method) - equations.twice(before, corner, method);
        return told(equations.function(own(was), own(is)), twice);
    }

    /**
     * The heights of a sheet at all four corners by one method, from all readings; empty where they do not tell one of them.
     */
    public Optional<CornerHeights> heights(int sheet, Method method) {
        double[][] functions = new double[Corner.WALK.size()][];
        double[] mm = new double[Corner.WALK.size()];
        for (Corner corner : Corner.WALK) {
            Map<Unknown, Double> parts = equations.parts(sheet, corner, method);
            if (!equations.knows(parts)) {
                return Optional.empty();
            }
            double[] function = equations.function(parts, Map.of());
            if (fit.standard(function) > TOLD) {
                return Optional.empty();
            }
            functions[corner.ordinal()] = function;
            mm[corner.ordinal()] = fit.value(function) - equations.twice(sheet, corner, method);
        }
        double[][] covariance = new double[mm.length][mm.length];
        for (int a = 0; a < mm.length; a++) {
            for (int b = 0; b < mm.length; b++) {
                covariance[a][b] = fit.covariance(functions[a], functions[b]);
            }
        }
        return Optional.of(new CornerHeights(method, mm, covariance));
    }

    /** A height that is known no better than this is not told, mm, one standard deviation (ours): a quarter of an inch. */
    private static final double TOLD = 6;

    /** What chi-square would lose were a tyre freed: what holds it is a row as a reading is. */
    double gained(Freed one) {
        int row = equations.priorRow(new Unknown.Tyre(one.sheet(), one.corner()));
        double standardised = row < 0 ? 0 : fit.standardised(row);
        return standardised * standardised;
    }

    /**
     * What a tyre's loaded radius on a sheet is more than on the first sheet of these wheels, beside what all tyres changed by; empty
     * where nothing was read of it.
     */
    Optional<Estimate> tyre(Freed one) {
        Map<Unknown, Double> radius = Map.of(new Unknown.Tyre(one.sheet(), one.corner()), 1.0);
        return equations.knows(radius) ? told(equations.function(radius, Map.of()), 0) : Optional.empty();
    }

    /** How far up the lip of a corner was moved by work on its arch between two sheets; empty when nothing tells. */
    public Optional<Estimate> lip(int before, int after, Corner corner) {
        Map<Unknown, Double> was = Map.of(equations.lip(before, corner), 1.0);
        Map<Unknown, Double> is = Map.of(equations.lip(after, corner), 1.0);
        return equations.knows(was) && equations.knows(is) ? told(equations.function(is, was), 0) : Optional.empty();
    }

    /**
     * Change of rake between two sheets from all readings: rear minus front by one method, mean of left and right, positive
     * nose-down. Empty when nothing was read of it.
     */
    public Optional<Estimate> rakeChange(int before, int after, Method method) {
        Map<Unknown, Double> plus = new HashMap<>();
        Map<Unknown, Double> minus = new HashMap<>();
        double twice = 0;
        for (Corner corner : Corner.WALK) {
            Map<Unknown, Double> was = equations.parts(before, corner, method);
            Map<Unknown, Double> is = equations.parts(after, corner, method);
            if (!equations.knows(was) || !equations.knows(is)) {
                return Optional.empty();
            }
            own(was);
            own(is);
            boolean rear = corner.end() == End.REAR;
            double here = equations.twice(before, corner, method) - equations.twice(after, corner, method);
            twice += (rear ? here : -here) / 2;
            is.forEach((unknown, factor) -> (rear ? plus : minus).merge(unknown, factor / 2, Double::sum));
            was.forEach((unknown, factor) -> (rear ? minus : plus).merge(unknown, factor / 2, Double::sum));
        }
        return told(equations.function(plus, minus), twice);
    }

    /** Without what another vehicle stood in for: how this one stood is asked. */
    private static Map<Unknown, Double> own(Map<Unknown, Double> parts) {
        parts.keySet().removeIf(Unknown.StandIn.class::isInstance);
        return parts;
    }

    private Optional<Estimate> told(double[] function, double constant) {
        double standard = fit.standard(function);
        return standard > PriorDeviations.FREE / 100
                ? Optional.empty()
                : Optional.of(
                        new Estimate(Length.ofRoundedMm(fit.value(function) + constant), Uncertainty.known(standard)));
    }

    /** The greatest standardised residual that a job without a mistake may be expected to have. */
    double limit() {
        int n = Math.max(1, equations.readings());
        return NormalDistribution.of(0, 1).inverseSurvivalProbability(FALSE_ALARMS / 2 / n);
    }

    /**
     * The most suspicious reading first, then those between which and it the data cannot choose, twins always among them;
     * empty when all readings go together.
     */
    public List<Outlier> suspects() {
        int worst = worst();
        if (worst < 0 || Math.abs(fit.standardised(worst)) <= limit()) {
            return List.of();
        }
        double most = square(worst);
        List<Outlier> suspects = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            boolean close = most - square(i) < UNDECIDED;
            if (close || fit.controlled(i) && Math.abs(fit.correlation(worst, i)) > TWINS) {
                suspects.add(suspect(i));
            }
        }
        suspects.sort(Comparator.comparingDouble((Outlier s) -> -Math.abs(s.weight())));
        return List.copyOf(suspects);
    }

    /**
     * The one height that would tell which of several suspects it is: of all heights of a sheet that the vehicle still stands
     * as on, the one after which the data can choose between any two of them, whichever it is. One that is read there already
     * is meant as a repeat by somebody else. Empty when no single height makes them choose.
     *
     * @param suspects as {@link #suspects()} gave them
     * @param sheet the sheet that can still be read
     */
    public Optional<MeasuringPoint> settles(List<Outlier> suspects, int sheet) {
        List<Integer> accused = suspects.stream().map(this::row).toList();
        MeasuringPoint best = null;
        double most = 0;
        for (Method method : Method.values()) {
            for (Corner corner : Corner.WALK) {
                MeasuringPoint spot = MeasuringPoint.of(corner, method);
                double tells = tells(accused, sheet, spot);
                // Somebody else is not always at hand: a repeat has to tell clearly more than a height that nobody
                // read.
                double worth = read(sheet, spot) ? tells / 2 : tells;
                if (tells > UNDECIDED && worth > most) {
                    most = worth;
                    best = spot;
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private boolean read(int sheet, MeasuringPoint spot) {
        return rows.stream().anyMatch(r -> r.sheet() == sheet && r.spot().equals(spot));
    }

    /** The least difference of chi-square to be expected between any two of the accused, either of them being wrong. */
    private double tells(List<Integer> accused, int sheet, MeasuringPoint spot) {
        double scale = Graduation.SIXTEENTH_INCH.step().mm() / Math.sqrt(12);
        double standard = Math.hypot(scale, spot.method().repeatability().mm());
        LeastSquares more = equations
                .with(equations.parts(sheet, spot.corner(), spot.method()), 0, standard)
                .solve();
        double least = Double.POSITIVE_INFINITY;
        for (int one : accused) {
            double size = fit.error(one) / more.errorStandard(one);
            for (int other : accused) {
                double alike = one == other ? 0 : more.correlation(one, other);
                least = Math.min(least, size * size * (1 - alike * alike));
            }
        }
        return least;
    }

    private int row(Outlier suspect) {
        return rows.indexOf(new Row(suspect.sheet(), suspect.spot(), suspect.reading()));
    }

    /** The row of the greatest standardised residual; -1 when there is none. */
    private int worst() {
        int worst = -1;
        for (int i = 0; i < rows.size(); i++) {
            if (worst < 0 || Math.abs(fit.standardised(i)) > Math.abs(fit.standardised(worst))) {
                worst = i;
            }
        }
        return worst;
    }

    /** The most suspicious reading, however little suspicious it is. */
    Optional<Outlier> mostSuspicious() {
        int worst = worst();
        return worst < 0 ? Optional.empty() : Optional.of(suspect(worst));
    }

    /** What chi-square loses without its most suspicious reading. */
    double mostGained() {
        int worst = worst();
        return worst < 0 ? 0 : square(worst);
    }

    private double square(int row) {
        return fit.standardised(row) * fit.standardised(row);
    }

    private Outlier suspect(int row) {
        return new Outlier(
                rows.get(row).sheet(),
                rows.get(row).spot(),
                rows.get(row).reading(),
                fit.standardised(row),
                Length.ofRoundedMm(fit.error(row)),
                Length.ofRoundedMm(fit.errorStandard(row)));
    }
}
