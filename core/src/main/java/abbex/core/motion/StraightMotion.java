package abbex.core.motion;

import org.jspecify.annotations.Nullable;

/**
 * Straight up and down, with camber and steer that come with bump, steering about an upright axis, and the body rolling
 * about the ground line under the vehicle's middle as far as the wheel sees it: the tyre leans with it.
 *
 * @param camber at ride height, in radians, negative leans the top in
 * @param camberPerMm change of camber for a mm of bump, in radians, negative leans the top in
 * @param steerPerMm steer that comes with a mm of bump, in radians, positive towards right lock
 * @param axis of steer inboard of the hub's face, in mm
 */
public record StraightMotion(
        Range range, double camber, double camberPerMm, double steerPerMm, double axis, Known known) implements Motion {
    /** How far inboard of the hub's face a wheel turns about, until somebody says better (ours). */
    public static final double USUAL_AXIS = 60;

    /** All of it measured. */
    public StraightMotion(Range range, double camber, double camberPerMm, double steerPerMm, double axis) {
        this(range, camber, camberPerMm, steerPerMm, axis, Known.MEASURED);
    }

    /** Upright at ride height, no steer from bump, all of it measured. */
    public StraightMotion(Range range, double camberPerMm, double axis) {
        this(range, 0, camberPerMm, 0, axis);
    }

    @Override
    public StraightMotion withRange(Range other) {
        return new StraightMotion(other, camber, camberPerMm, steerPerMm, axis, known);
    }

    @Override
    public StraightMotion leaned(double by) {
        return new StraightMotion(range, camber + by, camberPerMm, steerPerMm, axis, known);
    }

    /** Toe is set again at the new ride height; camber comes with the travel. */
    @Override
    public StraightMotion raised(double by) {
        return new StraightMotion(range.raised(by), camber - camberPerMm * by, camberPerMm, steerPerMm, axis, known);
    }

    @Override
    public StraightMotion steeredAbout(double further) {
        return new StraightMotion(range, camber, camberPerMm, steerPerMm, axis + further, known);
    }

    @Override
    public WheelPose at(Pose pose) {
        double turned = pose.steer() + steerPerMm * pose.bump();
        return new WheelPose(
                -axis * Math.sin(turned),
                axis * (Math.cos(turned) - 1),
                pose.bump(),
                turned,
                camber + camberPerMm * pose.bump() - pose.roll());
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
    public void upright(double[] point, double bump) {
        double lean = camber + camberPerMm * bump;
        double y = point[1];
        double z = point[2];
        point[1] = y * Math.cos(lean) + z * Math.sin(lean);
        point[2] = z * Math.cos(lean) - y * Math.sin(lean);
    }

    /** Steering turns a point about an upright axis, so how fast it goes is how far it stands from that, not from the wheel. */
    @Override
    public Reach reach(double[] point) {
        double around = Math.hypot(point[0], point[1] + axis);
        double high = Math.abs(point[2]) + Math.max(range.bump(), range.droop());
        // Steering may carry it inboard by as much as it may carry it out.
        double lever = Math.hypot(around + Math.abs(axis), high);
        return new Turned(around, lever, Math.abs(steerPerMm), Math.abs(camberPerMm));
    }

    /**
     * A point's bounds: by Taylor's remainder of two turns, one about the steering axis and one about the wheel's middle line.
     *
     * @param around its distance from the steering axis, mm
     * @param lever its greatest distance from the line that it leans about, mm
     */
    private record Turned(double around, double lever, double steerPerMm, double camberPerMm) implements Reach {
        @Override
        public double bump() {
            return 1 + camberPerMm * lever + steerPerMm * around;
        }

        @Override
        public double steer() {
            return around;
        }

        @Override
        public double roll() {
            return lever;
        }

        @Override
        public double bend(double bump, double steer, double roll) {
            double turned = steer + steerPerMm * bump;
            double leaned = roll + camberPerMm * bump;
            return around * turned * (turned / 2 + leaned) + leaned * (lever * leaned / 2 + bump);
        }
    }
}
