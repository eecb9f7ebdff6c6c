package abbex.core.figure;

import java.util.List;

/**
 * How a figure came about: the formula and what went into it, as data.
 *
 * @param formula its code, by which words, symbols and source are found; each is a row of docs/formulas.md
 * @param inputs the readings, figures and constants, in the order of the formula's placeholders
 */
public record Reason(Formula formula, List<Object> inputs) {
    /** A formula by its code; each concept has its own enumeration of them. */
    public interface Formula {
        String name();

        /** The published source, or "common practice", or "definition". */
        String source();
    }

    public Reason {
        inputs = List.copyOf(inputs);
    }

    public static Reason of(Formula formula, Object... inputs) {
        return new Reason(formula, List.of(inputs));
    }
}
