package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.form.Form;
import abbex.app.people.Person;
import abbex.core.torque.Tightening;
import abbex.core.torque.TorqueSpec;
import abbex.core.workcard.Blocker;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Step;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What one press says of a step: all of its holds, what is usual, a bolt that is tight and painted, a row of steps. */
@Component
class CardPresses {
    /** What is pressed. */
    enum Press {
        /** Every hold of the step. */
        HOLDS,
        /** What is usual, or what was written down of the same step elsewhere. */
        OFFERED,
        /** Tight at its figure, and painted. */
        TIGHT,
        /** This step and those after it that ask for nothing, up to one. */
        ROW;

        static Optional<Press> of(String what) {
            return Stream.of(values()).filter(p -> p.name().equals(what)).findFirst();
        }
    }

    /** No row is longer: who ticks it has to have it in mind (ours). */
    private static final int LONGEST = 6;

    private final Cards cards;

    CardPresses(Cards cards) {
        this.cards = cards;
    }

    /** A row of steps from one on that ask for nothing but a tick, at the same footing and by as many hands. */
    static List<CardStep> row(Cards.Current current, CardStep from) {
        CardState state = current.state();
        List<CardStep> row = new ArrayList<>();
        for (CardStep step : current.card()
                .steps()
                .subList(
                        current.card().number(from.key()) - 1,
                        current.card().steps().size())) {
            boolean alike = step.step().footing() == from.step().footing()
                    && step.step().hands() == from.step().hands();
            boolean asks = state.asks(step).stream()
                    .anyMatch(ask -> !(ask instanceof Blocker.Before before)
                            || !state.settled(before.step().key())
                                    && row.stream().noneMatch(before.step()::equals));
            if (!alike || asks || state.settled(step.key()) || row.size() == LONGEST) {
                break;
            }
            row.add(step);
        }
        return row;
    }

    /**
     * Takes a press; what does not fit is told by the form.
     *
     * @param client what this press is called
     */
    void take(Person by, Job job, CardStep step, Press press, Form form, UUID client, Instant at) {
        List<Cards.Note> notes = switch (press) {
            case HOLDS -> holds(job, step);
            case OFFERED -> offered(job, step, form);
            case TIGHT -> tight(by, job, step, form);
            case ROW -> ticks(job, step, form);
        };
        for (int i = 0; i < notes.size() && form.fits(); i++) {
            cards.add(by, job, named(client, i), at, notes.get(i));
        }
    }

    /** After what was asked for last, the step itself is done, where nothing keeps it from being so. */
    void done(Person by, Job job, CardStep step, UUID client, Instant at) {
        CardState state = cards.of(job).state();
        if (state.blockers(step).isEmpty() && !state.done(step.key())) {
            cards.add(by, job, named(client, -1), at, tick(step));
        }
    }

    private static UUID named(UUID client, int part) {
        return UUID.nameUUIDFromBytes((client + " " + part).getBytes(StandardCharsets.UTF_8));
    }

    private static Cards.Note tick(CardStep step) {
        return new Cards.Note(Cards.What.TICKED, step.key(), "", "", "", 0);
    }

    private List<Cards.Note> holds(Job job, CardStep step) {
        CardState state = cards.of(job).state();
        List<Cards.Note> notes = new ArrayList<>();
        for (int i = 0; i < step.step().allHolds().size(); i++) {
            if (!state.held(step.key(), i)) {
                notes.add(new Cards.Note(Cards.What.HELD, step.key(), Integer.toString(i), "", "", 0));
            }
        }
        return notes;
    }

    private List<Cards.Note> offered(Job job, CardStep step, Form form) {
        List<Blocker> blockers = cards.of(job).state().blockers(step);
        if (blockers.stream().anyMatch(Blocker.Before.class::isInstance)) {
            form.problem("what", "problem.fit.blocked", "count", Integer.toString(blockers.size()));
            return List.of();
        }
        Optional<Cards.Note> note = step.step().captures().stream()
                .filter(c -> c.id().equals(form.text("item")))
                .findFirst()
                .flatMap(c -> cards.of(job).state().offered(step, c))
                .map(text -> new Cards.Note(Cards.What.CAPTURED, step.key(), form.text("item"), text, "", 0));
        if (note.isEmpty()) {
            form.problem("what", "problem.choice.unknown", "read", form.text("item"));
        }
        return note.stream().toList();
    }

    /** One fastener by its key, or all of a step that are not tight and painted. */
    private List<Cards.Note> tight(Person by, Job job, CardStep step, Form form) {
        String item = form.text("item");
        CardState state = cards.of(job).state();
        List<Step.Fastener> bolts = state.fasteners(step).stream()
                .filter(f -> item.isEmpty() || step.fastener(f).equals(item))
                .filter(f -> state.tightening(step.fastener(f)).state() != Tightening.State.DONE)
                .toList();
        List<Cards.Note> notes = new ArrayList<>();
        for (Step.Fastener bolt : bolts) {
            String key = step.fastener(bolt);
            Tightening is = state.tightening(key);
            if (is.spec().isEmpty()) {
                form.problem("what", "problem.fit.spec", "name", bolt.name());
                return List.of();
            }
            if (is.state() != Tightening.State.UNMARKED) {
                notes.add(tightened(step, key, is.spec().get()));
            }
            notes.add(new Cards.Note(
                    Cards.What.MARKED,
                    step.key(),
                    key,
                    by.likes().paint().map(Enum::name).orElse(""),
                    "",
                    0));
        }
        return notes;
    }

    /** A click wrench set to the figure tells nothing else; the middle of a range is what it is set to. */
    private static Cards.Note tightened(CardStep step, String key, TorqueSpec spec) {
        double torque = (spec.least().newtonMetres() + spec.most().newtonMetres()) / 2;
        return new Cards.Note(
                Cards.What.TIGHTENED,
                step.key(),
                key,
                Math.round(torque * 10) / 10.0 + " N·m",
                spec.angle() > 0 ? "turned" : "",
                torque);
    }

    private List<Cards.Note> ticks(Job job, CardStep step, Form form) {
        List<CardStep> row = row(cards.of(job), step);
        int last = 0;
        while (last < row.size() && !row.get(last).key().equals(form.text("until"))) {
            last++;
        }
        if (last == row.size()) {
            form.problem("what", "problem.fit.row");
            return List.of();
        }
        return row.subList(0, last + 1).stream().map(CardPresses::tick).toList();
    }
}
