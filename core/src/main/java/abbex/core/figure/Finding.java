package abbex.core.figure;

import java.util.Comparator;
import java.util.Map;

/**
 * Something the numbers say, as data: words are formed only by who shows it. Each finding is a record of its own in its
 * package's sealed interface; the record's name is its code, its components are what the sentence speaks of.
 */
public interface Finding {
    /** Worst first, then in the order of the records and places, so that the order of entry never shows. */
    Comparator<Finding> WORST_FIRST = Comparator.comparing(Finding::severity)
            .reversed()
            .thenComparing(f -> FindingType.of(f).rank())
            .thenComparing(f -> f.place().code());

    /** How much it matters. */
    Severity severity();

    /** Where. */
    Place place();

    /** True when it says that something has not been looked at or cannot be said yet. */
    default boolean open() {
        return false;
    }

    /** Which of several at one place it is of; empty where there is but one. */
    default String which() {
        return "";
    }

    /** The record's name in capitals, such as {@code LEFT_RIGHT_NEW}: stable, published, and the key of its words. */
    default String code() {
        return FindingType.of(this).code();
    }

    /** What its sentence speaks of, by the names of the record's components, in their order. */
    default Map<String, Object> named() {
        return FindingType.of(this).named(this);
    }

    /** Good to know, and good. */
    interface Clear extends Finding {
        @Override
        default Severity severity() {
            return Severity.CLEAR;
        }
    }

    /** Good to know. */
    interface Note extends Finding {
        @Override
        default Severity severity() {
            return Severity.NOTE;
        }
    }

    /** Something to look at again. */
    interface Look extends Finding {
        @Override
        default Severity severity() {
            return Severity.LOOK;
        }
    }

    /** Not to leave the building so. */
    interface Stop extends Finding {
        @Override
        default Severity severity() {
            return Severity.STOP;
        }
    }

    /** Not looked at, or not to be said yet. */
    interface Open extends Finding {
        @Override
        default boolean open() {
            return true;
        }
    }
}
