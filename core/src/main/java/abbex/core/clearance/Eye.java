package abbex.core.clearance;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What the eye sees at a corner that stands: air over the tyre, how even it is round the arch, and where the tyre's edge stands
 * against the lip. Taken from the lip's probes, so with the planned wheels and at the planned height.
 *
 * @param over least air from the tread to the lip near 12 o'clock, mm; empty when nobody probed there
 * @param evenness most less least air round the arch, mm; empty where fewer than two places were probed
 * @param poke of the tyre's outer sidewall beyond the lip, mm, positive poke, negative tuck; empty when no probe says where
 *     the lip stands across
 */
public record Eye(OptionalDouble over, OptionalDouble evenness, OptionalDouble poke) {
    /** From 11 to 1. */
    private static final double TOP = Math.toRadians(31);

    public static Eye of(ClearanceModel corner) {
        TyreBody tyre = TyreBody.of(corner.planned());
        List<double[]> lip = corner.obstacles().stream()
                .filter(o -> o.place() == ProbePlace.FENDER_LIP)
                .map(ClearanceModel.Obstacle::point)
                .toList();
        double[] air = lip.stream()
                .mapToDouble(p -> Math.hypot(p[0], p[2]) - tyre.outside())
                .toArray();
        OptionalDouble over = lip.stream()
                .filter(p -> Math.abs(Math.atan2(p[0], p[2])) < TOP)
                .mapToDouble(p -> Math.hypot(p[0], p[2]) - tyre.outside())
                .min();
        OptionalDouble evenness = air.length < 2
                ? OptionalDouble.empty()
                : OptionalDouble.of(java.util.Arrays.stream(air).max().orElse(0)
                        - java.util.Arrays.stream(air).min().orElse(0));
        // A gap straight out from the tread says nothing of where the lip stands across: it lies over the middle.
        OptionalDouble poke = lip.stream()
                .filter(p -> p[1] > tyre.middle() + tyre.half() / 2)
                .mapToDouble(p -> tyre.middle() + tyre.half() - p[1])
                .max();
        return new Eye(over, evenness, poke);
    }

    /**
     * How alike the gaps in front and rear look, each the mean of its sides, 0 to 100: 100 when they are the same, less by a point for each per cent that
     * the smaller is less than the larger (ours).
     */
    public static Optional<Integer> alike(List<Eye> front, List<Eye> rear) {
        OptionalDouble a = mean(front);
        OptionalDouble b = mean(rear);
        if (a.isEmpty() || b.isEmpty() || a.getAsDouble() <= 0 || b.getAsDouble() <= 0) {
            return Optional.empty();
        }
        double less = Math.min(a.getAsDouble(), b.getAsDouble());
        double more = Math.max(a.getAsDouble(), b.getAsDouble());
        return Optional.of((int) Math.round(100 * less / more));
    }

    private static OptionalDouble mean(List<Eye> sides) {
        return sides.stream()
                .map(Eye::over)
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .average();
    }
}
