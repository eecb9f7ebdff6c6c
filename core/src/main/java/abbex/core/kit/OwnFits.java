package abbex.core.kit;

import java.util.List;

/**
 * What a shop's own fits of a kit tell of its printed number: from the first on they move what is expected, and from three on
 * they are the shop's own figure.
 *
 * @param count fits that were measured
 * @param off by how much more than printed the next one comes down, mm, with all that it may differ by
 */
public record OwnFits(int count, Told off) {
    /** Of the variance of printed numbers so much is the kit's own, the rest each vehicle's (ours). */
    private static final double KIT = 0.6;

    private static final int OWN = 3;

    /** Nobody has fitted it here. */
    public static final OwnFits NONE = new OwnFits(0, Told.typical(0, Box.STANDARD));

    /**
     * A fit.
     *
     * @param more by how much more than printed it came down, mm
     * @param standard one standard deviation of what was measured, mm
     */
    public record Fit(double more, double standard) {}

    /** The printed number as a prior, ± 1/4 in at k = 2, and every fit as an observation of the kit (normal, conjugate). */
    public static OwnFits of(List<Fit> fits) {
        double kit = KIT * Box.STANDARD * Box.STANDARD;
        double each = (1 - KIT) * Box.STANDARD * Box.STANDARD;
        double weight = 1 / kit;
        double sum = 0;
        for (Fit fit : fits) {
            double w = 1 / (each + fit.standard() * fit.standard());
            weight += w;
            sum += w * fit.more();
        }
        return new OwnFits(
                fits.size(),
                new Told(
                        sum / weight,
                        Math.sqrt(1 / weight + each),
                        fits.isEmpty() ? Told.Origin.TYPICAL : Told.Origin.SHOP));
    }

    /** Enough to be called the shop's own. */
    public boolean own() {
        return count >= OWN;
    }
}
