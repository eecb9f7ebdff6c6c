package abbex.core.motion;

/**
 * How a wheel stands against the body, in the corner's axes of {@link Motion}. Its own turning does not count.
 *
 * @param ahead where the hub's face has gone along x, in mm
 * @param outboard the same along y
 * @param up the same along z
 * @param steer about the upright, in radians, positive towards right lock
 * @param camber against the body, in radians, negative leans the top in
 */
public record WheelPose(double ahead, double outboard, double up, double steer, double camber) {
    /** The wheel's axis as a unit vector that points outboard: x, y, z. */
    public double[] axis() {
        return new double[] {-Math.sin(steer) * Math.cos(camber), Math.cos(steer) * Math.cos(camber), -Math.sin(camber)
        };
    }
}
