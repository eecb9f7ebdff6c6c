package abbex.core.wheels;

import abbex.core.figure.Reason.Formula;

/** The formulas of wheels and tyres; docs/formulas.md has a row for each. */
public enum WheelFormula implements Formula {
    OUTER_EDGE("geometry: half the change of width minus the change of offset"),
    INNER_EDGE("geometry: half the change of width plus the change of offset"),
    SIDEWALL("geometry: half the change of section width minus (outer) or plus (inner) the change of offset"),
    RADIUS("ISO 4000-1 nominal dimensions: half the change of diameter"),
    SPEEDOMETER("definition: old diameter over new, less one");

    private final String source;

    WheelFormula(String source) {
        this.source = source;
    }

    @Override
    public String source() {
        return source;
    }
}
