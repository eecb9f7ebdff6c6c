package abbex.core.heights;

import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;

/**
 * A reading that does not go with the others.
 *
 * @param sheet its sheet, counted from 0
 * @param spot where it was read
 * @param reading what was read
 * @param weight its standardised residual; the square is what chi-square loses without it
 * @param error what it has too much by all others
 * @param errorStandard the standard deviation of the error
 */
public record Outlier(
        int sheet, MeasuringPoint spot, Reading reading, double weight, Length error, Length errorStandard) {
    /** What all others say it should read, with the uncertainty of that. */
    public Estimate probable() {
        return new Estimate(reading.value().minus(error), Uncertainty.known(errorStandard.mm()));
    }
}
