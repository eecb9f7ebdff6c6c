package abbex.core.figure;

import java.util.Comparator;
import java.util.List;

/**
 * Something the numbers say, as data: words are formed only by who shows it.
 *
 * @param code what kind
 * @param severity how much it matters
 * @param place where
 * @param values what the sentence speaks of, in the order of its placeholders: lengths, estimates, angles, places, text
 */
public record Finding(FindingCode code, Severity severity, Place place, List<Object> values) {
    /** Worst first, then in the order of the codes and places, so that the order of entry never shows. */
    public static final Comparator<Finding> WORST_FIRST = Comparator.comparing(Finding::severity)
            .reversed()
            .thenComparing(f -> f.code().ordinal())
            .thenComparing(f -> f.place().code());

    public Finding {
        values = List.copyOf(values);
    }

    public static Finding of(FindingCode code, Severity severity, Place place, Object... values) {
        return new Finding(code, severity, place, List.of(values));
    }
}
