package abbex.core.heights;

import abbex.core.figure.Place;
import abbex.core.units.Length;
import java.util.Map;
import java.util.Optional;

/** The drop that the box promises, per end, or at a motorcycle's seat: one number or a range; positive is down. */
public record Advertised(Map<Place, Range> byPlace) {
    /** From least to most drop; both the same for one number. */
    public record Range(Length least, Length most) {
        /** Midway. */
        public Length mean() {
            return least.plus(most).dividedBy(2);
        }

        public Range {
            if (least.compareTo(most) > 0) {
                throw new IllegalArgumentException("advertised drop: least " + least + " above most " + most);
            }
        }

        public boolean single() {
            return least.equals(most);
        }
    }

    public static final Advertised NOTHING = new Advertised(Map.of());

    public Advertised {
        byPlace = Map.copyOf(byPlace);
    }

    public Optional<Range> at(Place place) {
        return Optional.ofNullable(byPlace.get(place));
    }
}
