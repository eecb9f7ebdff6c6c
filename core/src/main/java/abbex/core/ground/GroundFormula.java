package abbex.core.ground;

import abbex.core.figure.Reason.Formula;
import java.util.List;

/** The formulas of the ground; docs/formulas.md has a row for each. */
public enum GroundFormula implements Formula {
    OVERHANG_ANGLE(
            "49 CFR 523.2 and SAE J689, tangent to the tyre's static loaded radius (from memory)",
            "away",
            "height",
            "radius",
            "point"),
    BREAKOVER("49 CFR 523.2 and SAE J689, tangents to both tyres (from memory)", "away", "height", "radius", "point"),
    AIM("trigonometry", "rise", "over");

    private final String source;
    private final List<String> names;

    GroundFormula(String source, String... names) {
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
