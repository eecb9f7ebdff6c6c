package abbex.core.heights;

import abbex.core.figure.Finding;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Vehicle;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Left and right, or front and rear, of a sheet written into each other's places. Suspected where undoing it makes all readings
 * go together and nothing else has to be wrong for it.
 *
 * @param sheet counted from 0
 * @param across left with right; else front with rear
 * @param methods those whose readings were exchanged
 */
record Exchange(int sheet, boolean across, List<Method> methods) {
    /** What chi-square has to lose by it (ours): three standard deviations of one reading. */
    private static final double GAIN = 9;

    /** What chi-square may gain by a body that has to have moved as one: one in twenty of two freedoms (ours). */
    private static final double AS_ONE = 6;

    /**
     * The one that explains most; empty where none explains all. What a side that came down leaves over is none: undone, the body
     * has to have moved as one.
     */
    static Optional<Exchange> find(
            Vehicle vehicle, List<HeightSheet> sheets, Adjustment adjusted, PriorDeviations freedoms) {
        if (sheets.size() < 2 || adjusted.chiSquare() < GAIN + ordinary(adjusted.redundancy())) {
            return Optional.empty();
        }
        Exchange best = null;
        double least = adjusted.chiSquare() - GAIN;
        for (int sheet = 1; sheet < sheets.size(); sheet++) {
            for (Exchange one : of(sheets.get(sheet), sheet)) {
                List<HeightSheet> right = one.undone(sheets);
                Adjustment undone = Adjustment.of(vehicle, right, freedoms);
                if (undone.chiSquare() < least
                        && undone.suspects().isEmpty()
                        && !undone.restless()
                        && Adjustment.of(vehicle, right, freedoms.asOne()).chiSquare()
                                < Adjustment.of(vehicle, right, freedoms.askew())
                                                .chiSquare()
                                        + AS_ONE) {
                    least = undone.chiSquare();
                    best = one;
                }
            }
        }
        return Optional.ofNullable(best);
    }

    /** What readings that are all in their places hardly fall short of: one standard deviation under the mean of chi-square. */
    private static double ordinary(double redundancy) {
        return Math.max(0, redundancy - Math.sqrt(2 * redundancy));
    }

    /** Every method that was read at all corners, and all of those at once. */
    private static List<Exchange> of(HeightSheet sheet, int number) {
        List<Method> read = Stream.of(Method.values()).filter(sheet::complete).toList();
        List<Exchange> all = new ArrayList<>();
        for (boolean across : List.of(true, false)) {
            read.forEach(method -> all.add(new Exchange(number, across, List.of(method))));
            if (read.size() > 1) {
                all.add(new Exchange(number, across, read));
            }
        }
        return all;
    }

    private List<HeightSheet> undone(List<HeightSheet> sheets) {
        HeightSheet other = sheets.get(sheet);
        for (Method method : methods) {
            for (Corner corner : List.of(Corner.LF, across ? Corner.LR : Corner.RF)) {
                other = other.exchanged(
                        MeasuringPoint.of(corner, method),
                        MeasuringPoint.of(across ? across(corner) : along(corner), method));
            }
        }
        List<HeightSheet> undone = new ArrayList<>(sheets);
        undone.set(sheet, other);
        return undone;
    }

    private static Corner across(Corner corner) {
        return corner.isLeft() ? corner.end().right() : corner.end().left();
    }

    private static Corner along(Corner corner) {
        return corner.alongside();
    }

    /** The readings that stand in a wrong place; none of them tells where the vehicle stands. */
    List<Outlier> held(List<HeightSheet> sheets) {
        return sheets.get(sheet).all().stream()
                .filter(height -> methods.contains(height.spot().method()))
                .flatMap(height -> height.readings().stream()
                        .map(reading -> new Outlier(sheet, height.spot(), reading, 0, Length.ZERO, Length.ZERO)))
                .toList();
    }

    Finding finding(List<HeightSheet> sheets) {
        Stage stage = sheets.get(sheet).basis().stage();
        MeasuringPoint first = MeasuringPoint.of(Corner.LF, methods.get(0));
        return across
                ? new HeightFinding.SidesExchanged(first, methods, stage)
                : new HeightFinding.EndsExchanged(first, methods, stage);
    }
}
