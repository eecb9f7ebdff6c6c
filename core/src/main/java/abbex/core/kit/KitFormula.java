package abbex.core.kit;

import abbex.core.figure.Reason.Formula;
import java.util.List;

/** The formulas of the plan; docs/formulas.md has a row for each. */
public enum KitFormula implements Formula {
    BOX("as printed, ± 1/4 in at k = 2 (common practice)", "least", "most"),
    BOX_LESS_PARTS("as printed for the whole kit, less what its other parts give", "least", "most", "parts"),
    OWN_BOX(
            "printed drop with ± 1/4 in at k = 2 and the shop's fits as observations (normal, conjugate)",
            "least",
            "most",
            "fits",
            "more"),
    SPRING_BY_DATA(
            "virtual work: ((L0 old − F/k old) − (L0 new − F/k new)) ÷ MR, F = (load − gas · MR damper) ÷ MR",
            "lengthWas",
            "lengthIs",
            "ratio"),
    SPRINGS_AND_BOX(
            "springs' figures and printed drop, each by one over its variance (JCGM 100:2008)",
            "springs",
            "least",
            "most"),
    GAS("virtual work: −(gas new − gas old) · MR damper ÷ wheel rate", "gasWas", "gasIs", "rate"),
    PERCH("move ÷ MR", "move"),
    PERCH_TURNS("turns · pitch ÷ MR", "turns", "pitch"),
    JACK_BOLT("turns · pitch ÷ MR", "turns", "pitch"),
    STACK("(stack before − after) ÷ MR", "was", "is"),
    ISOLATOR("(thickness before − after) ÷ MR", "was", "is"),
    SEAT_SHAPE("between the changes of its low and its high side, ÷ MR (ours)", "least", "most"),
    POCKET("depth ÷ MR", "depth"),
    LEAF("statics of a pack that keeps its shape: each eye's move by the other's lever", "fixedEye", "shackledEye"),
    SHACKLE(
            "plane geometry: the pack turns about its fixed eye until its other eye lies on the shackle's circle",
            "was",
            "is",
            "nose"),
    FLIP("geometry: pack + tube + perch before + saddle after", "pack", "tube", "was", "is"),
    LINK(
            "plane geometry: circles about arm, rocker and link; the load stays, the spring gives by its rate",
            "longer",
            "shorter",
            "ratio"),
    TUBES("way along the fork · cos of the head angle from the vertical", "up", "headAngle"),
    BAGS("pressure times area ÷ wheel rate", "pressure", "force", "rate"),
    ONE_TO_ONE("geometry: what moves the wheel against its arm or axle moves the body as far", "down"),
    ON_STOP("statics: where spring and bump stop together carry the load", "free", "rest"),
    SETTLING("3/16 in ± 1/16 at k = 2 until a shop knows better (common practice)", "settling"),
    PLANNED_HEIGHT("definition: height now less the drops", "now", "drop");

    private final String source;
    private final List<String> names;

    KitFormula(String source, String... names) {
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
