package abbex.core.kit;

import abbex.core.truck.Driveline;
import abbex.core.truck.HelperBags;
import abbex.core.units.Angle;
import abbex.core.units.Force;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * What becomes of a live rear axle; angles in degrees, lengths in mm.
 *
 * @param nose how far the pinion's nose goes up, by its springs and by wedge or saddle
 */
public record TruckPlan(Interval nose, Optional<Line> driveline, Optional<Bagged> bags) {
    /** A shaft turns about so fast on the road where nobody worked it out, 1/min (common practice). */
    private static final double ROAD_SPEED = 3000;

    /**
     * A driveline before and after.
     *
     * @param length of its last shaft, mm
     * @param pinion its slope down to the rear
     * @param wedge that makes pinion and engine parallel, nose up positive
     * @param slip of the slip joint, the shaft longer positive
     */
    public record Line(
            Driveline was,
            Driveline is,
            double length,
            Interval pinion,
            Interval unevenWas,
            Interval uneven,
            Interval wedge,
            Interval slip) {
        /** The greatest working angle after. */
        double steepest() {
            return Collections.max(is.joints());
        }
    }

    /**
     * Bags under their load.
     *
     * @param without how far the load would let the rear down on its springs alone
     * @param nose how far it would turn the pinion's nose up then; empty where there are no leaves
     * @param back how far it would shift the axle towards the shackle
     */
    public record Bagged(
            Truck.Bags of,
            HelperBags.Set set,
            Interval pressure,
            Interval without,
            Optional<Interval> nose,
            Optional<Interval> back) {}

    /** What there is to say of it. */
    List<KitFinding> findings() {
        List<KitFinding> findings = new ArrayList<>();
        driveline.ifPresentOrElse(line -> driveline(line, findings), () -> pinion(findings));
        bags.ifPresent(all -> bags(all, findings));
        return findings;
    }

    private static KitFinding.Nose way(double degrees) {
        return degrees > 0 ? KitFinding.Nose.UP : KitFinding.Nose.DOWN;
    }

    private static Angle size(double degrees) {
        return Angle.ofDegrees(Math.abs(degrees));
    }

    /** No finer than what is this wide. */
    private static Angle tenths(double degrees) {
        return size(Math.rint(10 * degrees) / 10);
    }

    private void pinion(List<KitFinding> findings) {
        if (Math.abs(nose.value()) >= Driveline.UNEVEN) {
            findings.add(new KitFinding.PinionTurns(End.REAR, way(nose.value()), size(nose.value())));
        }
    }

    private static void driveline(Line line, List<KitFinding> findings) {
        findings.add(joints(line));
        double limit = Driveline.limit(ROAD_SPEED);
        if (line.steepest() > limit) {
            findings.add(new KitFinding.JointSteep(End.REAR, size(line.steepest()), size(limit)));
        }
        findings.add(new KitFinding.SlipMoves(
                End.REAR, Length.ofRoundedMm(line.slip().value())));
    }

    /** Even, or not, by the whole interval; what lies on both sides of the limit may be either. */
    private static KitFinding joints(Line line) {
        Interval uneven = line.uneven();
        Angle was = size(line.unevenWas().value());
        Angle is = size(uneven.value());
        KitFinding.Nose nose = way(line.wedge().value());
        Angle wedge = size(line.wedge().value());
        if (uneven.low() >= Driveline.UNEVEN) {
            return new KitFinding.JointsUneven(End.REAR, was, is, nose, wedge);
        }
        return uneven.high() < Driveline.UNEVEN
                ? new KitFinding.JointsEven(End.REAR, is)
                : new KitFinding.JointsMayBeUneven(
                        End.REAR,
                        tenths(uneven.value()),
                        tenths(uneven.half()),
                        nose,
                        tenths(line.wedge().value()));
    }

    private static void bags(Bagged bags, List<KitFinding> findings) {
        Force load = new Force(bags.of().load().value());
        Pressure pressure = new Pressure(bags.set().pressure());
        Length without = Length.ofRoundedMm(bags.without().value());
        double over = bags.set().over();
        if (Math.abs(over) < 1) {
            findings.add(new KitFinding.BagsCarry(End.REAR, load, pressure, without));
        } else if (over > 0) {
            findings.add(new KitFinding.BagsShort(End.REAR, load, pressure, new Force(over)));
        } else {
            findings.add(new KitFinding.BagsLeast(End.REAR, load, pressure, new Force(-over)));
        }
        bags.of()
                .plate()
                .filter(plate -> plate < load.newtons())
                .ifPresent(plate -> findings.add(new KitFinding.AbovePlate(End.REAR, load, new Force(plate))));
        if (bags.of().joined()) {
            findings.add(new KitFinding.BagsJoined(End.REAR));
        }
    }
}
