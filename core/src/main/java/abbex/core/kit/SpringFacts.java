package abbex.core.kit;

import abbex.core.springs.Spring;

/**
 * A spring by its figures.
 *
 * @param spring as printed or measured
 * @param rate how far its rate may be off, as a part of it, one standard deviation
 * @param length how far its free length may be off, mm, one standard deviation
 * @param solidKnown false where nobody said how long it is when every coil lies on the next: nothing is said of bind then
 */
public record SpringFacts(Spring spring, double rate, double length, Told.Origin origin, boolean solidKnown) {
    /** What makers' figures are off by: ± 6 % and ± 4 mm at k = 2 (common practice). */
    private static final double PRINTED_RATE = 0.03;

    private static final double PRINTED_LENGTH = 2;

    /** The same on a bench: ± 1.5 % and ± 1 mm. */
    static final double BENCH_RATE = 0.0075;

    static final double BENCH_LENGTH = 0.5;

    private static final double CALLIPER_RATE = 0.05;

    public SpringFacts {
        if (!(rate >= 0 && length >= 0)) {
            throw new IllegalArgumentException("spring: rate off by " + rate + ", length by " + length + " mm");
        }
    }

    public static SpringFacts printed(Spring spring) {
        return new SpringFacts(spring, PRINTED_RATE, PRINTED_LENGTH, Told.Origin.PRINTED, true);
    }

    public static SpringFacts measured(Spring spring) {
        return new SpringFacts(spring, BENCH_RATE, BENCH_LENGTH, Told.Origin.MEASURED, true);
    }

    /** The same with a rate that was calculated from wire, coil and turns: 5 % (see {@code parts.Calliper}). */
    public SpringFacts byCalliper() {
        return new SpringFacts(spring, CALLIPER_RATE, BENCH_LENGTH, Told.Origin.MEASURED, solidKnown);
    }

    /** The same with nothing known of its solid length. */
    public SpringFacts withoutSolid() {
        return new SpringFacts(spring, rate, length, origin, false);
    }
}
