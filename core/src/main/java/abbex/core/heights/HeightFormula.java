package abbex.core.heights;

import abbex.core.figure.Reason.Formula;
import java.util.List;

/** The formulas of the drop sheet; docs/formulas.md has a row for each. */
public enum HeightFormula implements Formula {
    DROP("definition: before minus after, positive down", "before", "now"),
    DROP_LESS_TYRE(
            "geometry: drop over the ground plus what other tyres or pressures raised the hub by", "drop", "rose"),
    MEAN_OF_SIDES("definition: an end is the mean of left and right", "left", "right"),
    ONE_SIDE("ours: the other side of an axle came down alike within 2.5 mm, one standard deviation", "side"),
    LEFT_MINUS_RIGHT("definition: positive when left stands higher", "left", "right"),
    DIAGONAL("geometry of a stiff body: (LF + RR) - (RF + LR)", "lf", "rf", "rr", "lr"),
    CHANGE("definition: after minus before", "now", "before"),
    RAKE("definition: rear frame height minus front, positive nose-down", "heights"),
    RAKE_ANGLE("trigonometry: atan(rake / distance of the frame points)", "rise", "over"),
    LOADED_RADIUS("geometry: ground to lip minus hub to lip", "ground", "hub"),
    FREE_RADIUS("geometry: hub to lip minus tread to lip", "hub", "tread"),
    RIM_RADIUS("geometry: rim to lip minus hub to lip", "rim", "hub"),
    FORK("trigonometry: (tube after - tube before) * cos(head angle)", "before", "now", "angle"),
    SIDEWAYS("definition: after minus before, turned round on a left corner; positive to the right", "now", "before"),
    SAG("definition: axle to body hanging free minus the same loaded", "free", "loaded"),
    GAP("geometry: hub to lip minus the tyre's free radius", "hub", "radius"),
    PLANNED("entered by a person", "drop");

    private final String source;
    private final List<String> names;

    HeightFormula(String source, String... names) {
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
