package abbex.core.heights;

import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.TapeReading;
import abbex.core.units.Uncertainty;
import java.time.Instant;
import java.util.Comparator;

/**
 * One reading that stands: what a tape said at a spot, to whom, when.
 *
 * @param spot place and way to measure
 * @param tape what was read
 * @param who short name of the person
 * @param takenAt when it was taken, by the clock of the device: to be shown, never to put readings in order
 * @param correction true when it replaced an earlier reading of the same person
 * @param nr its place in the order in which the record was written
 */
public record Reading(MeasuringPoint spot, TapeReading tape, String who, Instant takenAt, boolean correction, long nr) {
    static final Comparator<Reading> BY_VALUE = Comparator.comparing(
                    (Reading r) -> r.tape().value())
            .thenComparing(r -> r.tape().raw())
            .thenComparing(Reading::who)
            .thenComparing(Reading::takenAt);

    /** A reading of a record that has no order but its times. */
    public Reading(MeasuringPoint spot, TapeReading tape, String who, Instant takenAt, boolean correction) {
        this(spot, tape, who, takenAt, correction, takenAt.toEpochMilli());
    }

    /** A reading of nobody in particular, for computation without a record. */
    public static Reading of(MeasuringPoint spot, TapeReading tape) {
        return new Reading(spot, tape, "", Instant.EPOCH, false);
    }

    /**
     * The reading with its standard uncertainty: the scale's rectangular half-width and the repeatability of finding the
     * point, combined (JCGM 100:2008, 4.3.7 and 5.1.2).
     */
    public Estimate estimate() {
        return estimate(Uncertainty.known(spot.way().repeatability().mm()));
    }

    /** The same with another repeatability of finding the point, in mm. */
    Estimate estimate(Uncertainty point) {
        return new Estimate(value(), Uncertainty.known(tape.standardMm()).and(point));
    }

    public Length value() {
        return tape.value();
    }
}
