package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.form.Form;
import abbex.app.people.Person;
import abbex.core.torque.Tightening;
import abbex.core.torque.TorqueSpec;
import abbex.core.workcard.BenchPart;
import abbex.core.workcard.Blocker;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Step;
import abbex.core.workcard.Together;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What one press says of a step: all of its holds, a bolt that is tight and painted, a row of steps, done and all so. */
@Component
class CardPresses {
    /** What is pressed. */
    enum Press {
        /** Every hold of the step that is true before its work goes on. */
        HOLDS,
        /** Tight at its figure, and painted. */
        TIGHT,
        /** This step and those after it of which nothing is asked but what Done says, up to one. */
        ROW,
        /** Every part that is asked about lies at one place. */
        BENCH,
        /** Done, and all that is so once it is: checks, locks, what is offered, bolts at their figures and painted. */
        CLOSE;

        static Optional<Press> of(String what) {
            return Stream.of(values()).filter(p -> p.name().equals(what)).findFirst();
        }
    }

    private final Cards cards;

    CardPresses(Cards cards) {
        this.cards = cards;
    }

    /** What was written down last, and with it that the step is done: the same as {@link Press#CLOSE}. */
    void done(Person by, Job job, CardStep step, Form form, UUID client, Instant at) {
        take(by, job, step, Press.CLOSE, form, client, at);
    }

    /**
     * Takes a press; what does not fit is told by the form.
     *
     * @param client what this press is called
     */
    void take(Person by, Job job, CardStep step, Press press, Form form, UUID client, Instant at) {
        List<Cards.Note> notes = switch (press) {
            case HOLDS -> holds(cards.of(job).state(), step, false);
            case TIGHT -> tight(by, job, step, form);
            case ROW -> ticks(by, job, step, form);
            case CLOSE -> close(by, cards.of(job).state(), step, form);
            case BENCH -> bench(job, step, form);
        };
        for (int i = 0; i < notes.size() && form.fits(); i++) {
            cards.add(by, job, named(client, i), at, notes.get(i));
        }
    }

    private static UUID named(UUID client, int part) {
        return UUID.nameUUIDFromBytes((client + " " + part).getBytes(StandardCharsets.UTF_8));
    }

    private static Cards.Note tick(CardStep step) {
        return new Cards.Note(Cards.What.TICKED, step.key(), "", "", "", 0);
    }

    /** Holds before the work goes on, or those that are said with the tick. */
    private static List<Cards.Note> holds(CardState state, CardStep step, boolean after) {
        List<Cards.Note> notes = new ArrayList<>();
        for (int i = 0; i < step.step().allHolds().size(); i++) {
            if (!state.held(step.key(), i) && step.step().after(i) == after) {
                notes.add(new Cards.Note(Cards.What.HELD, step.key(), Integer.toString(i), "", "", 0));
            }
        }
        return notes;
    }

    /** One fastener by its key. */
    private List<Cards.Note> tight(Person by, Job job, CardStep step, Form form) {
        CardState state = cards.of(job).state();
        Optional<Step.Fastener> bolt = state.fasteners(step).stream()
                .filter(f -> step.fastener(f).equals(form.text("item")))
                .findFirst();
        if (bolt.isEmpty()) {
            form.problem("what", "problem.choice.unknown", "read", form.text("item"));
            return List.of();
        }
        if (state.tightening(step.fastener(bolt.get())).spec().isEmpty()) {
            form.problem("what", "problem.fit.spec", "name", bolt.get().name());
            return List.of();
        }
        return tight(by, state, step, bolt.get());
    }

    private static List<Cards.Note> tight(Person by, CardState state, CardStep step, Step.Fastener bolt) {
        String key = step.fastener(bolt);
        Tightening is = state.tightening(key);
        List<Cards.Note> notes = new ArrayList<>();
        if (is.state() != Tightening.State.UNMARKED) {
            notes.add(tightened(step, key, is.spec().orElseThrow()));
        }
        String paint = by.likes().paint().map(Enum::name).orElse("");
        notes.add(new Cards.Note(Cards.What.MARKED, step.key(), key, paint, "", 0));
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

    /** Refused where something is open that the press does not say. */
    private static List<Cards.Note> close(Person by, CardState state, CardStep step, Form form) {
        List<Blocker> open = state.blockers(step);
        long other = open.stream().filter(ask -> !state.saidByDone(step, ask)).count();
        if (other > 0) {
            form.problem("what", "problem.fit.blocked", "count", Long.toString(other));
            return List.of();
        }
        return said(by, state, step, open);
    }

    private static List<Cards.Note> said(Person by, CardState state, CardStep step, List<Blocker> open) {
        List<Cards.Note> notes = new ArrayList<>(holds(state, step, true));
        for (Blocker ask : open) {
            if (ask instanceof Blocker.Missing missing) {
                String id = missing.capture().id();
                String text = state.offered(step, missing.capture()).orElseThrow();
                notes.add(new Cards.Note(Cards.What.CAPTURED, step.key(), id, text, "", 0));
            } else if (ask instanceof Blocker.Loose loose) {
                notes.addAll(tight(by, state, step, loose.fastener()));
            }
        }
        notes.add(tick(step));
        return notes;
    }

    private List<Cards.Note> bench(Job job, CardStep step, Form form) {
        CardState state = cards.of(job).state();
        BenchPart.Fate fate = form.text("fate").equals(BenchPart.Fate.BAGGED.name())
                ? BenchPart.Fate.BAGGED
                : BenchPart.Fate.HANDED_OVER;
        return state.blockers(step).stream()
                .filter(Blocker.OnBench.class::isInstance)
                .map(ask -> ((Blocker.OnBench) ask).part().key())
                .map(part -> new Cards.Note(Cards.What.PLACED, step.key(), part, "", fate.name(), 0))
                .toList();
    }

    private List<Cards.Note> ticks(Person by, Job job, CardStep step, Form form) {
        CardState state = cards.of(job).state();
        List<CardStep> row = Together.of(cards.of(job).card(), state, step);
        int last = 0;
        while (last < row.size() && !row.get(last).key().equals(form.text("until"))) {
            last++;
        }
        if (last == row.size()) {
            form.problem("what", "problem.fit.row");
            return List.of();
        }
        return row.subList(0, last + 1).stream()
                .flatMap(one -> said(by, state, one, state.blockers(one)).stream())
                .toList();
    }
}
