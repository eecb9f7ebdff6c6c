package abbex.core.figure;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How a figure came about: the formula and what went into it, as data.
 *
 * @param formula its code, by which words, symbols and source are found; each is a row of docs/formulas.md
 * @param inputs the readings, figures and constants, in the order of the formula's names
 */
public record Reason(Formula formula, List<Object> inputs) {
    /** A formula by its code; each concept has its own enumeration of them. */
    public interface Formula {
        String name();

        /** The published source, or "common practice", or "definition". */
        String source();

        /** What its inputs are called, in their order; the last name takes all that are left. */
        List<String> names();
    }

    public Reason {
        inputs = List.copyOf(inputs);
    }

    /** The inputs by their names; a name that takes several holds a list. */
    public Map<String, Object> named() {
        List<String> names = formula.names();
        Map<String, Object> named = new LinkedHashMap<>();
        for (int i = 0; i < Math.min(names.size(), inputs.size()); i++) {
            boolean rest = i == names.size() - 1 && inputs.size() > names.size();
            named.put(names.get(i), rest ? inputs.subList(i, inputs.size()) : inputs.get(i));
        }
        return named;
    }

    public static Reason of(Formula formula, Object... inputs) {
        return new Reason(formula, List.of(inputs));
    }
}
