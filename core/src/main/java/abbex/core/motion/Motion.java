package abbex.core.motion;

import org.jspecify.annotations.Nullable;

/**
 * How a corner's wheel moves against the body. A linkage may stand behind it; {@link StraightMotion} does where nobody knows
 * one. The corner's axes are those of the wheel at ride height, upright and straight ahead: the hub's face at their origin, x
 * towards the edge that right lock carries outboard, y outboard, z up, in mm.
 */
public interface Motion {
    /** How far the wheel may go. */
    Range range();

    /** The same way of moving over another range. */
    Motion withRange(Range other);

    /** The same with the top leaned further out by so many radians all along, negative in. */
    Motion leaned(double by);

    /**
     * The same travel seen from another ride height: stops and droop limits stay where they are on the body, so that a body
     * that is raised has as much more bump to the stop and as much less droop.
     *
     * @param by how much higher the body stands, mm; negative for lower
     */
    Motion raised(double by);

    /** The same with the steering axis so much further inboard, mm; the same where nothing steers. */
    Motion steeredAbout(double further);

    /** The same with more of what comes with bump. */
    Motion gaining(Gain more);

    /** How well range and axis are known: wide while they were not measured. */
    Known known();

    /** How the wheel stands at a pose; {@link #toWheel} carries its centre to the origin and its axis to y. */
    WheelPose at(Pose pose);

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

    /**
     * Puts what was seen from a wheel straight ahead into the corner's axes: by the lean that it has there, and by the way that its
     * hub has gone. The toe is set at each ride height, so that it does not turn there.
     *
     * @param point x, y, z in the wheel's axes, mm; overwritten
     * @param bump of the wheel from ride height, mm, positive up
     */
    void fromWheel(double[] point, double bump);

    /** How fast a body point moves over the whole range, and how far from straight. */
    Reach reach(double[] point);

    /** Bounds for one point; any pose of the range keeps them. */
    interface Reach {
        /** At most so many mm does the point move for a mm of bump. */
        double bump();

        /** The same for a radian of steer. */
        double steer();

        /** The same for a radian of roll. */
        double roll();

        /**
         * How far the point may lie, at most, from where the tangent at the middle of a box of poses puts it.
         *
         * @param bump half-width of the box in mm
         * @param steer half-width in radians
         * @param roll half-width in radians
         */
        double bend(double bump, double steer, double roll);
    }
}
