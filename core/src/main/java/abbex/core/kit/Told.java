package abbex.core.kit;

/**
 * A value as far as it is known.
 *
 * @param value in the unit of what it is told of
 * @param standard one standard deviation, in the same unit, not negative
 */
public record Told(double value, double standard, Origin origin) {
    /** How it is known, the worst first. */
    public enum Origin {
        /** Of vehicles or parts like it: nobody looked at this one. */
        TYPICAL,
        /** By its maker. */
        PRINTED,
        /** By what this shop has measured of its like. */
        SHOP,
        MEASURED
    }

    public Told {
        if (!(Double.isFinite(value) && standard >= 0)) {
            throw new IllegalArgumentException("told: " + value + " ± " + standard);
        }
    }

    public static Told measured(double value, double standard) {
        return new Told(value, standard, Origin.MEASURED);
    }

    public static Told printed(double value, double standard) {
        return new Told(value, standard, Origin.PRINTED);
    }

    public static Told typical(double value, double standard) {
        return new Told(value, standard, Origin.TYPICAL);
    }

    /** The same as sure as somebody who measures it would be; never less sure than it is. */
    Told within(double other) {
        return new Told(value, Math.min(standard, other), Origin.MEASURED);
    }
}
