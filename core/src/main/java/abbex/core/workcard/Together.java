package abbex.core.workcard;

import java.util.ArrayList;
import java.util.List;

/**
 * Steps that are ticked in one press: one and those after it of which nothing is asked but what Done says, at the same footing
 * and by as many hands. Where more is said than the tick they are all at one place: whoever presses stands there. None but the
 * first moves or closes the vehicle.
 */
public final class Together {
    /** No more steps, and no more that is said with them: who ticks them has to have it in mind (ours). */
    static final int LONGEST = 6;

    private final CardState state;
    private final CardStep first;
    private final List<CardStep> row = new ArrayList<>();
    private long says;
    private boolean here = true;

    private Together(CardState state, CardStep first) {
        this.state = state;
        this.first = first;
    }

    /** The first of them is the one asked for; empty where it cannot be ticked by that. */
    public static List<CardStep> of(Card card, CardState state, CardStep first) {
        Together all = new Together(state, first);
        card.steps().stream()
                .skip(card.number(first.key()) - 1)
                .takeWhile(all::take)
                .forEach(step -> {});
        return List.copyOf(all.row);
    }

    private boolean take(CardStep step) {
        if (row.size() >= LONGEST || says >= LONGEST || !alike(step) || open(step)) {
            return false;
        }
        says += state.asks(step).stream()
                .filter(ask -> state.saidByDone(step, ask))
                .count();
        here &= step.place().equals(first.place());
        return (says == 0 || here) && row.add(step);
    }

    private boolean alike(CardStep step) {
        return !state.settled(step.key())
                && step.step().footing() == first.step().footing()
                && step.step().hands() == first.step().hands()
                && (row.isEmpty() || step.step().role().isEmpty());
    }

    /** Something is asked that Done does not say. */
    private boolean open(CardStep step) {
        return state.asks(step).stream()
                .anyMatch(ask -> ask instanceof Blocker.Before before
                        ? !state.settled(before.step().key()) && !row.contains(before.step())
                        : !state.met(step, ask) && !state.saidByDone(step, ask));
    }
}
