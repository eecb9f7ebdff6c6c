package abbex.core.clearance;

import java.util.EnumMap;
import java.util.Map;

/**
 * How much air each place needs, in mm: what a shop has set, and common practice for the rest.
 *
 * @param set by place, not negative
 */
public record Needed(Map<ProbePlace, Double> set) {
    public static final Needed USUAL = new Needed(Map.of());

    public Needed {
        set.forEach((place, mm) -> {
            if (!(mm >= 0)) {
                throw new IllegalArgumentException("needed: " + place + " " + mm + "; not negative");
            }
        });
        set = set.isEmpty() ? Map.of() : Map.copyOf(new EnumMap<>(set));
    }

    public double of(ProbePlace place) {
        return set.getOrDefault(place, place.neededMm());
    }
}
