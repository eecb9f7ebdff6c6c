package abbex.core.wheels;

import java.util.List;
import java.util.Optional;

/** What became of a text that was to be a tyre's size. */
public sealed interface TyreParse {
    /** Why a size cannot be taken. */
    enum Refusal {
        EMPTY,
        NO_SIZE,
        NO_RIM,
        WIDTH,
        ASPECT,
        RIM,
        LOAD,
        SPEED,
        DIAGONAL_CAR
    }

    /** Read. */
    record Read(TyreSize size) implements TyreParse {}

    /**
     * Not read.
     *
     * @param raw the text as it came
     * @param offers what would be right, the likeliest first
     */
    record Refused(String raw, Refusal why, List<String> offers) implements TyreParse {}

    default Optional<TyreSize> asSize() {
        return this instanceof Read read ? Optional.of(read.size()) : Optional.empty();
    }
}
