package abbex.core.clearance;

import abbex.core.units.Length;
import abbex.core.vehicle.WheelPlace;
import java.util.Optional;

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

    /** What is said of the place beside the others of a stay; empty where it clears. */
    public Optional<ClearanceFinding> finding(WheelPlace wheel, double clock) {
        ClearanceFinding.At at = new ClearanceFinding.At(wheel, place, clock);
        Length air = Length.ofRoundedMm(Math.abs(least.gap()));
        return switch (word()) {
            case TOUCHES -> Optional.of(new ClearanceFinding.Touches(at, air));
            case CLOSE ->
                Optional.of(
                        mayTouch()
                                ? new ClearanceFinding.MayTouch(at, air, Length.ofRoundedMm(needed))
                                : new ClearanceFinding.TooClose(at, air, Length.ofRoundedMm(needed)));
            case CLEAR, NOT_LOOKED_AT -> Optional.empty();
        };
    }
}
