package abbex.core.motorcycle;

/**
 * Fork tubes pushed up in their clamps.
 *
 * @param shoulder how far the tubes can go until a shoulder or the bars stop them, mm
 * @param clamp from the tyre at full bump to the lower clamp, mm
 * @param fender from the fender at full bump to whatever it meets first, mm
 */
public record ForkSlide(double shoulder, double clamp, double fender) {
    /** What stops a slide first. */
    public enum Stop {
        SHOULDER,
        CLAMP,
        FENDER
    }

    /** How far the tubes can go up at most, mm; nothing for what is used up. */
    public double most() {
        return Math.max(0, Math.min(shoulder, Math.min(clamp, fender)));
    }

    public Stop stop() {
        return shoulder <= clamp && shoulder <= fender ? Stop.SHOULDER : clamp <= fender ? Stop.CLAMP : Stop.FENDER;
    }

    /** How far the front comes down at its wheel, mm: slide · cos of the head angle from the vertical, degrees. */
    public static double drop(double slide, double headAngle) {
        return slide * Math.cos(Math.toRadians(headAngle));
    }

    /** How far the tubes go up for a drop at the wheel, mm. */
    public static double slide(double drop, double headAngle) {
        return drop / Math.cos(Math.toRadians(headAngle));
    }

    /**
     * What gives the head angle back after the rear came down: the front comes down as far.
     *
     * @param slide how far the tubes go up, mm, never beyond what stops them
     * @param left degrees of head angle that cannot be had back
     */
    public record Restored(double slide, double left) {}

    public Restored restore(double rearDrop, double wheelbase, double headAngle) {
        double slide = Math.max(0, Math.min(most(), slide(rearDrop, headAngle)));
        return new Restored(slide, Steering.turn(drop(slide, headAngle), rearDrop, wheelbase));
    }
}
