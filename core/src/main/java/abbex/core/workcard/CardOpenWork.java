package abbex.core.workcard;

import abbex.core.figure.Place;
import abbex.core.state.Footing;
import abbex.core.state.OpenWork;
import abbex.core.torque.Tightening;
import abbex.core.vehicle.Corner;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Works out what stands open on the vehicle by a card: what it stands on, what is off, loose, unmarked or not done. */
final class CardOpenWork {
    private final Card card;
    private final CardState state;
    private final boolean lift;

    /** @param lift the vehicle goes up on a lift, else on stands */
    CardOpenWork(Card card, CardState state, boolean lift) {
        this.card = card;
        this.state = state;
        this.lift = lift;
    }

    OpenWork open() {
        List<OpenWork.Bolt> loose = new ArrayList<>();
        List<OpenWork.Bolt> unmarked = new ArrayList<>();
        bolts(loose, unmarked);
        Optional<CardStep> next = state.next();
        return new OpenWork(
                footing(),
                wheelsOff(),
                loose,
                unmarked,
                next.map(this::holds).orElse(List.of()),
                next.map(step -> new OpenWork.Hand(
                        step.key(), card.number(step.key()), step.step().title(), step.place())),
                (int) card.steps().stream()
                        .filter(step -> state.settled(step.key()) && !state.reopened(step))
                        .count(),
                card.steps().size());
    }

    /** Up since the last step that raises it, for as long as none lowers it. */
    private Footing footing() {
        boolean up = false;
        for (CardStep step : card.steps()) {
            if (state.done(step.key())) {
                Optional<Step.Role> role = step.step().role();
                up = role.filter(Step.Role.RAISE::equals).isPresent()
                        || up && role.filter(Step.Role.LOWER::equals).isEmpty();
            }
        }
        return !up ? Footing.WHEELS : lift ? Footing.LIFT : Footing.STANDS;
    }

    private List<Place> wheelsOff() {
        return state.parts().stream()
                .filter(part -> part.kind().equals("wheel") && part.open())
                .map(BenchPart::place)
                .distinct()
                .sorted(Comparator.comparing(place -> place instanceof Corner corner ? corner.ordinal() : 0))
                .toList();
    }

    /** What the next step asks for and is not so yet. */
    private List<String> holds(CardStep step) {
        return state.blockers(step).stream()
                .filter(Blocker.Hold.class::isInstance)
                .map(blocker -> ((Blocker.Hold) blocker).text())
                .toList();
    }

    /**
     * Fasteners that a step still has to tighten where something came off, and those that were to be tightened and were put
     * off; each once.
     */
    private void bolts(List<OpenWork.Bolt> loose, List<OpenWork.Bolt> unmarked) {
        Set<String> seen = new HashSet<>();
        for (CardStep step : card.steps()) {
            for (Step.Fastener fastener : state.fasteners(step)) {
                Tightening.State is = state.tightening(step.fastener(fastener)).state();
                OpenWork.Bolt bolt = new OpenWork.Bolt(step.place(), fastener.name());
                if (!seen.add(step.fastener(fastener)) || is == Tightening.State.DONE) {
                    continue;
                }
                if (is == Tightening.State.UNMARKED) {
                    unmarked.add(bolt);
                } else if (!state.settled(step.key()) && apart(step)
                        || state.settled(step.key()) && is == Tightening.State.OPEN) {
                    loose.add(bolt);
                }
            }
        }
    }

    /** Something came off where the step is done, and the step is still to come. */
    private boolean apart(CardStep step) {
        return card.steps().stream()
                .anyMatch(other -> state.done(other.key())
                        && !other.step().off().isEmpty()
                        && other.round() == step.round()
                        && other.end().isPresent()
                        && step.end().isPresent()
                        && other.meets(step));
    }
}
