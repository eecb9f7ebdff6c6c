package abbex.core.clearance;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What leaves a least gap open.
 *
 * @param parts by cause, one standard deviation of the gap each, in mm
 * @param open those that a tape can still make smaller
 */
public record Doubt(Map<Of, Double> parts, Set<Of> open) {
    /** A cause, with what is left of it once it was measured as the page asks for: a part of what it is by eye. */
    public enum Of {
        /** Finding the place, reading the gap, the tyre's own size. */
        READ(1),
        HOUR(GapReading.Spot.TAPED / GapReading.Spot.EYE),
        ACROSS(0.2),
        AXIS(1.0 / 6),
        LOCK(0.25),
        BUMP(1);

        private final double left;

        Of(double left) {
            this.left = left;
        }
    }

    public Doubt {
        parts = parts.isEmpty() ? Map.of() : new EnumMap<>(parts);
        open = Set.copyOf(open);
    }

    /** Of the reading alone. */
    public static Doubt ofReading(double standard) {
        return new Doubt(Map.of(Of.READ, standard), Set.of());
    }

    public double part(Of of) {
        return parts.getOrDefault(of, 0.0);
    }

    /** All together, one standard deviation in mm: they have nothing to do with each other. */
    public double standard() {
        return Math.sqrt(
                parts.values().stream().mapToDouble(part -> part * part).sum());
    }

    /** What would be left with all measured that is open. */
    private double least() {
        double left = 0;
        for (Map.Entry<Of, Double> part : parts.entrySet()) {
            double one = part.getValue() * (open.contains(part.getKey()) ? part.getKey().left : 1);
            left += one * one;
        }
        return Math.sqrt(left);
    }

    /**
     * What to measure first so that no more is left than may be: what is greatest of all that is open; empty when all of it
     * together would not do.
     *
     * @param most that may be left, mm
     */
    Optional<Of> toMeasure(double most) {
        if (!(least() <= most)) {
            return Optional.empty();
        }
        return open.stream().max(Comparator.comparingDouble(this::part).thenComparing(Comparator.reverseOrder()));
    }
}
