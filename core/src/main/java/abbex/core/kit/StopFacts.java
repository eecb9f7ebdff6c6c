package abbex.core.kit;

import abbex.core.springs.BumpStop;

/**
 * A bump stop by its figures.
 *
 * @param force how far its force may be off, as a part of it, one standard deviation
 */
public record StopFacts(BumpStop stop, double force, Told.Origin origin) {
    /** Rings that nobody measured are as stiff as most, within a third (ours). */
    private static final double ANY_FORCE = 0.33;

    public static StopFacts typical(BumpStop stop) {
        return new StopFacts(stop, ANY_FORCE, Told.Origin.TYPICAL);
    }
}
