package abbex.core.units;

import java.util.List;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * A standard uncertainty with its degrees of freedom, by JCGM 100:2008 (the GUM). Unit: millimetres, unless its holder
 * says another.
 *
 * @param standard one standard deviation, not negative
 * @param degreesOfFreedom positive; infinite when taken as known
 */
public record Uncertainty(double standard, double degreesOfFreedom) {
    public static final Uncertainty NONE = new Uncertainty(0, Double.POSITIVE_INFINITY);

    public Uncertainty {
        if (!(standard >= 0) || !(degreesOfFreedom > 0)) {
            throw new IllegalArgumentException(
                    "uncertainty: standard " + standard + " >= 0, degrees of freedom " + degreesOfFreedom + " > 0");
        }
    }

    public static Uncertainty known(double standard) {
        return new Uncertainty(standard, Double.POSITIVE_INFINITY);
    }

    /** Independent contributions combined: root sum of squares, degrees of freedom by Welch–Satterthwaite (G.4). */
    public static Uncertainty combine(List<Uncertainty> parts) {
        double variance = 0;
        double weight = 0;
        for (Uncertainty part : parts) {
            double square = part.standard * part.standard;
            variance += square;
            weight += square * square / part.degreesOfFreedom;
        }
        return new Uncertainty(
                Math.sqrt(variance), weight == 0 ? Double.POSITIVE_INFINITY : variance * variance / weight);
    }

    public Uncertainty and(Uncertainty other) {
        double variance = standard * standard + other.standard * other.standard;
        if (Double.isInfinite(degreesOfFreedom) && Double.isInfinite(other.degreesOfFreedom)) {
            return known(Math.sqrt(variance));
        }
        return combine(List.of(this, other));
    }

    /** The uncertainty of the quantity times a factor. */
    public Uncertainty times(double factor) {
        return new Uncertainty(standard * Math.abs(factor), degreesOfFreedom);
    }

    /**
     * The factor for a two-sided interval: Student's t at the degrees of freedom truncated to a whole number (G.4.1, note
     * 1), or, where they are infinite and 95 % is asked for, the customary k = 2.
     *
     * @param probability between 0 and 1, such as 0.95
     */
    public double coverageFactor(double probability) {
        if (Double.isInfinite(degreesOfFreedom)) {
            return probability == 0.95 ? 2 : t(1e9, probability);
        }
        return t(Math.max(1, Math.floor(degreesOfFreedom)), probability);
    }

    private static double t(double degrees, double probability) {
        return TDistribution.of(degrees).inverseCumulativeProbability((1 + probability) / 2);
    }

    /** Expanded uncertainty at 95 %, in the unit of {@link #standard}. */
    public double expanded() {
        return coverageFactor(0.95) * standard;
    }
}
