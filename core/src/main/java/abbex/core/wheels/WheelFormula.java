package abbex.core.wheels;

import abbex.core.figure.Reason.Formula;
import java.util.List;

/** The formulas of wheels and tyres; docs/formulas.md has a row for each. */
public enum WheelFormula implements Formula {
    OUTER_EDGE("geometry: half the change of width minus the change of offset", "from", "to"),
    INNER_EDGE("geometry: half the change of width plus the change of offset", "from", "to"),
    SIDEWALL(
            "geometry: half the change of section width minus (outer) or plus (inner) the change of offset",
            "before",
            "planned"),
    RADIUS("ISO 4000-1 nominal dimensions: half the change of diameter", "before", "planned"),
    SPEEDOMETER("definition: old diameter over new, less one", "before", "planned");

    private final String source;
    private final List<String> names;

    WheelFormula(String source, String... names) {
        this.source = source;
        this.names = List.of(names);
    }

    @Override
    public String source() {
        return source;
    }

    @Override
    public List<String> names() {
        return names;
    }
}
