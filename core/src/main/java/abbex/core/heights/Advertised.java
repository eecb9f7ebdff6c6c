package abbex.core.heights;

import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/** The drop that the box promises, per end: one number or a range; positive is down. */
public record Advertised(Map<End, Range> byEnd) {
    /** From least to most drop; both the same for one number. */
    public record Range(Length least, Length most) {
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
        Map<End, Range> copy = new EnumMap<>(End.class);
        copy.putAll(byEnd);
        byEnd = java.util.Collections.unmodifiableMap(copy);
    }

    public Optional<Range> at(End end) {
        return Optional.ofNullable(byEnd.get(end));
    }
}
