package abbex.core.parts;

import abbex.core.figure.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The part that comes off beside the one that goes on, both in hand.
 *
 * @param kind of part, or its name
 * @param own it is called as somebody named it
 * @param because why it goes on although it differs; empty where nobody has said
 */
public record OldNew(Place place, String kind, boolean own, PartFigures old, PartFigures fresh, String because) {
    /** Lengths that differ by less are alike, mm: a tape over two eyes (common practice, from memory). */
    private static final double LENGTH = 3;

    /** Diameters that differ by less are alike, mm: a calliper on paint and rubber (common practice, from memory). */
    private static final double ACROSS = 0.3;

    /** Threads of the same diameter and pitch go together, mm; M12 × 1.75 and 1/2-13 do not, though one starts in the other. */
    private static final double THREAD = 0.05;

    /** What is compared. */
    public enum Feature {
        LENGTH,
        BORE,
        BAR,
        THREAD,
        SIDE
    }

    /**
     * A feature that was measured of both parts.
     *
     * @param by new less old, mm, where that can be said
     */
    public record Compared(Feature feature, boolean alike, OptionalDouble by) {}

    /** What was measured of both; what was measured of one alone says nothing, and clears nothing. */
    public List<Compared> compared() {
        List<Compared> all = new ArrayList<>();
        across(all, Feature.LENGTH, old.length(), fresh.length(), LENGTH);
        across(all, Feature.BORE, old.bore(), fresh.bore(), ACROSS);
        across(all, Feature.BAR, old.bar(), fresh.bar(), ACROSS);
        if (old.thread().isPresent() && fresh.thread().isPresent()) {
            boolean alike = Math.abs(old.thread().get().diameter()
                                    - fresh.thread().get().diameter())
                            < THREAD
                    && Math.abs(old.thread().get().pitch()
                                    - fresh.thread().get().pitch())
                            < THREAD;
            all.add(new Compared(Feature.THREAD, alike, OptionalDouble.empty()));
        }
        if (old.side().isPresent() && fresh.side().isPresent()) {
            all.add(new Compared(Feature.SIDE, old.side().equals(fresh.side()), OptionalDouble.empty()));
        }
        return List.copyOf(all);
    }

    private static void across(
            List<Compared> all, Feature feature, OptionalDouble old, OptionalDouble fresh, double alike) {
        if (old.isPresent() && fresh.isPresent()) {
            double by = fresh.getAsDouble() - old.getAsDouble();
            all.add(new Compared(feature, Math.abs(by) <= alike, OptionalDouble.of(by)));
        }
    }

    /** What differs, the length of a part apart that is made to differ in it. */
    public List<Feature> unlike() {
        return compared().stream()
                .filter(one -> !one.alike() && !(one.feature() == Feature.LENGTH && lengthIsMeant()))
                .map(Compared::feature)
                .toList();
    }

    /** A shorter spring, damper or stop is what lowers, and a block is there for its height: the plan holds that length. */
    public boolean lengthIsMeant() {
        return !own && MEANT.contains(kind);
    }

    private static final List<String> MEANT = List.of("spring", "damper", "stop", "block", "shackle", "link");
}
