package abbex.core.alignment;

/**
 * Toe of one wheel, in positive, in degrees. Source: trigonometry; toe distance over a diameter as garages state it (common
 * practice).
 */
public record Toe(double degrees) {
    private static final double FEET_PER_MILE = 5280;

    /**
     * From the distance that a wheel's rim or tyre stands in at its front against its middle line, over a diameter.
     *
     * @throws IllegalArgumentException when the distance is not shorter than the diameter
     */
    public static Toe of(double distance, double diameter) {
        if (!(diameter > 0 && Math.abs(distance) < diameter)) {
            throw new IllegalArgumentException("toe of " + distance + " over a diameter of " + diameter);
        }
        return new Toe(Math.toDegrees(Math.asin(distance / diameter)));
    }

    /** In the unit of the diameter. */
    public double distance(double diameter) {
        return diameter * Math.sin(radians());
    }

    /** Metres that the tyre is dragged sideways in a kilometre, without a sign. */
    public double scrubMetresPerKilometre() {
        return 1000 * Math.abs(Math.tan(radians()));
    }

    /** Feet in a mile, without a sign. */
    public double scrubFeetPerMile() {
        return FEET_PER_MILE * Math.abs(Math.tan(radians()));
    }

    private double radians() {
        return Math.toRadians(degrees);
    }
}
