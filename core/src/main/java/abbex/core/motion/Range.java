package abbex.core.motion;

import abbex.core.vehicle.End;
import abbex.core.vehicle.WheelPlace;

/**
 * How far the wheel may go.
 *
 * @param droop from ride height down, mm, not negative
 * @param bump from ride height up, with the stop crushed, mm, not negative
 * @param left steer to full left lock, radians, not negative
 * @param right steer to full right lock, radians, not negative
 * @param roll of the body to either side, radians, not negative
 */
public record Range(double droop, double bump, double left, double right, double roll) {
    /** Locks of the wheel on the inside of the turn and of the one outside it: it turns in further (ours). */
    private static final double INNER = 38;

    private static final double OUTER = 32;

    /** A corner of a common car until somebody says better (ours); a rear one does not steer. */
    public static Range usual(WheelPlace wheel) {
        boolean steered = wheel.end() == End.FRONT;
        return of(
                wheel,
                60,
                70,
                steered ? Math.toRadians(INNER) : 0,
                steered ? Math.toRadians(OUTER) : 0,
                Math.toRadians(3));
    }

    /** By the locks as they are measured: of the wheel when it is inside of the turn, and when it is outside. */
    public static Range of(WheelPlace wheel, double droop, double bump, double inner, double outer, double roll) {
        return wheel.fromLeft()
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

    /** The same travel between the same stops, of a body that stands so much higher, mm. */
    public Range raised(double by) {
        return new Range(Math.max(0, droop - by), Math.max(0, bump + by), left, right, roll);
    }

    /** The same with so much more bump, mm; never less than none. */
    public Range bumped(double by) {
        return new Range(droop, Math.max(0, bump + by), left, right, roll);
    }

    /** The same with either lock so much further, radians; what does not steer stays so. */
    public Range locked(double by) {
        return new Range(droop, bump, lock(left, by), lock(right, by), roll);
    }

    private static double lock(double lock, double by) {
        return lock == 0 ? 0 : Math.max(0, Math.min(FARTHEST, lock + by));
    }

    /** No wheel turns further (ours). */
    private static final double FARTHEST = Math.toRadians(80);

    /** True when a pose is one of these. */
    public boolean holds(Pose pose) {
        return pose.bump() >= -droop
                && pose.bump() <= bump
                && pose.steer() >= -left
                && pose.steer() <= right
                && Math.abs(pose.roll()) <= roll;
    }

    /** The pose of these that comes nearest to one in bump, in steer and in roll. */
    public Pose nearest(Pose pose) {
        return new Pose(
                Math.max(-droop, Math.min(bump, pose.bump())),
                Math.max(-left, Math.min(right, pose.steer())),
                Math.max(-roll, Math.min(roll, pose.roll())));
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
