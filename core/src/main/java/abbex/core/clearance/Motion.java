package abbex.core.clearance;

import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import org.jspecify.annotations.Nullable;

/**
 * How a corner's wheel moves against the body. Exact kinematics may stand behind it; {@link Straight} does until they are
 * known.
 */
public interface Motion {
    /**
     * How far the wheel may go.
     *
     * @param droop from ride height down, mm, not negative
     * @param bump from ride height up, with the stop crushed, mm, not negative
     * @param left steer to full left lock, radians, not negative
     * @param right steer to full right lock, radians, not negative
     * @param roll of the body to either side, radians, not negative
     */
    record Range(double droop, double bump, double left, double right, double roll) {
        /** Locks of the wheel on the inside of the turn and of the one outside it: it turns in further (ours). */
        private static final double INNER = 38;

        private static final double OUTER = 32;

        /** A corner of a common car until somebody says better (ours); a rear one does not steer. */
        public static Range usual(Corner corner) {
            boolean steered = corner.end() == End.FRONT;
            return of(
                    corner,
                    60,
                    70,
                    steered ? Math.toRadians(INNER) : 0,
                    steered ? Math.toRadians(OUTER) : 0,
                    Math.toRadians(3));
        }

        /** By the locks as they are measured: of the wheel when it is inside of the turn, and when it is outside. */
        public static Range of(Corner corner, double droop, double bump, double inner, double outer, double roll) {
            return corner.isLeft()
                    ? new Range(droop, bump, inner, outer, roll)
                    : new Range(droop, bump, outer, inner, roll);
        }

        public Range {
            if (!(droop >= 0
                    && bump >= 0
                    && left >= 0
                    && left < Math.PI / 2
                    && right >= 0
                    && right < Math.PI / 2
                    && roll >= 0
                    && roll < 0.5)) {
                throw new IllegalArgumentException("range: droop " + droop + ", bump " + bump + ", left " + left
                        + ", right " + right + ", roll " + roll);
            }
        }

        /** True when every pose of another range is one of this. */
        public boolean holds(Range other) {
            return droop >= other.droop
                    && bump >= other.bump
                    && left >= other.left
                    && right >= other.right
                    && roll >= other.roll;
        }
    }

    Range range();

    /**
     * Puts a body point into the wheel's axes at a pose.
     *
     * @param point x, y, z of the point at ride height in mm; overwritten
     * @param bump of the wheel from ride height, positive up
     * @param steer positive is towards right lock: the edge at positive x goes outboard
     * @param roll of the body, positive towards this corner: its top leans outboard
     * @param slopes where wanted, filled with how x, y, z change for a mm of bump, then for a radian of steer, then of roll
     */
    void toWheel(double[] point, double bump, double steer, double roll, double @Nullable [] slopes);

    /** At most so many mm does a point at a distance from the wheel's centre move for a mm of bump. */
    double reachOfBump(double distance);

    /** The same for a radian of steer. */
    double reachOfSteer(double distance);

    /** The same for a radian of roll. */
    double reachOfRoll(double distance);

    /**
     * How far a point may lie, at most, from where the tangent at the middle of a box of poses puts it.
     *
     * @param distance of the point from the wheel's centre, in mm
     * @param bump half-width of the box in mm
     * @param steer half-width in radians
     * @param roll half-width in radians
     */
    double bend(double distance, double bump, double steer, double roll);

    /**
     * Straight up and down, with camber and steer that come with bump, steering about an upright axis, and the body rolling
     * about the ground line under the vehicle's middle as far as the wheel sees it: the tyre leans with it.
     *
     * @param camber at ride height, in radians, negative leans the top in
     * @param camberPerMm change of camber for a mm of bump, in radians, negative leans the top in
     * @param steerPerMm steer that comes with a mm of bump, in radians, positive towards right lock
     * @param axis of steer inboard of the hub's face, in mm
     */
    record Straight(Range range, double camber, double camberPerMm, double steerPerMm, double axis) implements Motion {
        /** How far inboard of the hub's face a wheel turns about, until somebody says better (ours). */
        public static final double USUAL_AXIS = 60;

        /** Upright at ride height, no steer from bump. */
        public Straight(Range range, double camberPerMm, double axis) {
            this(range, 0, camberPerMm, 0, axis);
        }

        public Straight withRange(Range other) {
            return new Straight(other, camber, camberPerMm, steerPerMm, axis);
        }

        /** The top leaned further out by so many radians, negative in. */
        public Straight leaned(double by) {
            return new Straight(range, camber + by, camberPerMm, steerPerMm, axis);
        }

        @Override
        public void toWheel(double[] point, double bump, double steer, double roll, double @Nullable [] slopes) {
            double x = point[0];
            double from = point[1] + axis;
            double z = point[2] - bump;
            // About the steering axis at y = -axis, against the wheel's own turn.
            double turned = steer + steerPerMm * bump;
            double c = Math.cos(turned);
            double s = Math.sin(turned);
            double xs = x * c + from * s;
            double ys = -x * s + from * c - axis;
            // Camber and roll about the wheel's centre line. A body that leans out is a wheel that leans in.
            double lean = camber + camberPerMm * bump - roll;
            double cl = Math.cos(lean);
            double sl = Math.sin(lean);
            point[0] = xs;
            point[1] = ys * cl - z * sl;
            point[2] = ys * sl + z * cl;
            if (slopes != null) {
                double away = -x * c - from * s;
                // For steer.
                slopes[3] = ys + axis;
                slopes[4] = away * cl;
                slopes[5] = away * sl;
                // For roll: the lean's own, turned round.
                slopes[6] = 0;
                slopes[7] = point[2];
                slopes[8] = -point[1];
                // For bump: straight down, and what comes with it.
                slopes[0] = steerPerMm * slopes[3];
                slopes[1] = sl + steerPerMm * slopes[4] - camberPerMm * slopes[7];
                slopes[2] = -cl + steerPerMm * slopes[5] - camberPerMm * slopes[8];
            }
        }

        @Override
        public double reachOfBump(double distance) {
            return 1 + Math.abs(camberPerMm) * reachOfRoll(distance) + Math.abs(steerPerMm) * reachOfSteer(distance);
        }

        @Override
        public double reachOfSteer(double distance) {
            return distance + Math.abs(axis);
        }

        @Override
        public double reachOfRoll(double distance) {
            // Steering may have carried the point twice the axis' distance further out.
            return distance + 2 * Math.abs(axis);
        }

        @Override
        public double bend(double distance, double bump, double steer, double roll) {
            double lean = roll + Math.abs(camberPerMm) * bump;
            double turned = steer + Math.abs(steerPerMm) * bump + lean;
            return reachOfRoll(distance) * turned * turned / 2 + bump * lean;
        }
    }
}
