package abbex.core.motion;

import abbex.core.vehicle.Architecture;

/**
 * What comes with a mm of bump while the wheel goes up.
 *
 * @param camber in radians, negative leans the top in
 * @param steer in radians, positive towards right lock
 * @param outboard way of the hub's face in mm, positive outboard
 * @param ahead way of the hub's face along x of {@link Motion} in mm
 */
public record Gain(double camber, double steer, double outboard, double ahead) {
    public static final Gain NONE = new Gain(0, 0, 0, 0);

    /** Camber gained over 25 mm by a gauge that reads tenths of a degree: what a taped gain is still open by (ours). */
    private static final double TAPED_CAMBER = Math.toRadians(0.004);

    /** The same of toe, off a plate (ours). */
    private static final double TAPED_STEER = Math.toRadians(0.001);

    /**
     * What is most likely while nobody measured it (common practice): a strut leans its wheel in less than two arms do, and both
     * wheels of a beam keep their camber as long as they go together.
     */
    public static Gain usual(Architecture architecture) {
        return new Gain(
                switch (architecture) {
                    case STRUT, OTHER -> Math.toRadians(-0.012);
                    case DOUBLE_WISHBONE, MULTI_LINK -> Math.toRadians(-0.022);
                    case TWIST_BEAM, SOLID_AXLE_COIL, SOLID_AXLE_LEAF -> 0;
                },
                0,
                0,
                0);
    }

    /**
     * How far vehicles of an architecture lie from that, one standard deviation each (ours, after what suspensions of each kind
     * commonly do).
     */
    public static Gain width(Architecture architecture) {
        if (architecture.oneBeam()) {
            return new Gain(Math.toRadians(0.012), Math.toRadians(0.001), 0.02, 0.04);
        }
        double camber = architecture == Architecture.OTHER ? 0.016 : 0.012;
        return new Gain(Math.toRadians(camber), Math.toRadians(0.004), 0.05, 0.04);
    }

    /** A single track leans with its wheel: what its fork or swingarm carries it along by differs so. */
    public static Gain singleTrackWidth() {
        return new Gain(0, 0, 0, 0.1);
    }

    /** The same where camber and toe over bump were measured. */
    public Gain measured(boolean camberToo, boolean steerToo) {
        return new Gain(
                camberToo ? Math.min(camber, TAPED_CAMBER) : camber,
                steerToo ? Math.min(steer, TAPED_STEER) : steer,
                outboard,
                ahead);
    }

    public Gain plus(Gain more) {
        return new Gain(camber + more.camber, steer + more.steer, outboard + more.outboard, ahead + more.ahead);
    }

    /** The same the other way. */
    public Gain negated() {
        return new Gain(-camber, -steer, -outboard, -ahead);
    }
}
