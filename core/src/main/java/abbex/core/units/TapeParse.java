package abbex.core.units;

import java.util.List;
import java.util.Optional;

/** What became of a text that was typed as a reading: taken, or refused with what was read and what would be right. */
public sealed interface TapeParse {
    /** The text is a reading. */
    record Taken(TapeReading reading) implements TapeParse {}

    /**
     * The text is not a reading. Words are formed from {@code why} and {@code values} by who shows them.
     *
     * @param raw as typed
     * @param why the reason
     * @param values what the sentence speaks of, in the order of its placeholders
     * @param offers texts that would be right, best first; may be empty
     */
    record Refused(String raw, Refusal why, List<String> values, List<String> offers) implements TapeParse {
        public Refused {
            values = List.copyOf(values);
            offers = List.copyOf(offers);
        }
    }

    /** Why a text is not a reading. */
    enum Refusal {
        EMPTY,
        TOO_LONG,
        NOT_PRINTABLE,
        OTHER_DIGITS,
        COMMA,
        EXPONENT,
        UNFINISHED_FRACTION,
        MISSING_SLASH,
        NOT_ON_A_TAPE,
        IMPROPER,
        MINUS,
        ZERO,
        TOO_LARGE,
        NOT_READABLE
    }

    /** The reading when there is one. */
    default Optional<TapeReading> asReading() {
        return this instanceof Taken taken ? Optional.of(taken.reading()) : Optional.empty();
    }
}
