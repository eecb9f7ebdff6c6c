package abbex.core.clearance;

import abbex.core.clearance.ProbePlace.Carrier;
import abbex.core.units.Length;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.TyreSize;
import abbex.core.wheels.Wheel;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The room a wheel has at a corner: its obstacles, what is to stand there and how it moves.
 *
 * @param obstacles what was probed
 * @param planned wheel and tyre; reckoned as large as they may grow
 * @param motion of the wheel
 */
public record WheelHouse(List<Obstacle> obstacles, Fitment planned, Motion.Straight motion) {
    /** Finding the face and reading a pin or a finger, one standard deviation in mm (ours). */
    private static final double PROBE = 1.0;

    /** How far the planned tyre may differ from its nominal size, one standard deviation in mm (common practice). */
    private static final double TYRE = 1.5;

    /** The same where it is the very tyre that was measured from. */
    private static final double SAME_TYRE = 0.3;

    /** One-sided, 95 % of a normal distribution. */
    private static final double SURE = 1.645;

    /**
     * A probed point.
     *
     * @param point in the corner's axes at the planned ride height
     * @param standard standard uncertainty of gaps to it, in mm
     */
    public record Obstacle(ProbePlace place, double[] point, double standard) {
        private Obstacle moved(double x, double y, double z) {
            return new Obstacle(place, new double[] {point[0] + x, point[1] + y, point[2] + z}, standard);
        }
    }

    public WheelHouse {
        obstacles = List.copyOf(obstacles);
    }

    /**
     * From what was probed.
     *
     * @param measured the fitments that the gaps were measured from, one a probe
     * @param lowered how far the body is to come down from where it was probed, in mm, positive down
     */
    public static WheelHouse of(
            List<Probe> probes, List<Fitment> measured, Fitment planned, double lowered, Motion.Straight motion) {
        List<Obstacle> obstacles = new ArrayList<>();
        for (int i = 0; i < probes.size(); i++) {
            Fitment from = measured.get(i);
            double tyre = from.tyre().equals(planned.tyre()) ? SAME_TYRE : TYRE;
            Obstacle at = new Obstacle(
                    probes.get(i).place(), probes.get(i).point(TyreBody.of(from)), Math.hypot(PROBE, tyre));
            obstacles.add(at.moved(0, 0, -lowered * withBody(at.place())));
        }
        return new WheelHouse(obstacles, planned, motion);
    }

    /** How much of the body's own move an obstacle makes. */
    private static double withBody(ProbePlace place) {
        return place.carrier() == Carrier.BODY ? 1 : place.carrier() == Carrier.ARM ? 0.5 : 0;
    }

    /** Every place swept, in the order of the obstacles. */
    public List<Verdict> verdicts() {
        TyreBody tyre = TyreBody.grown(planned);
        List<Verdict> verdicts = new ArrayList<>();
        for (Obstacle o : obstacles) {
            verdicts.add(new Verdict(
                    o.place(),
                    Sweep.run(tyre, o.point(), o.place().carrier(), motion),
                    o.standard(),
                    o.place().neededMm()));
        }
        return List.copyOf(verdicts);
    }

    /** The same, worst first. */
    public List<Verdict> worstFirst() {
        return verdicts().stream()
                .sorted(Comparator.comparingDouble(v -> v.least().gap() - v.needed()))
                .toList();
    }

    /** True when every place is clear; told as soon as one is not. */
    boolean clear() {
        TyreBody tyre = TyreBody.grown(planned);
        for (Obstacle o : obstacles) {
            double needed = o.place().neededMm() + SURE * o.standard();
            if (!Sweep.clears(tyre, o.point(), o.place().carrier(), motion, needed)) {
                return false;
            }
        }
        return true;
    }

    /** The corner after so many steps of a remedy. */
    WheelHouse with(Remedy remedy, int steps) {
        double amount = remedy.amount(steps);
        return switch (remedy) {
            case TRIM_LINER -> away(amount, ProbePlace.LINER_FRONT, ProbePlace.LINER_REAR);
            case ROLL_LIP -> out(amount);
            case LONGER_STOP -> ranged(amount);
            case LESS_DROP ->
                new WheelHouse(
                        obstacles.stream()
                                .map(o -> o.moved(0, 0, amount * withBody(o.place())))
                                .toList(),
                        planned,
                        motion);
            case OUTWARD ->
                wheel(planned.wheel().withSpacer(planned.wheel().spacer().plus(Length.ofMm((long) amount))));
            case INWARD -> {
                Wheel w = planned.wheel();
                yield wheel(new Wheel(w.width(), w.rimCode(), w.offset().plus(Length.ofMm((long) amount)), w.spacer()));
            }
            case NARROWER -> narrower(amount);
            case CAMBER ->
                new WheelHouse(
                        obstacles,
                        planned,
                        new Motion.Straight(
                                motion.range(),
                                motion.camber() - Math.toRadians(amount / 10),
                                motion.camberPerMm(),
                                motion.axis()));
            case HAMMER_ARCH -> away(amount, ProbePlace.INNER_ARCH);
        };
    }

    private WheelHouse away(double amount, ProbePlace... places) {
        List<ProbePlace> which = List.of(places);
        return new WheelHouse(
                obstacles.stream()
                        .map(o -> {
                            double radius = Math.hypot(o.point()[0], o.point()[2]);
                            return which.contains(o.place()) && radius > 0
                                    ? o.moved(amount * o.point()[0] / radius, 0, amount * o.point()[2] / radius)
                                    : o;
                        })
                        .toList(),
                planned,
                motion);
    }

    private WheelHouse out(double amount) {
        return new WheelHouse(
                obstacles.stream()
                        .map(o -> o.place() == ProbePlace.FENDER_LIP ? o.moved(0, amount, 0) : o)
                        .toList(),
                planned,
                motion);
    }

    private WheelHouse ranged(double amount) {
        Motion.Range r = motion.range();
        Motion.Range less = new Motion.Range(r.droop(), Math.max(0, r.bump() - amount), r.steer(), r.roll());
        return new WheelHouse(
                obstacles, planned, new Motion.Straight(less, motion.camber(), motion.camberPerMm(), motion.axis()));
    }

    private WheelHouse wheel(Wheel other) {
        return new WheelHouse(obstacles, new Fitment(other, planned.tyre()), motion);
    }

    private WheelHouse narrower(double mm) {
        TyreSize t = planned.tyre();
        BigDecimal less =
                t.notation() == TyreSize.Notation.METRIC ? BigDecimal.valueOf(mm) : BigDecimal.valueOf(mm / 20);
        TyreSize narrower = new TyreSize(
                t.notation(),
                t.prefix(),
                t.width().subtract(less),
                t.aspect(),
                t.outside(),
                t.construction(),
                t.rimCode(),
                t.service(),
                t.extraLoad());
        return new WheelHouse(obstacles, new Fitment(planned.wheel(), narrower), motion);
    }
}
