package abbex.app.set;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What to turn, as the page shows it.
 *
 * @param picture the body as a plate, seen from above and behind
 * @param says what a colleague would say of it
 * @param tries what was measured and turned so far
 * @param done how many things were turned, which the form gives back
 */
record SetPage(
        List<CornerView> corners,
        Plate picture,
        List<Line> says,
        List<TryView> tries,
        int done,
        @Nullable UUID last,
        String work,
        String spread) {
    /**
     * A corner.
     *
     * @param what what is done there, as the options call it
     * @param does whether that is anything
     * @param chosen index of the option
     */
    record CornerView(
            String code,
            String name,
            String what,
            boolean does,
            String now,
            String after,
            String within,
            String wanted,
            List<Choice> options,
            int chosen) {}

    /** An option of a corner's list. */
    record Choice(int index, String label) {}

    /** A sentence with its mark. */
    record Line(String mark, String word, String text) {}

    /** Heights before something was turned. */
    record TryView(String name, List<String> heights, List<String> what, String who) {}

    /**
     * Outlines as points of a polygon, and where the corners' marks stand.
     *
     * @param now as measured
     * @param after as reckoned
     * @param wanted as wanted
     */
    record Plate(String now, String after, String wanted, List<Leg> legs) {}

    /** From the floor to the corner. */
    record Leg(String code, double x, double floor, double now, double after) {}
}
