package abbex.core.motion;

/**
 * Where a corner is in what it may do.
 *
 * @param bump of the wheel from ride height in mm, positive up
 * @param steer in radians, positive towards right lock
 * @param roll of the body in radians, positive towards this corner: its top leans outboard
 */
public record Pose(double bump, double steer, double roll) {
    /** At ride height, straight ahead, level. */
    public static final Pose RIDE = new Pose(0, 0, 0);
}
