package abbex.core.heights;

import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;

/**
 * The four corner heights of a sheet by one way to measure, out of all readings of a job at once.
 *
 * @param method in whose terms they are told, whether or not it was read at each corner
 * @param mm in walking order
 * @param covariance of them, mm²
 */
public record CornerHeights(Method method, double[] mm, double[][] covariance) {
    /** A corner's height with its width. */
    public Estimate at(Corner corner) {
        return new Estimate(Length.ofRoundedMm(mm[corner.ordinal()]), Uncertainty.known(standard(corner)));
    }

    /** One standard deviation of a corner's height, mm. */
    public double standard(Corner corner) {
        return Math.sqrt(covariance[corner.ordinal()][corner.ordinal()]);
    }
}
