package abbex.core.clearance;

import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.WheelPlace;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What can be said of a place: the best gap over the sweep, with the probe's uncertainty carried.
 *
 * @param place where
 * @param least the least gap and its pose
 * @param doubt what leaves the gap open
 * @param needed the gap that the place needs in mm
 * @param byBump a bump that nobody measured may take from the gap
 */
public record Verdict(ProbePlace place, Sweep.Least least, Doubt doubt, double needed, boolean byBump) {
    /** One-sided, 95 % of a normal distribution. */
    static final double SURE = 1.645;

    /** What is said. */
    public enum Word {
        CLEAR,
        /** Clear as long as the bump is no more than the usual one that was taken for it. */
        CLEAR_IF,
        CLOSE,
        TOUCHES,
        NOT_LOOKED_AT;

        /** How bad it is, the least first: clear, not looked at, clear if, close, touches. */
        public int bad() {
            return switch (this) {
                case CLEAR -> 0;
                case NOT_LOOKED_AT -> 1;
                case CLEAR_IF -> 2;
                case CLOSE -> 3;
                case TOUCHES -> 4;
            };
        }
    }

    /** With nothing left to guess. */
    public Verdict(ProbePlace place, Sweep.Least least, double standard, double needed) {
        this(place, least, Doubt.ofReading(standard), needed, false);
    }

    /** Standard uncertainty of the gap in mm. */
    public double standard() {
        return doubt.standard();
    }

    /** So far may the gap lie under what is told, with 95 % probability, mm. */
    public double margin() {
        return doubt.sure() * doubt.standard();
    }

    /**
     * Clear: the gap is at least the needed one with 95 % probability, if only within a bump that was guessed. Touches: the
     * best gap is nought or less. Close: between.
     */
    public Word word() {
        if (least.gap() <= 0) {
            return Word.TOUCHES;
        }
        if (least.gap() - margin() < needed) {
            return Word.CLOSE;
        }
        return byBump ? Word.CLEAR_IF : Word.CLEAR;
    }

    /** Clear, be it only within a bump that was guessed. */
    public boolean fits() {
        return word() == Word.CLEAR || word() == Word.CLEAR_IF;
    }

    /** Close, and with more than 5 % probability it touches. */
    public boolean mayTouch() {
        return word() == Word.CLOSE && least.gap() < margin();
    }

    /** What to measure so that a place clears that is close only for what was told by eye or taken as usual. */
    public Optional<Doubt.Of> toMeasure() {
        if (byBump && word() == Word.CLEAR_IF) {
            return Optional.of(Doubt.Of.BUMP);
        }
        return word() == Word.CLOSE ? doubt.toMeasure((least.gap() - needed) / SURE) : Optional.empty();
    }

    /** Too little is known to say whether it clears: a gap that is larger by so much would, mm; empty where that is no question. */
    public OptionalDouble straddles() {
        boolean open = word() == Word.CLOSE && least.gap() + margin() >= needed;
        return open ? OptionalDouble.of(needed + margin() - least.gap()) : OptionalDouble.empty();
    }

    /** What is said of the place beside the others of a stay; empty where it clears. */
    public Optional<ClearanceFinding> finding(WheelPlace wheel, double clock, ClearanceFinding.Swept as) {
        ClearanceFinding.At at = new ClearanceFinding.At(wheel, place, clock);
        Estimate air = new Estimate(Length.ofRoundedMm(Math.abs(least.gap())), Uncertainty.known(standard()));
        return switch (word()) {
            case TOUCHES -> Optional.of(new ClearanceFinding.Touches(at, air, as));
            case CLOSE ->
                Optional.of(
                        mayTouch()
                                ? new ClearanceFinding.MayTouch(at, air, Length.ofRoundedMm(needed))
                                : new ClearanceFinding.TooClose(at, air, Length.ofRoundedMm(needed)));
            case CLEAR, CLEAR_IF, NOT_LOOKED_AT -> Optional.empty();
        };
    }
}
