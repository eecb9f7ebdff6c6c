package abbex.core.heights;

import abbex.core.adjust.LeastSquares;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Vehicle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * All readings of a job as one truth: adjusted at once by least squares, with the reading that does not go with the rest, or
 * the readings between which the data cannot choose. It accuses rarely and corrects nothing.
 */
public final class Adjustment {
    /** Of a hundred jobs without a mistake so many may be accused, shared out over the readings (ours). */
    private static final double FALSE_ALARMS = 0.006;
    /** A difference of chi-square under which the data cannot choose (two standard deviations; common practice). */
    private static final double UNDECIDED = 4;
    /** From here on two readings are twins: no data can tell an error in one from the opposite in the other. */
    private static final double TWINS = 0.9999;
    /** Where the frame points are when nobody has measured them: share of wheelbase and track (ours). */
    private static final double USUAL_FRAME_PITCH = 0.65;

    private static final double USUAL_FRAME_ROLL = 0.85;

    /** A quarter of the diagonal difference that another floor may bring (ours): 20 mm. */
    private static final double ANOTHER_FLOOR = 5;

    private record Row(int sheet, Spot spot) {}

    private final Equations equations;
    private final List<Row> rows;
    private final LeastSquares fit;

    private Adjustment(Equations equations, List<Row> rows, LeastSquares fit) {
        this.equations = equations;
        this.rows = rows;
        this.fit = fit;
    }

    /**
     * Adjusts all heights of a job.
     *
     * @param sheets in order of time, the first being the datum
     */
    public static Adjustment of(Vehicle vehicle, List<HeightSheet> sheets, Freedoms freedoms) {
        return of(
                vehicle,
                sheets,
                freedoms,
                (sheet, height) -> height.estimate().uncertainty().standard());
    }

    /** The standard deviation of a height in mm. */
    interface Standard {
        double of(int sheet, Height height);
    }

    /** The same with other standard deviations than the heights' own. */
    static Adjustment of(Vehicle vehicle, List<HeightSheet> sheets, Freedoms freedoms, Standard standard) {
        double pitch = vehicle.frameBase()
                .flatMap(frame -> vehicle.wheelbase().map(base -> frame.mm() / base.mm()))
                .orElse(USUAL_FRAME_PITCH);
        Equations equations = new Equations(freedoms, pitch, USUAL_FRAME_ROLL);
        List<Row> rows = new ArrayList<>();
        for (int sheet = 0; sheet < sheets.size(); sheet++) {
            state(equations, sheets, sheet);
            for (Height height : sheets.get(sheet).all()) {
                Spot spot = height.spot();
                Map<String, Double> parts = equations.parts(sheet, spot.corner(), spot.method());
                double value = height.estimate().value().mm();
                origins(equations, spot, value);
                equations.add(parts, value, standard.of(sheet, height));
                rows.add(new Row(sheet, spot));
            }
        }
        return new Adjustment(equations, rows, equations.solve());
    }

    /** What somebody said of the state loosens what it touches: other wheels, another pressure, another bay. */
    private static void state(Equations equations, List<HeightSheet> sheets, int sheet) {
        SheetState here = sheets.get(sheet).state();
        int wheels = 0;
        while (wheels < sheet && sheets.get(wheels).state().differs(here, SheetState.Item.WHEEL_SET)) {
            wheels++;
        }
        equations.sheet(wheels);
        SheetState first = sheets.get(wheels).state();
        for (Corner corner : Corner.WALK) {
            Optional<Pressure> was = first.pressure(corner);
            Optional<Pressure> is = here.pressure(corner);
            if (was.isPresent() && is.isPresent() && was.get().differsFrom(is.get())) {
                equations.width("tyre " + sheet + " " + corner, Freedoms.FREE);
            }
        }
        if (sheets.get(0).state().differs(here, SheetState.Item.BAY)) {
            equations.width("twist " + sheet, ANOTHER_FLOOR);
        }
    }

    private static void origins(Equations equations, Spot spot, double value) {
        switch (spot.method()) {
            case GF -> equations.origin("lip " + spot.corner(), value);
            case FG -> equations.origin("frame " + spot.corner(), value);
            default -> {}
        }
    }

    /** The weighted sum of squared residuals, over readings and the freedoms that were used up. */
    public double chiSquare() {
        return fit.chiSquare();
    }

    /** Readings beyond what is needed. */
    public int redundancy() {
        return fit.redundancy();
    }

    /** How far a corner came down by a method between two sheets, from all readings; empty when nothing was read of it. */
    public Optional<Estimate> drop(int before, int after, Corner corner, Method method) {
        Map<String, Double> was = equations.parts(before, corner, method);
        Map<String, Double> is = equations.parts(after, corner, method);
        if (!equations.knows(was) || !equations.knows(is)) {
            return Optional.empty();
        }
        double[] function = equations.function(was, is);
        double standard = fit.standard(function);
        return standard > Freedoms.FREE / 100
                ? Optional.empty()
                : Optional.of(new Estimate(Length.ofRoundedMm(fit.value(function)), Uncertainty.known(standard)));
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
    public List<Suspect> suspects() {
        int worst = worst();
        if (worst < 0 || Math.abs(fit.standardised(worst)) <= limit()) {
            return List.of();
        }
        double most = square(worst);
        List<Suspect> suspects = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            boolean close = most - square(i) < UNDECIDED;
            if (close || fit.controlled(i) && Math.abs(fit.correlation(worst, i)) > TWINS) {
                suspects.add(suspect(i));
            }
        }
        suspects.sort(Comparator.comparingDouble((Suspect s) -> -Math.abs(s.weight())));
        return List.copyOf(suspects);
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
    Optional<Suspect> mostSuspicious() {
        int worst = worst();
        return worst < 0 ? Optional.empty() : Optional.of(suspect(worst));
    }

    private double square(int row) {
        return fit.standardised(row) * fit.standardised(row);
    }

    private Suspect suspect(int row) {
        return new Suspect(
                rows.get(row).sheet(),
                rows.get(row).spot(),
                fit.standardised(row),
                Length.ofRoundedMm(fit.error(row)),
                Length.ofRoundedMm(fit.errorStandard(row)));
    }
}
