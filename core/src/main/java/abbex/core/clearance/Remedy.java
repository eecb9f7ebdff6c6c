package abbex.core.clearance;

/**
 * What may be done when something does not clear, in the order of what it costs the customer (common practice), each in its own
 * steps.
 */
public enum Remedy {
    /** Liner trimmed or formed away by heat. */
    TRIM_LINER(5, 4),
    /** Lip rolled: it gains about its inward length outboard. */
    ROLL_LIP(3, 4),
    /** Bump limited by a longer stop; it costs ride. */
    LONGER_STOP(5, 6),
    /** Raised again. */
    LESS_DROP(5, 8),
    /** Wheel further out, by a spacer or another offset. */
    OUTWARD(1, 25),
    /** Wheel further in, by another offset. */
    INWARD(1, 20),
    /** A narrower tyre of the same aspect. */
    NARROWER(10, 3),
    /** The top leaned in, in tenths of a degree. */
    CAMBER(5, 5),
    /** Inner arch hammered: structural, only where nothing lies behind it. */
    HAMMER_ARCH(5, 3);

    private final int step;
    private final int most;

    Remedy(int step, int most) {
        this.step = step;
        this.most = most;
    }

    /** The amount of so many steps: millimetres, for camber tenths of a degree. */
    public int amount(int steps) {
        return step * steps;
    }

    /** So many steps at most. */
    public int most() {
        return most;
    }

    /** True for what weakens a structure: shown for what it is, never offered before anything else is. */
    public boolean structural() {
        return this == HAMMER_ARCH;
    }
}
