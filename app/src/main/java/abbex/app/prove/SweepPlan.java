package abbex.app.prove;

import abbex.app.page.Reader;
import abbex.core.clearance.TyreBody.Worn;
import abbex.core.figure.Reason;
import abbex.core.heights.Contribution;
import abbex.core.heights.HeightFormula;
import abbex.core.motion.Gain;
import abbex.core.motion.Known;
import abbex.core.motion.Motion;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Architecture;
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
 * @param values what was measured or planned, by field: millimetres and degrees; rates are degrees over 25 mm of bump; without
 *     a planned drop it stays as it stands
 * @param usual what counts for the rest
 * @param width how far what comes with bump may lie from that where nobody measured it, one standard deviation
 * @param chains true when a traction device has to clear as well
 */
public record SweepPlan(Map<SweepField, Double> values, Map<SweepField, Double> usual, Gain width, boolean chains) {
    /** Rates are told over so much bump, mm. */
    static final double RATED_OVER = 25;

    /** A stop's crush that nobody measured, one standard deviation in mm (ours). */
    private static final double ANY_CRUSH = 6;

    public SweepPlan {
        values = Map.copyOf(values);
        usual = Map.copyOf(usual);
    }

    /** Nothing measured. */
    static SweepPlan usual(End end, VehicleKind kind, Architecture architecture) {
        Map<SweepField, Double> usual = new EnumMap<>(SweepField.class);
        for (SweepField field : SweepField.values()) {
            if (field != SweepField.LOWER) {
                usual.put(field, field.usual(end, kind, architecture));
            }
        }
        return new SweepPlan(
                Map.of(), usual, kind.singleTrack() ? Gain.singleTrackWidth() : Gain.width(architecture), false);
    }

    /** The same with other values measured or planned. */
    SweepPlan with(Map<SweepField, Double> other, boolean withChains) {
        return new SweepPlan(other, usual, width, withChains);
    }

    double of(SweepField field) {
        Double value = values.get(field);
        return value != null ? value : Objects.requireNonNull(usual.get(field), field.name());
    }

    boolean measured(SweepField field) {
        return values.containsKey(field);
    }

    /** How far the wheel goes up with the stop crushed, mm. */
    double bump() {
        return of(SweepField.STOP) + of(SweepField.CRUSH);
    }

    /** Where nobody measured the rod, the travel that the axle has under the frame is the bump, mm. */
    SweepPlan travelling(OptionalDouble travel) {
        if (measured(SweepField.STOP) || travel.isEmpty()) {
            return this;
        }
        Map<SweepField, Double> told = new EnumMap<>(SweepField.class);
        told.putAll(values);
        double whole = Math.max(0, Math.min(SweepField.STOP.most(), travel.getAsDouble()));
        double crush = Math.min(whole, of(SweepField.CRUSH));
        told.put(SweepField.CRUSH, crush);
        told.put(SweepField.STOP, whole - crush);
        return with(told, chains);
    }

    /** Where nobody measured the rod here, what the kit's plan leaves of it counts, mm at the wheel. */
    SweepPlan stopping(OptionalDouble left) {
        if (measured(SweepField.STOP) || left.isEmpty()) {
            return this;
        }
        Map<SweepField, Double> told = new EnumMap<>(SweepField.class);
        told.putAll(values);
        told.put(
                SweepField.STOP,
                Math.max(SweepField.STOP.least(), Math.min(SweepField.STOP.most(), left.getAsDouble())));
        return with(told, chains);
    }

    /** The same with a drop that counts while nobody planned another, mm from as arrived. */
    SweepPlan promised(double drop) {
        Map<SweepField, Double> other = new EnumMap<>(SweepField.class);
        other.putAll(usual);
        other.put(SweepField.LOWER, Math.max(SweepField.LOWER.least(), Math.min(SweepField.LOWER.most(), drop)));
        return new SweepPlan(values, other, width, chains);
    }

    /** How far it is to come down from as arrived, mm; empty when it stays as it stands. */
    OptionalDouble lower() {
        Double lower = values.getOrDefault(SweepField.LOWER, usual.get(SweepField.LOWER));
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
        Map<SweepField, Double> moved = new EnumMap<>(SweepField.class);
        moved.putAll(values);
        follow(moved, before, SweepField.STOP, raised);
        follow(moved, before, SweepField.DROOP, -raised);
        return with(moved, chains);
    }

    private void follow(Map<SweepField, Double> moved, SweepPlan before, SweepField field, double by) {
        if (measured(field) && of(field) == before.of(field)) {
            moved.put(field, Math.max(field.least(), Math.min(field.most(), of(field) + by)));
        }
    }

    /** What a field of the form holds; empty for what was not measured. */
    public String text(SweepField field, Reader reader) {
        return measured(field) ? field.typed(of(field), reader) : "";
    }

    /** What counts while a field is empty; empty where nothing does. */
    public String instead(SweepField field, Reader reader) {
        Double counts = usual.get(field);
        return counts == null ? "" : field.typed(counts, reader);
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
                        bump(),
                        radians(SweepField.INNER),
                        radians(SweepField.OUTER),
                        radians(SweepField.ROLL)),
                radians(SweepField.CAMBER),
                new Gain(
                        radians(SweepField.CAMBER_RATE) / RATED_OVER,
                        side * radians(SweepField.STEER_RATE) / RATED_OVER,
                        0,
                        0),
                of(SweepField.AXIS),
                known());
    }

    private Known known() {
        Known known = Known.of(
                        measured(SweepField.STOP),
                        measured(SweepField.INNER) && measured(SweepField.OUTER),
                        measured(SweepField.AXIS))
                .withGain(width.measured(measured(SweepField.CAMBER_RATE), measured(SweepField.STEER_RATE)));
        return measured(SweepField.STOP) && !measured(SweepField.CRUSH) ? known.withBump(ANY_CRUSH) : known;
    }

    private double radians(SweepField field) {
        return Math.toRadians(of(field));
    }
}
