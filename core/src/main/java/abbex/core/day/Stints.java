package abbex.core.day;

import abbex.core.workcard.Card;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Pace;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** What is left of a work card as pieces of a day. */
public final class Stints {
    /** Where no card tells how long: two to four hours (common practice). */
    public static final List<Stint> TYPICAL = Collections.nCopies(6, new Stint(30, 1));

    public static final double TYPICAL_SPREAD = 0.35;

    /** Measured, set and handed over after it was lowered (ours). */
    public static final List<Stint> FINISH = List.of(new Stint(30, 1));

    /** Measured and looked over when it is back (ours). */
    public static final List<Stint> BACK = List.of(new Stint(40, 1));

    /** After so many minutes at the latest one can go and help at another vehicle (ours). */
    private static final double LONGEST = 30;

    /** A step that runs over lasts at least this part of itself more (ours). */
    private static final double STILL = 0.25;

    private Stints() {}

    /**
     * The stints of a card's open steps in their order; empty where all is done. A stint ends where hands are called or let go, and
     * between two steps where it would get long.
     *
     * @param pace how fast the shop works
     * @param since minutes since the step that is next was begun; 0 where nothing is under way
     */
    public static List<Stint> of(Card card, CardState state, Pace pace, double since) {
        List<Run> runs = new ArrayList<>();
        boolean first = true;
        for (CardStep step : card.steps()) {
            if (state.settled(step.key())) {
                continue;
            }
            double minutes = pace.minutes(step);
            add(
                    runs,
                    new Run(
                            first ? Math.max(minutes - since, STILL * minutes) : minutes,
                            step.step().hands()));
            first = false;
        }
        List<Stint> stints = new ArrayList<>();
        int done = 0;
        double at = 0;
        for (Run run : kept(runs)) {
            at += run.minutes();
            done = add(stints, done, at, run.hands());
        }
        return stints;
    }

    private record Run(double minutes, int hands) {}

    private static void add(List<Run> runs, Run next) {
        int last = runs.size() - 1;
        boolean joins = last >= 0
                && runs.get(last).hands() == next.hands()
                && runs.get(last).minutes() + next.minutes() <= LONGEST;
        if (joins) {
            runs.set(last, new Run(runs.get(last).minutes() + next.minutes(), next.hands()));
        } else {
            runs.add(next);
        }
    }

    /** Who was called stays where they would be called again within the grid. */
    private static List<Run> kept(List<Run> runs) {
        List<Run> kept = new ArrayList<>();
        for (int r = 0; r < runs.size(); r++) {
            Run run = runs.get(r);
            boolean between = r > 0
                    && r < runs.size() - 1
                    && runs.get(r - 1).hands() > 1
                    && runs.get(r + 1).hands() > 1;
            add(kept, between && run.minutes() < Day.GRID ? new Run(run.minutes(), 2) : run);
        }
        return kept;
    }

    /** To the grid by what is done in all, so that many short pieces do not grow. */
    private static int add(List<Stint> stints, int done, double at, int hands) {
        int to = Math.max(done + Day.GRID, (int) Math.round(at / Day.GRID) * Day.GRID);
        stints.add(new Stint(to - done, hands));
        return to;
    }
}
