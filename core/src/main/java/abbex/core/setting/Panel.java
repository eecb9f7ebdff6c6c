package abbex.core.setting;

import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.Arrays;
import java.util.Optional;

/**
 * Lips of an end that stand apart further than the frame under them does: a panel that sits otherwise, and no spring's doing.
 *
 * @param higher whose lip stands higher than it should
 * @param by how much, mm, positive
 */
public record Panel(Corner higher, Corner than, double by) {
    /** What is less is a seam or a tape, mm (ours): an eighth of an inch. */
    private static final double SEAM = 3.2;

    /** Lips lie further out than the frame does: a body that leans moves them by up to so much more (ours). */
    private static final double FURTHER_OUT = 1.6;

    /** So many standard deviations of all four readings. */
    private static final double SURE = 3;

    /**
     * The first end where that is so. Both are read over the ground, so that tyres move both alike; over hubs a low tyre would look
     * like a panel.
     *
     * @param lips ground to lip, mm, in walking order
     * @param frame ground to frame, the same corners
     * @param standard one standard deviation of a reading of either, mm
     */
    public static Optional<Panel> find(double[] lips, double[] frame, double standard) {
        return Arrays.stream(End.values())
                .flatMap(end -> at(end, lips, frame, standard).stream())
                .findFirst();
    }

    private static Optional<Panel> at(End end, double[] lips, double[] frame, double standard) {
        int left = end.left().ordinal();
        int right = end.right().ordinal();
        double leans = frame[left] - frame[right];
        double apart = lips[left] - lips[right];
        double least = Math.min(leans, FURTHER_OUT * leans);
        double most = Math.max(leans, FURTHER_OUT * leans);
        double off = apart - Math.max(least, Math.min(most, apart));
        // Two lips and two frame readings.
        if (Math.abs(off) <= Math.max(SEAM, SURE * 2 * standard)) {
            return Optional.empty();
        }
        return Optional.of(
                new Panel(off > 0 ? end.left() : end.right(), off > 0 ? end.right() : end.left(), Math.abs(off)));
    }
}
