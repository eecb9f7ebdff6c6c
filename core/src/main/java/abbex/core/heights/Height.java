package abbex.core.heights;

import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import java.util.ArrayList;
import java.util.List;

/**
 * The height at a spot: one reading, or the mean of several people's, less what is not the vehicle's.
 *
 * @param spot place and way to measure
 * @param estimate the value (a mean is rounded half to even to the nanometre) and its standard uncertainty
 * @param readings what it rests on, by value, never empty
 * @param adds what floor and a worked lip added to what the tape says
 * @param point the standard uncertainty of finding the points, in mm
 * @param standIn what the vehicle that was measured may have differed by, one standard deviation in mm
 */
public record Height(
        MeasuringPoint spot,
        Estimate estimate,
        List<Reading> readings,
        Length adds,
        Uncertainty point,
        double standIn) {
    static Height of(MeasuringPoint spot, List<Reading> readings, Basis basis) {
        List<Reading> sorted = readings.size() == 1
                ? List.copyOf(readings)
                : readings.stream().sorted(Reading.BY_VALUE).toList();
        Uncertainty point = basis.repeatability().of(spot.way());
        int n = sorted.size();
        Length sum = Length.ZERO;
        List<Uncertainty> parts = new ArrayList<>(n);
        for (Reading reading : sorted) {
            Estimate one = reading.estimate(point);
            sum = sum.plus(one.value());
            parts.add(one.uncertainty());
        }
        Uncertainty tape = n == 1 ? parts.get(0) : mean(parts);
        double standIn = basis.standIn().standardMm();
        Length adds = basis.floor().map(floor -> floor.adds(spot)).orElse(Length.ZERO);
        Length mean = n == 1 ? sum : sum.dividedBy(n);
        return new Height(
                spot,
                new Estimate(mean.minus(adds), standIn == 0 ? tape : tape.and(Uncertainty.known(standIn))),
                sorted,
                adds,
                point,
                standIn);
    }

    /** The repeatability behind all of them is one and the same, so its degrees of freedom do not grow. */
    private static Uncertainty mean(List<Uncertainty> parts) {
        double variance = 0;
        for (Uncertainty part : parts) {
            variance += part.standard() * part.standard();
        }
        return new Uncertainty(Math.sqrt(variance) / parts.size(), parts.get(0).degreesOfFreedom());
    }

    /** The same with the lip back where it was before somebody worked on it. */
    Height lowered(Estimate lip) {
        return new Height(spot, estimate.minus(lip), readings, adds.plus(lip.value()), point, standIn);
    }

    Height at(MeasuringPoint other) {
        return new Height(other, estimate, readings, adds, point, standIn);
    }

    /** What one of the readings alone says of the height of whatever was measured. */
    Estimate by(Reading reading) {
        Estimate one = reading.estimate(point);
        return new Estimate(one.value().minus(adds), one.uncertainty());
    }

    /** The height itself: what the tape says less what is not the vehicle's. */
    public Length value() {
        return estimate.value();
    }

    /** What the tape says. */
    public Length read() {
        return adds.sign() == 0 ? estimate.value() : estimate.value().plus(adds);
    }
}
