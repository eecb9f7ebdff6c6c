package abbex.core.heights;

import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import java.util.List;

/**
 * The height at a spot: one reading, or the mean of several people's.
 *
 * @param spot corner and method
 * @param estimate the value (a mean is rounded half to even to the nanometre) and its standard uncertainty
 * @param readings what it rests on, by value, never empty
 */
public record Height(Spot spot, Estimate estimate, List<Reading> readings) {
    static Height of(Spot spot, List<Reading> readings) {
        if (readings.size() == 1) {
            return new Height(spot, readings.get(0).estimate(), List.copyOf(readings));
        }
        List<Reading> sorted = readings.stream().sorted(Reading.BY_VALUE).toList();
        Length sum = Length.ZERO;
        double variance = 0;
        for (Reading reading : sorted) {
            Estimate one = reading.estimate();
            sum = sum.plus(one.value());
            variance += one.uncertainty().standard() * one.uncertainty().standard();
        }
        int n = sorted.size();
        return new Height(spot, new Estimate(sum.dividedBy(n), Uncertainty.known(Math.sqrt(variance) / n)), sorted);
    }

    public Length value() {
        return estimate.value();
    }
}
