package abbex.core.workcard;

import java.util.List;
import java.util.Map;

/**
 * How fast a shop works, step by step.
 *
 * @param steps by their ids; what was never seen is not among them
 */
public record Pace(Map<String, StepTime> steps) {
    public static final Pace SHIPPED = new Pace(Map.of());

    /** Who is slow today is slow at every step, as a part of the whole, one standard deviation (ours). */
    private static final double TODAY = 0.12;

    private static final double SURE = 1.96;

    public Pace {
        steps = Map.copyOf(steps);
    }

    private StepTime of(CardStep step) {
        return steps.getOrDefault(step.step().id(), StepTime.UNSEEN);
    }

    /** Expected minutes of a step. */
    public double minutes(CardStep step) {
        return of(step).minutes(step.step().minutes());
    }

    /**
     * Minutes of one person.
     *
     * @param least and most: 95 in 100 lie between
     */
    public record Length(double minutes, double least, double most) {
        /** One standard deviation, as a part of the minutes. */
        public double spread() {
            return minutes == 0 ? 0 : (most - minutes) / SURE / minutes;
        }
    }

    /** What is left of a card for one person. */
    public Length left(Card card, CardState state) {
        List<CardStep> open =
                card.steps().stream().filter(s -> !state.settled(s.key())).toList();
        double minutes = 0;
        double variance = 0;
        for (CardStep step : open) {
            double shipped = step.step().minutes();
            double standard = of(step).standard(shipped);
            minutes += of(step).minutes(shipped);
            variance += standard * standard;
        }
        double half = SURE * Math.sqrt(variance + TODAY * TODAY * minutes * minutes);
        return new Length(minutes, Math.max(0, minutes - half), minutes + half);
    }

    /** The same with two who share what can be shared, in the proportion that the shipped minutes have. */
    public double withTwo(Card card, CardState state) {
        int alone = state.minutes(1);
        return alone == 0 ? 0 : left(card, state).minutes() * state.minutes(2) / alone;
    }
}
