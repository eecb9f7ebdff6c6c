package abbex.core.ground;

import abbex.core.figure.Reason.Formula;

/** The formulas of the ground; docs/formulas.md has a row for each. */
public enum GroundFormula implements Formula {
    OVERHANG_ANGLE("49 CFR 523.2 and SAE J689, tangent to the tyre's static loaded radius (from memory)"),
    BREAKOVER("49 CFR 523.2 and SAE J689, tangents to both tyres (from memory)"),
    AIM("trigonometry");

    private final String source;

    GroundFormula(String source) {
        this.source = source;
    }

    @Override
    public String source() {
        return source;
    }
}
