package abbex.core.clearance;

import abbex.core.clearance.ProbePlace.Carrier;
import java.util.PriorityQueue;

/**
 * The least gap between a tyre and an obstacle's point over all that the corner may do.
 *
 * <p>Branch and bound. Two bounds hold over a box of poses, and the better one counts. The distance is 1-Lipschitz in the
 * point, and how fast the point moves is bounded by the motion. And the signed distance to the solid with its hole filled is
 * convex in the point, so it lies over its tangent at the middle of the box; how far the point strays from its own tangent is
 * bounded by the motion as well. Boxes are halved until none can hide a gap smaller by more than the tolerance: the answer is
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
     * @param bump in mm from ride height
     * @param steer in radians
     * @param roll in radians
     */
    public record Least(double gap, double bump, double steer, double roll) {}

    private record Box(double bound, double[] low, double[] high) {}

    /**
     * Sweeps one obstacle.
     *
     * @param point of the obstacle in the corner's axes at ride height, from {@link Probe#point}
     * @param carrier what it moves with
     */
    public static Least run(TyreBody tyre, double[] point, Carrier carrier, Motion motion) {
        return new Run(tyre, point, carrier, motion).solve();
    }

    /** True when no pose in the range leaves less than a gap; told as soon as it is certain, within the tolerance. */
    static boolean clears(TyreBody tyre, double[] point, Carrier carrier, Motion motion, double gap) {
        Run run = new Run(tyre, point, carrier, motion);
        run.enough = gap;
        return run.solve().gap() >= gap;
    }

    /** By so much, at most, the least gap may lie under an answer. */
    public static double tolerance(double gap) {
        return Math.max(TOLERANCE, -OF_DEPTH * gap);
    }

    /** The gap at one pose. */
    public static double gap(
            TyreBody tyre, double[] point, Carrier carrier, Motion motion, double bump, double steer, double roll) {
        double[] p = point.clone();
        return at(tyre, point, p, carrier, motion, bump, steer, roll);
    }

    private static double at(
            TyreBody tyre,
            double[] point,
            double[] p,
            Carrier carrier,
            Motion motion,
            double bump,
            double steer,
            double roll) {
        put(point, p, carrier, motion, bump, steer, roll);
        return tyre.distance(p[1], Math.sqrt(p[0] * p[0] + p[2] * p[2]));
    }

    private static void put(
            double[] point, double[] p, Carrier carrier, Motion motion, double bump, double steer, double roll) {
        p[0] = point[0];
        p[1] = point[1];
        p[2] = point[2];
        switch (carrier) {
            case BODY -> motion.toWheel(p, bump, steer, roll);
            case ARM -> motion.toWheel(p, bump / 2, steer, 0);
            case KNUCKLE -> {
                // Nothing moves between them.
            }
        }
    }

    /** One sweep under way. */
    private static final class Run {
        private final TyreBody tyre;
        private final double[] point;
        private final Carrier carrier;
        private final Motion motion;
        private final double[] scratch = new double[3];
        private final double[] before = new double[3];
        private final double[] gradient = new double[2];
        private final double far;
        private final double[] reach;
        /** Once a gap under this was found nobody asks how small it is; once none can be, nobody asks where. */
        private double enough = Double.NEGATIVE_INFINITY;

        private Least least = new Least(Double.POSITIVE_INFINITY, 0, 0, 0);

        Run(TyreBody tyre, double[] point, Carrier carrier, Motion motion) {
            this.tyre = tyre;
            this.point = point;
            this.carrier = carrier;
            this.motion = motion;
            Motion.Range range = motion.range();
            far = Math.sqrt(point[0] * point[0] + point[1] * point[1] + point[2] * point[2])
                    + Math.max(range.bump(), range.droop());
            // A mm of bump moves the point by a mm, and a little more where camber comes with it.
            double lean = motion instanceof Motion.Straight straight
                    ? Math.abs(straight.camberPerMm()) * motion.reachOfRoll(far)
                    : 0;
            reach = new double[] {1 + lean, motion.reachOfSteer(far), motion.reachOfRoll(far)};
        }

        Least solve() {
            Motion.Range range = motion.range();
            PriorityQueue<Box> open = new PriorityQueue<>((a, b) -> Double.compare(a.bound, b.bound));
            open.add(box(
                    new double[] {-range.droop(), -range.steer(), -range.roll()},
                    new double[] {range.bump(), range.steer(), range.roll()}));
            int boxes = 0;
            while (!open.isEmpty()
                    && open.peek().bound < least.gap - tolerance(least.gap)
                    && (enough == Double.NEGATIVE_INFINITY || least.gap >= enough && open.peek().bound < enough)
                    && boxes++ < MOST_BOXES) {
                Box box = open.poll();
                int widest = 0;
                for (int i = 1; i < 3; i++) {
                    if (span(box, i) > span(box, widest)) {
                        widest = i;
                    }
                }
                double middle = (box.low[widest] + box.high[widest]) / 2;
                double[] under = box.high.clone();
                double[] over = box.low.clone();
                under[widest] = middle;
                over[widest] = middle;
                open.add(box(box.low, under));
                open.add(box(over, box.high));
            }
            // Should it ever give up, what is still open may hide so much.
            double hidden = boxes >= MOST_BOXES && !open.isEmpty() ? open.peek().bound : least.gap;
            return hidden < least.gap - tolerance(least.gap)
                    ? new Least(hidden, least.bump, least.steer, least.roll)
                    : least;
        }

        private double span(Box box, int i) {
            return (box.high[i] - box.low[i]) * reach[i];
        }

        private Box box(double[] low, double[] high) {
            double bump = (low[0] + high[0]) / 2;
            double steer = (low[1] + high[1]) / 2;
            double roll = (low[2] + high[2]) / 2;
            double gap = at(tyre, point, scratch, carrier, motion, bump, steer, roll);
            if (gap < least.gap) {
                least = new Least(gap, bump, steer, roll);
            }
            if (carrier == Carrier.KNUCKLE) {
                return new Box(gap, low, high);
            }
            double[] half = {(high[0] - low[0]) / 2, (high[1] - low[1]) / 2, (high[2] - low[2]) / 2};
            double hides = half[0] * reach[0] + half[1] * reach[1] + half[2] * reach[2];
            return new Box(Math.max(gap - hides, overTangent(bump, steer, roll, half)), low, high);
        }

        /** What the convex distance cannot fall under anywhere in the box. */
        private double overTangent(double bump, double steer, double roll, double[] half) {
            place(scratch, bump, steer, roll);
            double radius = Math.sqrt(scratch[0] * scratch[0] + scratch[2] * scratch[2]);
            double bound = tyre.filled(scratch[1], radius, gradient);
            double gx = radius == 0 ? 0 : gradient[1] * scratch[0] / radius;
            double gy = gradient[0];
            double gz = radius == 0 ? 0 : gradient[1] * scratch[2] / radius;
            for (int i = 0; i < 3; i++) {
                double step = i == 0 ? 1e-3 : 1e-6;
                place(before, bump - (i == 0 ? step : 0), steer - (i == 1 ? step : 0), roll - (i == 2 ? step : 0));
                place(scratch, bump + (i == 0 ? step : 0), steer + (i == 1 ? step : 0), roll + (i == 2 ? step : 0));
                double slope =
                        (gx * (scratch[0] - before[0]) + gy * (scratch[1] - before[1]) + gz * (scratch[2] - before[2]))
                                / (2 * step);
                bound -= Math.abs(slope) * half[i];
            }
            // A hair for the differences that stand for derivatives.
            return bound - motion.bend(far, half[0], half[1], half[2]) - 1e-5 * (1 + half[0]);
        }

        private void place(double[] p, double bump, double steer, double roll) {
            put(point, p, carrier, motion, bump, steer, roll);
        }
    }
}
