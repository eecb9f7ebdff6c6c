package abbex.core.motion;

import org.jspecify.annotations.Nullable;

/**
 * Straight up and down, with what comes with bump in proportion to it, steering about an upright axis, and the body rolling
 * about the ground line under the vehicle's middle as far as the wheel sees it: the tyre leans with it.
 *
 * @param camber at ride height, in radians, negative leans the top in
 * @param gain what comes with bump
 * @param axis of steer inboard of the hub's face, in mm
 */
public record StraightMotion(Range range, double camber, Gain gain, double axis, Known known) implements Motion {
    /** How far inboard of the hub's face a wheel turns about, until somebody says better (ours). */
    public static final double USUAL_AXIS = 60;

    /** All of it measured. */
    public StraightMotion(Range range, double camber, double camberPerMm, double steerPerMm, double axis) {
        this(range, camber, new Gain(camberPerMm, steerPerMm, 0, 0), axis, Known.MEASURED);
    }

    /** Upright at ride height, no steer from bump, all of it measured. */
    public StraightMotion(Range range, double camberPerMm, double axis) {
        this(range, 0, camberPerMm, 0, axis);
    }

    @Override
    public StraightMotion withRange(Range other) {
        return new StraightMotion(other, camber, gain, axis, known);
    }

    @Override
    public StraightMotion leaned(double by) {
        return new StraightMotion(range, camber + by, gain, axis, known);
    }

    /** Toe is set again at the new ride height; camber comes with the travel. */
    @Override
    public StraightMotion raised(double by) {
        return new StraightMotion(range.raised(by), camber - gain.camber() * by, gain, axis, known);
    }

    @Override
    public StraightMotion steeredAbout(double further) {
        return new StraightMotion(range, camber, gain, axis + further, known);
    }

    /** Camber at ride height stays what it is. */
    @Override
    public StraightMotion gaining(Gain more) {
        return new StraightMotion(range, camber, gain.plus(more), axis, known);
    }

    @Override
    public WheelPose at(Pose pose) {
        double turned = pose.steer() + gain.steer() * pose.bump();
        return new WheelPose(
                -axis * Math.sin(turned) + gain.ahead() * pose.bump(),
                axis * (Math.cos(turned) - 1) + gain.outboard() * pose.bump(),
                pose.bump(),
                turned,
                camber + gain.camber() * pose.bump() - pose.roll());
    }

    @Override
    public void toWheel(double[] point, double bump, double steer, double roll, double @Nullable [] slopes) {
        double x = point[0] - gain.ahead() * bump;
        double from = point[1] - gain.outboard() * bump + axis;
        double z = point[2] - bump;
        // About the steering axis at y = -axis, against the wheel's own turn.
        double turned = steer + gain.steer() * bump;
        double c = Math.cos(turned);
        double s = Math.sin(turned);
        double xs = x * c + from * s;
        double ys = -x * s + from * c - axis;
        // Camber and roll about the wheel's centre line. A body that leans out is a wheel that leans in.
        double lean = camber + gain.camber() * bump - roll;
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
            double along = -gain.ahead() * c - gain.outboard() * s;
            double across = gain.ahead() * s - gain.outboard() * c;
            slopes[0] = along + gain.steer() * slopes[3];
            slopes[1] = sl + across * cl + gain.steer() * slopes[4] - gain.camber() * slopes[7];
            slopes[2] = -cl + across * sl + gain.steer() * slopes[5] - gain.camber() * slopes[8];
        }
    }

    @Override
    public void fromWheel(double[] point, double bump) {
        double lean = camber + gain.camber() * bump;
        double y = point[1];
        double z = point[2];
        point[0] += gain.ahead() * bump;
        point[1] = y * Math.cos(lean) + z * Math.sin(lean) + gain.outboard() * bump;
        point[2] = z * Math.cos(lean) - y * Math.sin(lean) + bump;
    }

    /** Steering turns a point about an upright axis, so how fast it goes is how far it stands from that, not from the wheel. */
    @Override
    public Reach reach(double[] point) {
        double most = Math.max(range.bump(), range.droop());
        double aside = Math.hypot(gain.outboard(), gain.ahead());
        double around = Math.hypot(point[0], point[1] + axis) + aside * most;
        double high = Math.abs(point[2]) + most;
        // Steering may carry it inboard by as much as it may carry it out.
        double lever = Math.hypot(around + Math.abs(axis), high);
        return new Turned(around, lever, Math.abs(gain.steer()), Math.abs(gain.camber()), aside, Math.hypot(1, aside));
    }

    /**
     * A point's bounds: by Taylor's remainder of two turns, one about the steering axis and one about the wheel's middle line.
     *
     * @param around its distance from the steering axis, mm
     * @param lever its greatest distance from the line that it leans about, mm
     * @param aside how far the hub goes from straight up for a mm of bump
     * @param way the whole way that it goes for it
     */
    private record Turned(double around, double lever, double steerPerMm, double camberPerMm, double aside, double way)
            implements Reach {
        @Override
        public double bump() {
            return way + camberPerMm * lever + steerPerMm * around;
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
            return around * turned * (turned / 2 + leaned)
                    + leaned * (lever * leaned / 2 + way * bump)
                    + aside * bump * turned;
        }
    }
}
