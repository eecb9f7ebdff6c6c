package abbex.core.kit;

import abbex.core.figure.Place;

/**
 * Why a vehicle may stand other than planned.
 *
 * @param place the end or the corner; the whole vehicle where it is both ends
 */
public record Cause(Kind kind, Place place) {
    /** What it is, the cheapest check first. */
    public enum Kind {
        /** A reading that was misread: taken again in a minute. */
        TAPE,
        TYRE,
        LOAD,
        NOT_SETTLED,
        /** Left and right springs of an end, each in the other's place. */
        SIDES_CHANGED,
        PERCH,
        ON_STOP,
        GAS,
        /** Rubber-bushed pivots tightened with the wheel hanging: they hold the body up. */
        HANGING_PIVOTS,
        /** A spring that is not home in its seat, or whose end is not at its stop. */
        SEAT,
        ISOLATOR,
        ENDS_CHANGED,
        WRONG_PART
    }
}
