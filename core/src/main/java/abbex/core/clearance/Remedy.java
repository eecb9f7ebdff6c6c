package abbex.core.clearance;

/**
 * What may be done when something does not clear, in the order of what it costs the customer (common practice), each in its own
 * steps.
 */
public enum Remedy {
    /** Liner trimmed or formed away by heat. */
    TRIM_LINER(5, 4),
    /** Hose, wire or cable clipped and tied back. */
    TIE_BACK(5, 4),
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
    /** A tyre of lower aspect, in points of it. */
    LOWER_ASPECT(5, 3),
    /** The top leaned in, in tenths of a degree. */
    CAMBER(5, 5),
    /** What stands in the way moved or flipped, or a slimmer damper of the same length. */
    MOVE_BRACKET(5, 4),
    /** Inner arch hammered: structural, only where nothing lies behind it. */
    HAMMER_ARCH(5, 3),
    /** The fender widened or flared. */
    FLARE(5, 10);

    private final int step;
    private final int most;

    Remedy(int step, int most) {
        this.step = step;
        this.most = most;
    }

    /** The amount of so many steps: millimetres, for camber tenths of a degree, for the aspect its points. */
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

    /** True for what bares metal, which is coated again. */
    public boolean baresMetal() {
        return this == ROLL_LIP || this == HAMMER_ARCH || this == FLARE;
    }

    /** True for what is done to the body itself: a place that is probed afterwards has it in its gap already. */
    public boolean shapes() {
        return this == TRIM_LINER || this == TIE_BACK || this == MOVE_BRACKET || baresMetal();
    }
}
