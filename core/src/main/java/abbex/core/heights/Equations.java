package abbex.core.heights;

import abbex.core.adjust.LeastSquares;
import abbex.core.heights.Unknown.Freedom;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The equations that tie all readings of a job together: the lips' and frame points' shape, a pose per sheet, loaded,
 * unloaded and rim radii. The first sheet is the datum of the poses.
 *
 * <p>A lip stands over the ground at shape + heave + pitch·a + roll·b + twist·a·b with a = ±1 front and rear and b = ±1 left
 * and right, so that the diagonal difference is four times the twist.
 */
final class Equations {
    /** How well the body stays where it is while somebody works on an arch, one standard deviation in mm (ours). */
    private static final double SAME_HEAVE = 1;

    private static final double SAME_ANGLE = 0.3;

    private final List<Map<Integer, Double>> rows = new ArrayList<>();
    private final List<Double> observed = new ArrayList<>();
    private final List<Double> sigma = new ArrayList<>();
    private final Map<Unknown, Integer> columns = new LinkedHashMap<>();
    private final Map<Unknown, Double> origins = new LinkedHashMap<>();
    private final Map<Unknown, Double> widths = new LinkedHashMap<>();
    private final List<Integer> wheels = new ArrayList<>();
    private final List<int[]> lips = new ArrayList<>();
    private final List<Tie> ties = new ArrayList<>();
    private final PriorDeviations freedoms;
    private final FramePlaces frame;

    /** What is known of a sum of unknowns without a reading. */
    private record Tie(Map<Unknown, Double> parts, double standard) {}

    Equations(PriorDeviations freedoms, FramePlaces frame) {
        this.freedoms = freedoms;
        this.frame = frame;
        for (Unknown.FramePlace place : Unknown.FramePlace.values()) {
            widths.put(place, frame.width(place));
        }
    }

    /** The same equations with one more observation; these stay as they are. */
    Equations with(Map<Unknown, Double> parts, double value, double standard) {
        Equations more = new Equations(freedoms, frame);
        more.rows.addAll(rows);
        more.observed.addAll(observed);
        more.sigma.addAll(sigma);
        more.columns.putAll(columns);
        more.origins.putAll(origins);
        more.widths.putAll(widths);
        more.wheels.addAll(wheels);
        more.lips.addAll(lips);
        more.ties.addAll(ties);
        more.add(parts, value, standard);
        return more;
    }

    /**
     * The next sheet.
     *
     * @param wheelsOf whose wheels it stood on: the number of the first sheet with that set
     * @param worked the corners whose lip alone was worked on since the sheet before
     * @param standIn what was measured in place of this vehicle
     */
    void sheet(int wheelsOf, Set<Corner> worked, SubstituteBaseline standIn) {
        int sheet = wheels.size();
        wheels.add(wheelsOf);
        if (standIn != SubstituteBaseline.NONE) {
            widths.put(new Unknown.StandIn(Freedom.HEAVE, sheet), standIn.heaveMm());
            widths.put(new Unknown.StandIn(Freedom.PITCH, sheet), standIn.pitchMm());
        }
        int[] datum =
                sheet == 0 ? new int[Corner.WALK.size()] : lips.get(sheet - 1).clone();
        if (sheet > 0 && !worked.isEmpty()) {
            worked.forEach(corner -> datum[corner.ordinal()]++);
            same(Freedom.HEAVE, sheet, SAME_HEAVE);
            same(Freedom.PITCH, sheet, SAME_ANGLE);
            same(Freedom.ROLL, sheet, SAME_ANGLE);
            same(Freedom.TWIST, sheet, SAME_ANGLE);
        }
        lips.add(datum);
    }

    /** Work on an arch leaves the body where it is. */
    private void same(Freedom freedom, int sheet, double standard) {
        Map<Unknown, Double> parts = new LinkedHashMap<>();
        parts.put(new Unknown.Moved(freedom, sheet), 1.0);
        if (sheet > 1) {
            parts.put(new Unknown.Moved(freedom, sheet - 1), -1.0);
        }
        ties.add(new Tie(parts, standard));
    }

    /** The lip of a corner as it is on a sheet. */
    Unknown lip(int sheet, Corner corner) {
        return new Unknown.Lip(corner, lips.get(sheet)[corner.ordinal()]);
    }

    /** An unknown that is freer than usual, for a reason that somebody said. */
    void width(Unknown unknown, double standard) {
        widths.put(unknown, standard);
    }

    /** What a height is made of, each unknown with its factor. */
    Map<Unknown, Double> parts(int sheet, Corner corner, Method method) {
        Map<Unknown, Double> parts = new LinkedHashMap<>();
        boolean rail = method == Method.FG;
        double a = rail ? frame.forward(corner) : corner.end() == End.FRONT ? 1 : -1;
        double b = rail ? frame.leftward(corner) : corner.isLeft() ? 1 : -1;
        parts.put(rail ? new Unknown.FramePoint(corner) : lip(sheet, corner), 1.0);
        if (sheet > 0) {
            parts.put(new Unknown.Moved(Freedom.HEAVE, sheet), 1.0);
            parts.put(new Unknown.Moved(Freedom.PITCH, sheet), a);
            parts.put(new Unknown.Moved(Freedom.ROLL, sheet), b);
            parts.put(new Unknown.Moved(Freedom.TWIST, sheet), a * b);
            if (rail) {
                for (Unknown.FramePlace place : Unknown.FramePlace.values()) {
                    parts.put(place, frame.slope(sheet, corner, place));
                }
            }
        }
        if (widths.containsKey(new Unknown.StandIn(Freedom.HEAVE, sheet))) {
            parts.put(new Unknown.StandIn(Freedom.HEAVE, sheet), 1.0);
            parts.put(new Unknown.StandIn(Freedom.PITCH, sheet), a);
        }
        if (method == Method.HF || method == Method.RIM || method == Method.TG) {
            wheel(parts, sheet, corner, method);
        }
        return parts;
    }

    /** What the sum of its parts says too much of a height, in mm; nought but for a frame point. */
    double twice(int sheet, Corner corner, Method method) {
        return method == Method.FG && sheet > 0 ? frame.twice(sheet, corner) : 0;
    }

    /** The same equations' frame, about a solution of them. */
    FramePlaces frame(LeastSquares fit) {
        return frame.at(unknown -> {
            Integer column = columns.get(unknown);
            return column == null ? 0 : fit.value(column.intValue());
        });
    }

    private void wheel(Map<Unknown, Double> parts, int sheet, Corner corner, Method method) {
        int set = wheels.get(sheet);
        parts.put(new Unknown.Loaded(set, corner.end()), -1.0);
        parts.put(new Unknown.Sides(set, corner.end()), corner.isLeft() ? -1.0 : 1.0);
        if (sheet > set) {
            parts.put(new Unknown.Tyres(sheet), -1.0);
            parts.put(new Unknown.Tyre(sheet, corner), -1.0);
        }
        if (method == Method.RIM) {
            parts.put(new Unknown.Rim(set, corner.end()), 1.0);
            parts.put(new Unknown.Wheel(set, corner), 1.0);
        }
        if (method == Method.TG) {
            parts.put(new Unknown.Radius(set, corner.end()), -1.0);
            parts.put(new Unknown.Tread(set, corner), -1.0);
        }
    }

    /** The width within which an unknown stays by itself. */
    private double prior(Unknown unknown) {
        Double said = widths.get(unknown);
        return said == null ? unknown.prior(freedoms) : said;
    }

    void add(Map<Unknown, Double> parts, double value, double standard) {
        Map<Integer, Double> row = new LinkedHashMap<>();
        parts.forEach((unknown, factor) -> row.put(column(unknown), factor));
        rows.add(row);
        observed.add(value);
        sigma.add(standard);
    }

    /** Every observation, then every tie, then every prior. */
    LeastSquares solve() {
        ties.forEach(tie -> tie.parts().keySet().forEach(this::column));
        int readings = rows.size();
        int unknowns = columns.size();
        int priors = readings + ties.size();
        double[][] design = new double[priors + unknowns][unknowns];
        double[] values = new double[priors + unknowns];
        double[] standards = new double[priors + unknowns];
        for (int i = 0; i < readings; i++) {
            for (Map.Entry<Integer, Double> part : rows.get(i).entrySet()) {
                design[i][part.getKey()] = part.getValue();
            }
            values[i] = observed.get(i);
            standards[i] = sigma.get(i);
        }
        for (int i = 0; i < ties.size(); i++) {
            double[] row = design[readings + i];
            ties.get(i).parts().forEach((unknown, factor) -> row[column(unknown)] = factor);
            standards[readings + i] = ties.get(i).standard();
        }
        columns.forEach((unknown, column) -> {
            design[priors + column][column] = 1;
            values[priors + column] = origins.getOrDefault(unknown, 0.0);
            standards[priors + column] = prior(unknown);
        });
        return LeastSquares.solve(design, values, standards);
    }

    /** The row of the solved design that says how wide an unknown is by itself; -1 where nothing was said of it. */
    int priorRow(Unknown unknown) {
        Integer column = columns.get(unknown);
        return column == null ? -1 : rows.size() + ties.size() + column;
    }

    /** How many readings the free unknowns use up: one for each that the readings settle. */
    double used(LeastSquares fit) {
        double used = 0;
        for (Map.Entry<Unknown, Integer> column : columns.entrySet()) {
            double width = prior(column.getKey());
            if (width >= PriorDeviations.FREE) {
                used += 1 - fit.covariance(column.getValue(), column.getValue()) / (width * width);
            }
        }
        return used;
    }

    private int column(Unknown unknown) {
        return columns.computeIfAbsent(unknown, u -> columns.size());
    }

    /** Where a free unknown is looked for, so that its wide prior pulls at nothing. */
    void origin(Unknown unknown, double value) {
        origins.putIfAbsent(unknown, value);
    }

    /** A difference of two heights as a function of the unknowns; empty coefficients for what nothing was said of. */
    double[] function(Map<Unknown, Double> plus, Map<Unknown, Double> minus) {
        double[] function = new double[columns.size()];
        plus.forEach((unknown, factor) -> put(function, unknown, factor));
        minus.forEach((unknown, factor) -> put(function, unknown, -factor));
        return function;
    }

    boolean knows(Map<Unknown, Double> parts) {
        return columns.keySet().containsAll(parts.keySet());
    }

    private void put(double[] function, Unknown unknown, double factor) {
        Integer column = columns.get(unknown);
        if (column != null) {
            function[column] += factor;
        }
    }

    int readings() {
        return rows.size();
    }
}
