package abbex.core.clearance;

/**
 * What can be said of a place: the best gap over the sweep, with the probe's uncertainty carried.
 *
 * @param place where
 * @param least the least gap and its pose
 * @param standard standard uncertainty of the gap in mm
 * @param needed the gap that the place needs in mm
 */
public record Verdict(ProbePlace place, Sweep.Least least, double standard, double needed) {
    /** One-sided, 95 % of a normal distribution. */
    static final double SURE = 1.645;

    /** The four things that are said. */
    public enum Word {
        CLEAR,
        CLOSE,
        TOUCHES,
        NOT_LOOKED_AT
    }

    /**
     * Clear: the gap is at least the needed one with 95 % probability. Touches: the best gap is nought or less. Close:
     * between.
     */
    public Word word() {
        if (least.gap() <= 0) {
            return Word.TOUCHES;
        }
        return least.gap() - SURE * standard >= needed ? Word.CLEAR : Word.CLOSE;
    }

    /** Close, and with more than 5 % probability it touches. */
    public boolean mayTouch() {
        return word() == Word.CLOSE && least.gap() < SURE * standard;
    }
}
