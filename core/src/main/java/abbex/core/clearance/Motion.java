package abbex.core.clearance;

/**
 * How a corner's wheel moves against the body. Exact kinematics may stand behind it; {@link Straight} does until they are
 * known.
 */
public interface Motion {
    /** How far the wheel may go: bump and droop from ride height in mm, steer to either side in radians, roll in radians. */
    record Range(double droop, double bump, double steer, double roll) {
        /** A corner of a common car until somebody says better (ours); a rear one does not steer. */
        public static Range usual(boolean steered) {
            return new Range(60, 70, steered ? Math.toRadians(38) : 0, Math.toRadians(3));
        }

        public Range {
            if (!(droop >= 0 && bump >= 0 && steer >= 0 && steer < Math.PI / 2 && roll >= 0 && roll < 0.5)) {
                throw new IllegalArgumentException(
                        "range: droop " + droop + ", bump " + bump + ", steer " + steer + ", roll " + roll);
            }
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
     */
    void toWheel(double[] point, double bump, double steer, double roll);

    /** At most so many mm does a point at a distance from the wheel's centre move for a radian of steer and of roll. */
    double reachOfSteer(double distance);

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
     * Straight up and down, with camber that grows with bump, steering about an upright axis, and the body rolling about the
     * ground line under the vehicle's middle as far as the wheel sees it: the tyre leans with it.
     *
     * @param camber at ride height, in radians, negative leans the top in
     * @param camberPerMm change of camber for a mm of bump, in radians, negative leans the top in
     * @param axis of steer inboard of the hub's face, in mm
     */
    record Straight(Range range, double camber, double camberPerMm, double axis) implements Motion {
        /** How far inboard of the hub's face a wheel turns about, until somebody says better (ours). */
        public static final double USUAL_AXIS = 60;

        /** Upright at ride height. */
        public Straight(Range range, double camberPerMm, double axis) {
            this(range, 0, camberPerMm, axis);
        }

        @Override
        public void toWheel(double[] point, double bump, double steer, double roll) {
            double x = point[0];
            double y = point[1];
            double z = point[2] - bump;
            // About the steering axis at y = -axis, against the wheel's own turn.
            double c = Math.cos(steer);
            double s = Math.sin(steer);
            double from = y + axis;
            double xs = x * c + from * s;
            double ys = -x * s + from * c - axis;
            // Camber and roll about the wheel's centre line.
            // A body that leans out is a wheel that leans in.
            double lean = camber + camberPerMm * bump - roll;
            double cl = Math.cos(lean);
            double sl = Math.sin(lean);
            point[0] = xs;
            point[1] = ys * cl - z * sl;
            point[2] = ys * sl + z * cl;
        }

        @Override
        public double reachOfSteer(double distance) {
            return distance + Math.abs(axis);
        }

        @Override
        public double bend(double distance, double bump, double steer, double roll) {
            double lean = roll + Math.abs(camberPerMm) * bump;
            double turned = steer + lean;
            return reachOfRoll(distance) * turned * turned / 2 + bump * lean;
        }

        @Override
        public double reachOfRoll(double distance) {
            // Steering may have carried the point twice the axis' distance further out.
            return distance + 2 * Math.abs(axis);
        }
    }
}
