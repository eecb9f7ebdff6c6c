package abbex.core.clearance;

import abbex.core.motion.Motion;
import abbex.core.motion.Pose;
import abbex.core.motion.Range;
import abbex.core.units.Length;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.Wheel;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * The room a wheel has at a corner: its obstacles, what is to stand there and how it moves.
 *
 * @param obstacles what was probed
 * @param planned wheel and tyre; reckoned as large as they may grow
 * @param worn what is put over the tyre
 * @param motion of the wheel
 * @param needed how much air each place needs
 */
public record ClearanceModel(
        List<Obstacle> obstacles, Fitment planned, TyreBody.Worn worn, Motion motion, Needed needed) {
    /** So much further is the bump tried that nobody measured: what it takes nothing from clears whatever it is, mm (ours). */
    private static final double MORE_BUMP = 60;

    /**
     * A probed point.
     *
     * @param point in the corner's axes at the planned ride height
     * @param doubt of gaps to it; remedies keep it
     * @param upright it was read beside the wheel's side and goes on past it, so that it is at the rim as well
     */
    public record Obstacle(ProbePlace place, double[] point, Doubt doubt, boolean upright) {
        private List<Against> against(Against.Wheel wheel) {
            return Against.of(place, point, upright, 0, wheel);
        }

        private Obstacle moved(double x, double y, double z) {
            return new Obstacle(place, new double[] {point[0] + x, point[1] + y, point[2] + z}, doubt, upright);
        }
    }

    public ClearanceModel {
        obstacles = List.copyOf(obstacles);
    }

    /**
     * From what was probed.
     *
     * @param lowered how far the body is to come down from where it was first measured, in mm, positive down
     */
    public static ClearanceModel of(
            List<LocatedGap> probed, Fitment planned, TyreBody.Worn worn, double lowered, Motion motion) {
        TyreBody body = TyreBody.grown(planned).with(worn);
        Doubts doubts = new Doubts(Against.Wheel.of(body, planned), planned, motion, lowered);
        List<Obstacle> obstacles = probed.stream()
                .map(p -> new Obstacle(p.probe().place(), p.at(lowered, motion), doubts.of(p), p.upright()))
                .toList();
        return new ClearanceModel(obstacles, planned, worn, motion, Needed.USUAL);
    }

    /** The same with other air needed. */
    public ClearanceModel needing(Needed other) {
        return new ClearanceModel(obstacles, planned, worn, motion, other);
    }

    /** What must clear. */
    public TyreBody body() {
        return TyreBody.grown(planned).with(worn);
    }

    /** The corner cut across the axle at a pose. */
    public CornerCut cut(Pose pose) {
        return CornerCut.of(this, pose);
    }

    /** Every place swept, in the order of the obstacles. */
    public List<Verdict> verdicts() {
        Against.Wheel wheel = Against.Wheel.of(body(), planned);
        return obstacles.stream()
                .map(o -> {
                    List<Against> all = o.against(wheel);
                    Sweep.Least least = Against.least(all, o.place().carrier(), motion);
                    return new Verdict(o.place(), least, o.doubt(), needed.of(o.place()), byBump(o, all, least.gap()));
                })
                .toList();
    }

    /** True when a bump that nobody measured takes from a gap. */
    private boolean byBump(Obstacle o, List<Against> all, double gap) {
        if (motion.known().bumpMeasured() || o.place().carrier() == ProbePlace.Carrier.KNUCKLE) {
            return false;
        }
        Motion more = motion.withRange(motion.range().bumped(MORE_BUMP));
        return Against.least(all, o.place().carrier(), more).gap() < gap - 2 * Sweep.tolerance(gap);
    }

    /** The same, worst first. */
    public List<Verdict> worstFirst() {
        return verdicts().stream()
                .sorted(Comparator.comparingDouble(v -> v.least().gap() - v.needed()))
                .toList();
    }

    /** True when every place is clear; told as soon as one is not. */
    boolean clear() {
        Against.Wheel wheel = Against.Wheel.of(body(), planned);
        for (Obstacle o : obstacles) {
            double air = needed.of(o.place()) + o.doubt().sure() * o.doubt().standard();
            if (!o.against(wheel).stream()
                    .allMatch(a -> Sweep.clears(a.body(), a.point(), o.place().carrier(), motion, air))) {
                return false;
            }
        }
        return true;
    }

    /** The corner after so many steps of a remedy. */
    public ClearanceModel with(Remedy remedy, int steps) {
        double amount = remedy.amount(steps);
        return switch (remedy) {
            case TRIM_LINER -> away(amount, ProbePlace.LINER_FRONT, ProbePlace.LINER_REAR);
            case TIE_BACK -> across(-amount, ProbePlace.HOSE, ProbePlace.BRAKE_CABLE);
            case ROLL_LIP, FLARE -> across(amount, ProbePlace.FENDER_LIP);
            case LONGER_STOP -> ranged(amount);
            case LESS_DROP -> raised(amount);
            case OUTWARD, INWARD, NARROWER, LOWER_ASPECT ->
                new ClearanceModel(obstacles, fitment(planned, remedy, steps), worn, motion, needed);
            case CAMBER ->
                new ClearanceModel(obstacles, planned, worn, motion.leaned(-Math.toRadians(amount / 10)), needed);
            case MOVE_BRACKET -> across(-amount, ProbePlace.STRUT, ProbePlace.SPRING_PERCH, ProbePlace.SWAY_LINK);
            case HAMMER_ARCH -> away(amount, ProbePlace.INNER_ARCH);
        };
    }

    /** The body higher: what it carries goes up, and as much more bump is left to the stop. */
    private ClearanceModel raised(double mm) {
        ClearanceModel up = moved(o -> o.moved(0, 0, mm * o.place().carrier().withBody()));
        return new ClearanceModel(up.obstacles, planned, worn, motion.raised(mm), needed);
    }

    private ClearanceModel moved(UnaryOperator<Obstacle> how) {
        return new ClearanceModel(obstacles.stream().map(how).toList(), planned, worn, motion, needed);
    }

    /** Out of the wheel's middle. */
    private ClearanceModel away(double amount, ProbePlace... places) {
        List<ProbePlace> which = List.of(places);
        return moved(o -> {
            double radius = Math.hypot(o.point()[0], o.point()[2]);
            return which.contains(o.place()) && radius > 0
                    ? o.moved(amount * o.point()[0] / radius, 0, amount * o.point()[2] / radius)
                    : o;
        });
    }

    /** Outboard. */
    private ClearanceModel across(double amount, ProbePlace... places) {
        List<ProbePlace> which = List.of(places);
        return moved(o -> which.contains(o.place()) ? o.moved(0, amount, 0) : o);
    }

    private ClearanceModel ranged(double amount) {
        Range r = motion.range();
        Range less = new Range(r.droop(), Math.max(0, r.bump() - amount), r.left(), r.right(), r.roll());
        return new ClearanceModel(obstacles, planned, worn, motion.withRange(less), needed);
    }

    /** What stands on a hub after so many steps of a remedy. */
    public static Fitment fitment(Fitment on, Remedy remedy, int steps) {
        Wheel wheel = on.wheel();
        Length by = Length.ofMm(remedy.amount(steps));
        return switch (remedy) {
            case OUTWARD -> new Fitment(wheel.withSpacer(wheel.spacer().plus(by)), on.tyre());
            case INWARD ->
                new Fitment(
                        new Wheel(wheel.width(), wheel.rimCode(), wheel.offset().plus(by), wheel.spacer()), on.tyre());
            case NARROWER -> new Fitment(wheel, OtherTyres.narrower(on, steps));
            case LOWER_ASPECT -> new Fitment(wheel, OtherTyres.lower(on, steps));
            default -> on;
        };
    }
}
