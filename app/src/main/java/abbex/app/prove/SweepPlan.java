package abbex.app.prove;

import abbex.core.clearance.Motion;
import abbex.core.clearance.TyreBody.Worn;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;

/**
 * How far the corners of an end are swept.
 *
 * @param values by field: millimetres and degrees; rates are degrees over 25 mm of bump
 * @param chains true when a traction device has to clear as well
 */
public record SweepPlan(Map<SweepField, Double> values, boolean chains) {
    private static final double RATED_OVER = 25;

    public SweepPlan {
        values = Map.copyOf(values);
    }

    static SweepPlan usual(End end, boolean motorcycle) {
        Map<SweepField, Double> values = new EnumMap<>(SweepField.class);
        for (SweepField field : SweepField.values()) {
            values.put(field, field.usual(end, motorcycle));
        }
        return new SweepPlan(values, false);
    }

    double of(SweepField field) {
        return Objects.requireNonNull(values.get(field), field.name());
    }

    /** How much lower it stands now than when it was first probed, mm: what is measured now is measured there. */
    double stands() {
        return of(SweepField.STANDS);
    }

    /** How much lower than when it was first probed it is to stand, mm. */
    double lower() {
        return of(SweepField.LOWER);
    }

    /** What a field of the form holds; a planned height that is the present one is left blank. */
    public String text(SweepField field) {
        boolean same = field == SweepField.LOWER && lower() == stands();
        return same ? "" : ProvePages.plain(of(field));
    }

    Worn worn() {
        return chains ? Worn.CHAINS : Worn.NOTHING;
    }

    Motion.Straight motion(Corner corner) {
        // Toe-out turns a left wheel to the left and a right one to the right.
        double side = corner.isLeft() ? -1 : 1;
        return new Motion.Straight(
                Motion.Range.of(
                        corner,
                        of(SweepField.DROOP),
                        of(SweepField.STOP) + of(SweepField.CRUSH),
                        radians(SweepField.INNER),
                        radians(SweepField.OUTER),
                        radians(SweepField.ROLL)),
                radians(SweepField.CAMBER),
                radians(SweepField.CAMBER_RATE) / RATED_OVER,
                side * radians(SweepField.STEER_RATE) / RATED_OVER,
                of(SweepField.AXIS));
    }

    private double radians(SweepField field) {
        return Math.toRadians(of(field));
    }
}
