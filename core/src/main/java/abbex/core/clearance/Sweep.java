package abbex.core.clearance;

import abbex.core.clearance.ProbePlace.Carrier;
import abbex.core.motion.Motion;
import abbex.core.motion.Pose;
import abbex.core.motion.Range;
import java.util.PriorityQueue;
import java.util.concurrent.CancellationException;
import org.jspecify.annotations.Nullable;

/**
 * The least gap between a tyre and an obstacle's point over all that the corner may do.
 *
 * <p>Branch and bound. Two bounds hold over a box of poses, and the better one counts. The distance is 1-Lipschitz in the
 * point, and how fast the point moves is bounded by the motion. And the signed distance is convex in axial position and radius,
 * so it lies over its tangent at the middle of the box; how far the point strays from its own tangent is bounded by the motion
 * as well. Boxes are halved until none can hide a gap smaller by more than the tolerance: the answer is
 * a true bound, not the least of some samples.
 */
public final class Sweep {
    /** No gap smaller than the answer by more than this is anywhere in the range, in mm, where nothing touches. */
    public static final double TOLERANCE = 0.1;

    /** Where it touches, as a part of how deep: nobody asks for tenths there. */
    private static final double OF_DEPTH = 0.02;

    private static final int MOST_BOXES = 100_000;

    private Sweep() {}

    /**
     * The least gap and where.
     *
     * @param gap in mm, negative when the tyre would be inside
     * @param at the pose that leaves it
     */
    public record Least(double gap, Pose at) {}

    /** Nothing swept yet. */
    static final Least NOTHING = new Least(Double.POSITIVE_INFINITY, Pose.RIDE);

    /** Poses between two corners of the range, the lower first: bump, steer, roll. */
    private record Box(double bound, double b0, double s0, double r0, double b1, double s1, double r1) {}

    /**
     * Sweeps one obstacle.
     *
     * @param point of the obstacle in the corner's axes at ride height, from {@link GapReading#point}
     * @param carrier what it moves with
     */
    public static Least run(TyreBody tyre, double[] point, Carrier carrier, Motion motion) {
        return new Run(tyre, point, carrier, motion).solve();
    }

    /**
     * The same, or what was found of others before where this leaves no less: then nobody asks how much it leaves.
     *
     * @param within so much less it may leave than is found, where nothing touches, mm
     */
    static Least lesser(Least before, TyreBody tyre, double[] point, Carrier carrier, Motion motion, double within) {
        Run run = new Run(tyre, point, carrier, motion);
        run.least = before;
        run.within = within;
        return run.solve();
    }

    /** True when no pose in the range leaves less than a gap; told as soon as it is certain, within the tolerance. */
    static boolean clears(TyreBody tyre, double[] point, Carrier carrier, Motion motion, double gap) {
        Run run = new Run(tyre, point, carrier, motion);
        run.enough = gap;
        return run.solve().gap() >= gap;
    }

    /** By so much, at most, the least gap may lie under an answer. */
    public static double tolerance(double gap) {
        return tolerance(gap, TOLERANCE);
    }

    private static double tolerance(double gap, double within) {
        return Math.max(within, -OF_DEPTH * gap);
    }

    /** The gap at one pose. */
    public static double gap(TyreBody tyre, double[] point, Carrier carrier, Motion motion, Pose pose) {
        double[] section = inSection(point, carrier, motion, pose);
        return tyre.distance(section[0], section[1]);
    }

    /**
     * Where an obstacle lies in the plane of the wheel's axis at a pose.
     *
     * @return outboard of the hub's face, and from the axis, in mm
     */
    static double[] inSection(double[] point, Carrier carrier, Motion motion, Pose pose) {
        double[] p = point.clone();
        put(point, p, carrier, motion, pose.bump(), pose.steer(), pose.roll(), null);
        return new double[] {p[1], Math.sqrt(p[0] * p[0] + p[2] * p[2])};
    }

    private static void put(
            double[] point,
            double[] p,
            Carrier carrier,
            Motion motion,
            double bump,
            double steer,
            double roll,
            double @Nullable [] slopes) {
        p[0] = point[0];
        p[1] = point[1];
        p[2] = point[2];
        if (carrier == Carrier.KNUCKLE) {
            return;
        }
        motion.toWheel(p, carrier.withBody() * bump, carrier.steered() * steer, carrier.rolled() * roll, slopes);
        if (slopes != null && carrier != Carrier.BODY) {
            for (int i = 0; i < 3; i++) {
                slopes[i] *= carrier.withBody();
                slopes[3 + i] *= carrier.steered();
                slopes[6 + i] *= carrier.rolled();
            }
        }
    }

    /** One sweep under way. */
    private static final class Run {
        private final TyreBody tyre;
        private final double[] point;
        private final Carrier carrier;
        private final Motion motion;
        private final double[] at = new double[3];
        private final double[] slopes = new double[9];
        private final double[] gradient = new double[2];
        /** How the convex distance changes at the middle of the box that was put last. */
        private double byBump;

        private double bySteer;
        private double byRoll;
        private final Motion.Reach reach;
        private final double ofBump;
        private final double ofSteer;
        private final double ofRoll;
        /** Once a gap under this was found nobody asks how small it is; once none can be, nobody asks where. */
        private double enough = Double.NEGATIVE_INFINITY;

        private Least least = NOTHING;
        private double within = TOLERANCE;

        Run(TyreBody tyre, double[] point, Carrier carrier, Motion motion) {
            this.tyre = tyre;
            this.point = point;
            this.carrier = carrier;
            this.motion = motion;
            reach = motion.reach(point);
            ofBump = carrier.withBody() * reach.bump();
            ofSteer = carrier.steered() * reach.steer();
            ofRoll = carrier.rolled() * reach.roll();
        }

        Least solve() {
            Range range = motion.range();
            PriorityQueue<Box> open = new PriorityQueue<>((a, b) -> Double.compare(a.bound, b.bound));
            open.add(box(-range.droop(), -range.left(), -range.roll(), range.bump(), range.right(), range.roll()));
            int boxes = 0;
            while (!open.isEmpty()
                    && open.peek().bound < least.gap - tolerance(least.gap, within)
                    && (enough == Double.NEGATIVE_INFINITY || least.gap >= enough && open.peek().bound < enough)
                    && boxes++ < MOST_BOXES) {
                if (Thread.interrupted()) {
                    throw new CancellationException("nobody waits for this sweep");
                }
                halve(open.poll(), open);
            }
            // Should it ever give up, what is still open may hide so much.
            double hidden = boxes >= MOST_BOXES && !open.isEmpty() ? open.peek().bound : least.gap;
            return hidden < least.gap - tolerance(least.gap, within) ? new Least(hidden, least.at) : least;
        }

        /** Across what moves the point furthest. */
        private void halve(Box x, PriorityQueue<Box> open) {
            double bump = (x.b1 - x.b0) * ofBump;
            double steer = (x.s1 - x.s0) * ofSteer;
            double roll = (x.r1 - x.r0) * ofRoll;
            if (bump >= steer && bump >= roll) {
                double middle = (x.b0 + x.b1) / 2;
                open.add(box(x.b0, x.s0, x.r0, middle, x.s1, x.r1));
                open.add(box(middle, x.s0, x.r0, x.b1, x.s1, x.r1));
            } else if (steer >= roll) {
                double middle = (x.s0 + x.s1) / 2;
                open.add(box(x.b0, x.s0, x.r0, x.b1, middle, x.r1));
                open.add(box(x.b0, middle, x.r0, x.b1, x.s1, x.r1));
            } else {
                double middle = (x.r0 + x.r1) / 2;
                open.add(box(x.b0, x.s0, x.r0, x.b1, x.s1, middle));
                open.add(box(x.b0, x.s0, middle, x.b1, x.s1, x.r1));
            }
        }

        private Box box(double b0, double s0, double r0, double b1, double s1, double r1) {
            double bump = (b0 + b1) / 2;
            double steer = (s0 + s1) / 2;
            double roll = (r0 + r1) / 2;
            put(point, at, carrier, motion, bump, steer, roll, slopes);
            double radius = Math.sqrt(at[0] * at[0] + at[2] * at[2]);
            double gap = tyre.distance(at[1], radius);
            if (gap < least.gap) {
                least = new Least(gap, new Pose(bump, steer, roll));
            }
            double bound = gap;
            if (carrier != Carrier.KNUCKLE) {
                double hb = (b1 - b0) / 2;
                double hs = (s1 - s0) / 2;
                double hr = (r1 - r0) / 2;
                double reached = hb * ofBump + hs * ofSteer + hr * ofRoll;
                double straight = overTangent(gap, radius, reached, hb, hs, hr);
                bound = Math.max(tyre.deepest(), Math.max(gap - reached, straight));
                if (bound < least.gap) {
                    towards(bump, steer, roll, hb, hs, hr);
                }
            }
            return new Box(bound, b0, s0, r0, b1, s1, r1);
        }

        /** Tries the box's corner to which the slopes at its middle lead: most least gaps lie at the end of a range. */
        private void towards(double bump, double steer, double roll, double hb, double hs, double hr) {
            double b = bump - Math.signum(byBump) * hb;
            double s = steer - Math.signum(bySteer) * hs;
            double r = roll - Math.signum(byRoll) * hr;
            put(point, at, carrier, motion, b, s, r, null);
            double gap = tyre.distance(at[1], Math.sqrt(at[0] * at[0] + at[2] * at[2]));
            if (gap < least.gap) {
                least = new Least(gap, new Pose(b, s, r));
            }
        }

        /**
         * What the distance cannot fall under anywhere in the box whose middle was put last. It is convex in axial position and
         * radius; the radius is convex in the point, so where the distance falls with it, inside the bead, what the radius may
         * grow beyond its own tangent is taken off: half the way squared over the least radius.
         *
         * @param reached the furthest that the point goes from where it is at the middle
         */
        private double overTangent(double gap, double radius, double reached, double bump, double steer, double roll) {
            tyre.slope(at[1], radius, gradient);
            double inward = Math.max(0, -gradient[1]);
            double grown = inward == 0
                    ? 0
                    : radius > reached
                            ? inward * reached * reached / (2 * (radius - reached))
                            : Double.POSITIVE_INFINITY;
            double gx = radius == 0 ? 0 : gradient[1] * at[0] / radius;
            double gy = gradient[0];
            double gz = radius == 0 ? 0 : gradient[1] * at[2] / radius;
            byBump = gx * slopes[0] + gy * slopes[1] + gz * slopes[2];
            bySteer = gx * slopes[3] + gy * slopes[4] + gz * slopes[5];
            byRoll = gx * slopes[6] + gy * slopes[7] + gz * slopes[8];
            return gap
                    - Math.abs(byBump) * bump
                    - Math.abs(bySteer) * steer
                    - Math.abs(byRoll) * roll
                    - reach.bend(carrier.withBody() * bump, carrier.steered() * steer, carrier.rolled() * roll)
                    - grown;
        }
    }
}
