package abbex.core.springs;

import java.util.Optional;

/**
 * A corner at rest: where its wheel stands when whatever is in contact carries the load. The wheel's travel is counted up from
 * the height at which the spring's space, the damper and the stop were measured; the motion ratios are those of small moves
 * and count throughout.
 *
 * @param load sprung load at the wheel, N
 * @param ratio how far the spring moves for a millimetre of the wheel
 * @param space between the spring's seats at no travel, mm
 * @param stop what the damper's rod comes to, and how far from it the stop is at no travel, mm of the rod; empty for none
 */
public record CornerRest(double load, double ratio, Spring spring, double space, Damper damper, Optional<Stop> stop) {
    /** A root is found to this, mm. */
    private static final double SURE = 1e-9;

    private static final int STEPS = 200;

    /** A bump stop so far from what crushes it, mm of the damper's rod. */
    public record Stop(BumpStop bump, double free) {}

    /** What the spring does. */
    public enum State {
        /** Between seats that are further apart than it is long. */
        LOOSE,
        AT_WORK,
        SOLID
    }

    /** What ends the travel. */
    public enum End {
        NONE,
        /** The damper is out as far as it goes: the corner hangs on it. */
        DAMPER_OUT,
        /** Spring or damper is on metal. */
        METAL
    }

    /**
     * Where it rests.
     *
     * @param travel of the wheel, mm up from where it was measured
     * @param length of the spring, mm; its free length while it is loose
     * @param force of the spring, N
     * @param onStop true while the bump stop is crushed
     * @param wheelRate N/mm at the wheel, of spring and stop together
     */
    public record Rest(
            double travel, double length, double force, State state, boolean onStop, End end, double wheelRate) {}

    public CornerRest {
        if (!(load > 0 && ratio > 0 && ratio <= 2 && space > 0)) {
            throw new IllegalArgumentException(
                    "corner: load " + load + " N, ratio " + ratio + ", space " + space + " mm");
        }
    }

    /** How far the wheel goes up until spring or damper is on metal, mm. */
    private double most() {
        return Math.min((spring.law().solid() - spring.free() + space) / ratio, damper.in() / damper.ratio());
    }

    /** How far it goes until the damper is out, mm; not positive. */
    private double least() {
        return -damper.out() / damper.ratio();
    }

    private double deflection(double travel) {
        return spring.free() - space + ratio * travel;
    }

    private double crush(double travel) {
        return stop.map(s -> damper.ratio() * travel - s.free()).orElse(0.0);
    }

    /** What pushes the wheel down at a travel, N. */
    private double push(double travel) {
        double bent = deflection(travel);
        double crush = crush(travel);
        return (bent <= 0
                        ? 0
                        : ratio * spring.law().force(Math.min(bent, spring.law().solid())))
                + damper.ratio()
                        * (damper.gas() + stop.map(s -> s.bump().force(crush)).orElse(0.0));
    }

    /** N/mm at the wheel. */
    private double rate(double travel) {
        double bent = deflection(travel);
        double crush = crush(travel);
        return (bent <= 0
                        ? 0
                        : ratio
                                * ratio
                                * spring.law().rate(Math.min(bent, spring.law().solid())))
                + damper.ratio()
                        * damper.ratio()
                        * stop.map(s -> s.bump().rate(crush)).orElse(0.0);
    }

    /** The one travel at which all is in balance, or the end of it. */
    public Rest solve() {
        double low = least();
        double high = most();
        if (!(high > low)) {
            throw new IllegalArgumentException(
                    "corner: on metal at " + high + " mm, before the damper is out at " + low + " mm");
        }
        if (push(low) >= load) {
            return rest(low, End.DAMPER_OUT);
        }
        if (push(high) <= load) {
            return rest(high, End.METAL);
        }
        return rest(root(low, high), End.NONE);
    }

    /** Newton's step wherever it stays between what pushes too little and what pushes too much, else their middle. */
    private double root(double from, double to) {
        double low = from;
        double high = to;
        double at = (low + high) / 2;
        for (int i = 0; i < STEPS && high - low > SURE; i++) {
            double over = push(at) - load;
            if (over > 0) {
                high = at;
            } else {
                low = at;
            }
            double rate = rate(at);
            double next = rate > 0 ? at - over / rate : Double.NaN;
            if (Math.abs(over) < rate * SURE / 2) {
                return next;
            }
            at = next > low && next < high ? next : (low + high) / 2;
        }
        return at;
    }

    private Rest rest(double travel, End end) {
        double bent = deflection(travel);
        double solid = spring.law().solid();
        State state = bent <= 0 ? State.LOOSE : bent >= solid - SURE ? State.SOLID : State.AT_WORK;
        return new Rest(
                travel,
                spring.free() - Math.max(0, Math.min(bent, solid)),
                bent <= 0 ? 0 : spring.law().force(Math.min(bent, solid)),
                state,
                crush(travel) > 0,
                end,
                rate(travel));
    }

    /** The free length with which a spring of one rate holds the wheel at a travel, mm; the stop as it is. */
    public double freeFor(double springRate, double travel) {
        double others = damper.ratio()
                * (damper.gas() + stop.map(s -> s.bump().force(crush(travel))).orElse(0.0));
        return space - ratio * travel + (load - others) / (ratio * springRate);
    }
}
