package abbex.core.heights;

import abbex.core.adjust.LeastSquares;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The equations that tie all readings of a job together: the lips' and frame
 * points' shape, a pose per sheet, loaded, unloaded and rim radii. The first sheet is the datum of the poses.
 *
 * <p>A lip stands over the ground at shape + heave + pitch·a + roll·b + twist·a·b with a = ±1 front and rear and b = ±1 left
 * and right, so that the diagonal difference is four times the twist.
 */
final class Equations {
    private final List<Map<Integer, Double>> rows = new ArrayList<>();
    private final List<Double> observed = new ArrayList<>();
    private final List<Double> sigma = new ArrayList<>();
    private final Map<String, Integer> columns = new LinkedHashMap<>();
    private final Map<String, Double> origins = new LinkedHashMap<>();
    private final Map<String, Double> widths = new LinkedHashMap<>();
    private final List<Integer> wheels = new ArrayList<>();
    private final Freedoms freedoms;
    private final double framePitch;
    private final double frameRoll;

    /**
     * @param framePitch distance of the frame points from the middle, in half wheelbases
     * @param frameRoll the same across, in half tracks
     */
    Equations(Freedoms freedoms, double framePitch, double frameRoll) {
        this.freedoms = freedoms;
        this.framePitch = framePitch;
        this.frameRoll = frameRoll;
    }

    /** The next sheet and whose wheels it stood on: the number of the first sheet with that set. */
    void sheet(int wheelsOf) {
        wheels.add(wheelsOf);
    }

    /** An unknown that is freer than usual, for a reason that somebody said. */
    void width(String unknown, double standard) {
        widths.put(unknown, standard);
    }

    /** What a height is made of, each unknown with its factor. */
    Map<String, Double> parts(int sheet, Corner corner, Method method) {
        Map<String, Double> parts = new LinkedHashMap<>();
        boolean frame = method == Method.FG;
        double a = (corner.end() == End.FRONT ? 1 : -1) * (frame ? framePitch : 1);
        double b = (corner.isLeft() ? 1 : -1) * (frame ? frameRoll : 1);
        parts.put((frame ? "frame " : "lip ") + corner, 1.0);
        if (sheet > 0) {
            parts.put("heave " + sheet, 1.0);
            parts.put("pitch " + sheet, a);
            parts.put("roll " + sheet, b);
            parts.put("twist " + sheet, a * b);
        }
        if (method == Method.HF || method == Method.RIM || method == Method.TG) {
            wheel(parts, sheet, corner, method);
        }
        return parts;
    }

    private void wheel(Map<String, Double> parts, int sheet, Corner corner, Method method) {
        int set = wheels.get(sheet);
        String of = set + " ";
        parts.put("loaded " + of + corner.end(), -1.0);
        parts.put("sides " + of + corner.end(), corner.isLeft() ? -1.0 : 1.0);
        if (sheet > set) {
            parts.put("tyres " + sheet, -1.0);
            parts.put("tyre " + sheet + " " + corner, -1.0);
        }
        if (method == Method.RIM) {
            parts.put("rim " + of + corner.end(), 1.0);
            parts.put("wheel " + of + corner, 1.0);
        }
        if (method == Method.TG) {
            parts.put("radius " + of + corner.end(), -1.0);
            parts.put("tread " + of + corner, -1.0);
        }
    }

    /** The width within which an unknown stays by itself. */
    private double prior(String unknown) {
        if (widths.containsKey(unknown)) {
            return widths.get(unknown);
        }
        return switch (unknown.substring(0, unknown.indexOf(' '))) {
            case "twist" -> freedoms.diagonal() / 4;
            case "sides" -> freedoms.sides() / 2;
            case "tyres" -> freedoms.tyresOfSheet();
            case "tyre" -> freedoms.tyre();
            case "wheel" -> freedoms.wheel();
            case "tread" -> freedoms.tread();
            default -> Freedoms.FREE;
        };
    }

    void add(Map<String, Double> parts, double value, double standard) {
        Map<Integer, Double> row = new LinkedHashMap<>();
        parts.forEach((unknown, factor) -> row.put(columns.computeIfAbsent(unknown, u -> columns.size()), factor));
        rows.add(row);
        observed.add(value);
        sigma.add(standard);
    }

    /** Every observation, then every prior. */
    LeastSquares solve() {
        int readings = rows.size();
        int unknowns = columns.size();
        double[][] design = new double[readings + unknowns][unknowns];
        double[] values = new double[readings + unknowns];
        double[] standards = new double[readings + unknowns];
        for (int i = 0; i < readings; i++) {
            for (Map.Entry<Integer, Double> part : rows.get(i).entrySet()) {
                design[i][part.getKey()] = part.getValue();
            }
            values[i] = observed.get(i);
            standards[i] = sigma.get(i);
        }
        columns.forEach((unknown, column) -> {
            design[readings + column][column] = 1;
            values[readings + column] = origins.getOrDefault(unknown, 0.0);
            standards[readings + column] = prior(unknown);
        });
        return LeastSquares.solve(design, values, standards);
    }

    /** Where a free unknown is looked for, so that its wide prior pulls at nothing. */
    void origin(String unknown, double value) {
        origins.putIfAbsent(unknown, value);
    }

    /** A difference of two heights as a function of the unknowns; empty coefficients for what nothing was said of. */
    double[] function(Map<String, Double> plus, Map<String, Double> minus) {
        double[] function = new double[columns.size()];
        plus.forEach((unknown, factor) -> put(function, unknown, factor));
        minus.forEach((unknown, factor) -> put(function, unknown, -factor));
        return function;
    }

    boolean knows(Map<String, Double> parts) {
        return columns.keySet().containsAll(parts.keySet());
    }

    private void put(double[] function, String unknown, double factor) {
        Integer column = columns.get(unknown);
        if (column != null) {
            function[column] += factor;
        }
    }

    int readings() {
        return rows.size();
    }
}
