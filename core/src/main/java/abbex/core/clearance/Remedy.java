package abbex.core.clearance;

import java.util.Set;

/**
 * What may be done when something does not clear, in the order of what it costs the customer (common practice), each in its own
 * steps.
 */
public enum Remedy {
    /** Wheel further out, by a spacer or another offset. */
    OUTWARD(1, 25),
    /** Wheel further in, by another offset. */
    INWARD(1, 20),
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
    /** A narrower tyre that exists and the rim takes: the next one, or the one after it. */
    NARROWER(1, 3),
    /** A tyre of lower aspect that exists and the rim takes: the next one, or the one after it. */
    LOWER_ASPECT(1, 3),
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

    /** The amount of so many steps: millimetres, for camber tenths of a degree, for another tyre which of those that exist. */
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

    /** Another tyre. */
    public boolean otherTyre() {
        return this == NARROWER || this == LOWER_ASPECT;
    }

    /** It changes wheel or tyre, which both sides of an end have alike. */
    public boolean ofWheel() {
        return this == OUTWARD || this == INWARD || otherTyre();
    }

    /** Parts that the wheel comes nearer to by it: where one of them was never measured nothing is said of it. */
    public Set<ProbePlace> towards() {
        return switch (this) {
            case OUTWARD -> Set.of(ProbePlace.FENDER_LIP, ProbePlace.LINER_FRONT, ProbePlace.LINER_REAR);
            case INWARD -> Set.of(ProbePlace.STRUT, ProbePlace.INNER_ARCH);
            case CAMBER -> Set.of(ProbePlace.STRUT);
            default -> Set.of();
        };
    }

    /** True for what is done to the body itself: a place that is probed afterwards has it in its gap already. */
    public boolean shapes() {
        return this == TRIM_LINER || this == TIE_BACK || this == MOVE_BRACKET || baresMetal();
    }
}
