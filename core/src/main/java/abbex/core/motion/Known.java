package abbex.core.motion;

/**
 * How well it is known how far a wheel goes and about what it turns.
 *
 * @param bumpMeasured false while the bump is a usual one: what clears does so only within it
 * @param bump one standard deviation of the bump in mm; 0 where it was not measured, for then nothing is said beyond it
 * @param lock the same of each full lock, in radians
 * @param axis the same of the steering axis' place, in mm
 * @param gain the same of what comes with a mm of bump, none of it negative
 */
public record Known(boolean bumpMeasured, double bump, double lock, double axis, Gain gain) {
    /** A rod or an axle under its frame, by tape (ours). */
    private static final double BUMP = 3;

    /** A lock read off a turning plate or a protractor (ours). */
    private static final double LOCK = Math.toRadians(1);

    /** An axis by tape from the hub's face (ours). */
    private static final double AXIS = 5;

    /** Locks of cars that are made lie so far from the usual ones (common practice). */
    private static final double ANY_LOCK = Math.toRadians(4);

    /** Axes lie from 0 to 120 mm inboard of the hub's face (common practice). */
    private static final double ANY_AXIS = 30;

    /** All of it was measured. */
    public static final Known MEASURED = of(true, true, true);

    public Known {
        boolean gains = gain.camber() >= 0 && gain.steer() >= 0 && gain.outboard() >= 0 && gain.ahead() >= 0;
        if (!(bump >= 0 && lock >= 0 && axis >= 0 && gains)) {
            throw new IllegalArgumentException(
                    "known: bump " + bump + ", lock " + lock + ", axis " + axis + ", " + gain);
        }
    }

    /** By what was measured; the rest is as wide as vehicles differ. What comes with bump is taken for known. */
    public static Known of(boolean bump, boolean lock, boolean axis) {
        return new Known(bump, bump ? BUMP : 0, lock ? LOCK : ANY_LOCK, axis ? AXIS : ANY_AXIS, Gain.NONE);
    }

    /** The same with what comes with bump as wide as said. */
    public Known withGain(Gain width) {
        return new Known(bumpMeasured, bump, lock, axis, width);
    }

    /** The same with the bump open by more, mm of one standard deviation: a stop's own crush, say. */
    public Known withBump(double more) {
        return new Known(bumpMeasured, Math.hypot(bump, more), lock, axis, gain);
    }

    /** The same with the lock measured. */
    public Known withLock() {
        return new Known(bumpMeasured, bump, Math.min(lock, LOCK), axis, gain);
    }

    /** The same with the axis measured. */
    public Known withAxis() {
        return new Known(bumpMeasured, bump, lock, Math.min(axis, AXIS), gain);
    }
}
