package abbex.core.heights;

import abbex.core.figure.Reason.Formula;

/** The formulas of the drop sheet; docs/formulas.md has a row for each. */
public enum HeightFormula implements Formula {
    DROP("definition: before minus after, positive down"),
    MEAN_OF_SIDES("definition: an end is the mean of left and right"),
    LEFT_MINUS_RIGHT("definition: positive when left stands higher"),
    DIAGONAL("geometry of a stiff body: (LF + RR) - (RF + LR)"),
    CHANGE("definition: after minus before"),
    RAKE("definition: rear frame height minus front, positive nose-down"),
    RAKE_ANGLE("trigonometry: atan(rake / distance of the frame points)"),
    LOADED_RADIUS("geometry: ground to lip minus hub to lip"),
    FREE_RADIUS("geometry: hub to lip minus tread to lip"),
    RIM_RADIUS("geometry: rim to lip minus hub to lip"),
    FORK("trigonometry: (tube after - tube before) * cos(head angle)"),
    SAG("definition: axle to body hanging free minus the same loaded"),
    GAP("geometry: hub to lip minus the tyre's free radius");

    private final String source;

    HeightFormula(String source) {
        this.source = source;
    }

    @Override
    public String source() {
        return source;
    }
}
