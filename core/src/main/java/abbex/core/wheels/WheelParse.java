package abbex.core.wheels;

import java.util.List;
import java.util.Optional;

/** What became of a text that was to be a wheel. */
public sealed interface WheelParse {
    /** Why a wheel cannot be taken. */
    enum Refusal {
        EMPTY,
        NO_WHEEL,
        WIDTH,
        RIM,
        NO_OFFSET,
        OFFSET,
        LIKE_BACKSPACING
    }

    /** Read. */
    record Read(Wheel wheel) implements WheelParse {}

    /**
     * Not read.
     *
     * @param raw the text as it came
     * @param offers what would be right, the likeliest first
     */
    record Refused(String raw, Refusal why, List<String> offers) implements WheelParse {}

    default Optional<Wheel> asWheel() {
        return this instanceof Read read ? Optional.of(read.wheel()) : Optional.empty();
    }
}
