package abbex.app.prove;

import abbex.app.page.Reader;
import abbex.core.clearance.Cure;
import abbex.core.clearance.ProbeCheck;
import java.util.List;

/**
 * What clears at a corner, as one page shows it; every text is safe for a page.
 *
 * @param places worst first, then those that nobody looked at
 * @param again gaps to measure again before anything is bought, and what that would decide
 * @param cures what may be done, the cheapest first
 * @param taken what is in the plan
 * @param wanting true when something does not clear, all that is planned done
 * @param wrong probes that cannot both be true
 * @param driven how far a road test proves it; empty when there was none
 * @param eye what the eye sees
 */
public record CornerPage(
        List<Spot> places,
        List<Again> again,
        List<Way> cures,
        List<InPlan> taken,
        boolean wanting,
        List<String> wrong,
        String driven,
        List<Line> eye) {
    /**
     * What may be done, in words, and that it was proven.
     *
     * @param unmeasured what has to be measured before it is proven; empty where all is
     * @param doses by which it is taken into the plan
     */
    public record Way(String what, boolean structural, boolean bares, String proof, String unmeasured, String doses) {}

    /**
     * A gap to measure again.
     *
     * @param id of the gap
     */
    public record Again(String id, String text) {}

    /**
     * A remedy in the plan.
     *
     * @param state planned and not fitted, or fitted by whom and when
     * @param proof what is so once it is done; empty for what is fitted
     */
    public record InPlan(String id, String what, boolean fitted, String state, String proof) {}

    /** Something seen with its figure. */
    public record Line(String name, String value) {}

    /**
     * A place.
     *
     * @param mark clear, look, stop or open
     * @param pose where the least gap is
     * @param at the same for the drawing: bump in mm, steer and roll in degrees; empty for what nobody looked at
     * @param how the uncertainty came about
     */
    public record Spot(
            String id,
            boolean witness,
            String name,
            String mark,
            String word,
            String gap,
            String needed,
            String pose,
            String taken,
            String at,
            String how,
            Ask ask) {}

    /**
     * What to measure so that a place clears.
     *
     * @param text empty when nothing would do
     * @param again the gap that is to be taped anew; empty when it is something of the range
     * @param field of the range that asks for it; empty for a gap
     */
    public record Ask(String text, String again, String field) {
        static final Ask NOTHING = new Ask("", "", "");
    }

    static CornerPage of(CornerCase corner, Reader reader, ClearanceWords say) {
        List<CornerCase.Judged> judged = corner.judged();
        CornerCase done = corner.planning() ? corner.done() : corner;
        boolean wanting = done.judged().stream().anyMatch(j -> !j.verdict().fits());
        List<Cure> cures = wanting ? done.cures() : List.of();
        return new CornerPage(
                say.spots(corner, judged, reader),
                say.again(judged, reader),
                cures.stream().map(cure -> say.way(cure, reader)).toList(),
                say.inPlan(corner, reader),
                wanting,
                ProbeCheck.of(corner.known().stream()
                                .map(CornerCase.Known::probed)
                                .toList())
                        .stream()
                        .map(c -> say.contradiction(c, corner, reader))
                        .toList(),
                say.driven(corner, reader),
                say.eye(corner.eye(), reader));
    }
}
