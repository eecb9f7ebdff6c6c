package abbex.app.prove;

import abbex.core.clearance.TyreBody.Worn;
import abbex.core.figure.Reason;
import abbex.core.heights.Contribution;
import abbex.core.heights.HeightFormula;
import abbex.core.motion.Motion;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.End;
import abbex.core.vehicle.VehicleKind;
import abbex.core.vehicle.WheelPlace;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;

/**
 * How far the corners of an end are swept.
 *
 * @param values by field: millimetres and degrees; rates are degrees over 25 mm of bump; without a planned drop it stays as
 *     it stands
 * @param chains true when a traction device has to clear as well
 */
public record SweepPlan(Map<SweepField, Double> values, boolean chains) {
    private static final double RATED_OVER = 25;

    public SweepPlan {
        values = Map.copyOf(values);
    }

    static SweepPlan usual(End end, VehicleKind kind) {
        Map<SweepField, Double> values = new EnumMap<>(SweepField.class);
        for (SweepField field : SweepField.values()) {
            if (field != SweepField.LOWER) {
                values.put(field, field.usual(end, kind));
            }
        }
        return new SweepPlan(values, false);
    }

    double of(SweepField field) {
        return Objects.requireNonNull(values.get(field), field.name());
    }

    /** How far it is to come down from as arrived, mm; empty when it stays as it stands. */
    OptionalDouble lower() {
        Double lower = values.get(SweepField.LOWER);
        return lower == null ? OptionalDouble.empty() : OptionalDouble.of(lower);
    }

    /**
     * After a change of the planned drop alone: stop and droop limit stay where they are on the body, so that less drop leaves
     * as much more bump. What was typed anew counts as typed.
     */
    SweepPlan after(SweepPlan before) {
        if (lower().isEmpty() || before.lower().isEmpty()) {
            return this;
        }
        double raised = before.lower().getAsDouble() - lower().getAsDouble();
        Map<SweepField, Double> moved = new EnumMap<>(values);
        follow(moved, before, SweepField.STOP, raised);
        follow(moved, before, SweepField.DROOP, -raised);
        return new SweepPlan(moved, chains);
    }

    private void follow(Map<SweepField, Double> moved, SweepPlan before, SweepField field, double by) {
        if (of(field) == before.of(field)) {
            moved.put(field, Math.max(field.least(), Math.min(field.most(), of(field) + by)));
        }
    }

    /** What a field of the form holds. */
    public String text(SweepField field) {
        return values.containsKey(field) ? CornerPages.plain(of(field)) : "";
    }

    /** The plan of an end as a part of its ride height. */
    List<Contribution> contributions(End end) {
        if (lower().isEmpty()) {
            return List.of();
        }
        Estimate drop = new Estimate(Length.ofRoundedMm(lower().getAsDouble()), Uncertainty.NONE);
        return List.of(new Contribution("", end, drop, Reason.of(HeightFormula.PLANNED, drop)));
    }

    Worn worn() {
        return chains ? Worn.CHAINS : Worn.NOTHING;
    }

    Motion motion(WheelPlace corner) {
        // Toe-out turns a left wheel to the left and a right one to the right.
        double side = corner.fromLeft() ? -1 : 1;
        return new StraightMotion(
                Range.of(
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
