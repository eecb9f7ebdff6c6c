package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.people.Person;
import abbex.core.torque.Plausible;
import abbex.core.torque.ScrewThread;
import abbex.core.torque.TorqueSpec;
import abbex.core.units.Torque;
import abbex.core.workcard.Blocker;
import abbex.core.workcard.CardStep;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A card that somebody is in the middle of: for a shop that shows what the station does. */
@Component
public class WorkedCard {
    private final Cards cards;
    private final Specs specs;

    WorkedCard(Cards cards, Specs specs) {
        this.cards = cards;
        this.specs = specs;
    }

    /** Begins a card and works off its first steps with all that they ask for; every figure is invented. */
    public void begin(Person by, Job job, Set<String> facts, int steps) {
        cards.begin(by, job, facts, List.of());
        for (CardStep step : cards.of(job).card().steps().subList(0, steps)) {
            for (Blocker blocker : cards.of(job).state().blockers(step)) {
                clear(by, job, step, blocker);
            }
            add(by, job, new Cards.Note(Cards.What.TICKED, step.key(), "", "", "", 0));
        }
    }

    private void clear(Person by, Job job, CardStep step, Blocker blocker) {
        if (blocker instanceof Blocker.Hold hold) {
            add(by, job, new Cards.Note(Cards.What.HELD, step.key(), Integer.toString(hold.number()), "", "", 0));
        } else if (blocker instanceof Blocker.Missing missing) {
            add(
                    by,
                    job,
                    new Cards.Note(
                            Cards.What.CAPTURED, step.key(), missing.capture().id(), "11", "", 0));
        } else if (blocker instanceof Blocker.Loose loose) {
            Torque torque = usual(loose.fastener().thread());
            String text = Math.round(torque.newtonMetres()) + " N·m";
            if (cards.of(job).state().tightening(loose.key()).spec().isEmpty()) {
                specs.add(
                        by,
                        job.vehicle(),
                        Cards.specKey(step, loose.fastener()),
                        text,
                        new TorqueSpec(torque, torque, 0, TorqueSpec.Source.SERVICE_MANUAL, "31-14"));
            }
            add(
                    by,
                    job,
                    new Cards.Note(Cards.What.TIGHTENED, step.key(), loose.key(), text, "", torque.newtonMetres()));
            add(by, job, new Cards.Note(Cards.What.MARKED, step.key(), loose.key(), "", "", 0));
        }
    }

    /** What a thread usually takes, in whole newton metres. */
    private static Torque usual(String thread) {
        return ScrewThread.read(thread)
                .map(t -> Plausible.range(t, Optional.empty()).usual())
                .map(t -> new Torque(Math.round(t.newtonMetres())))
                .orElse(new Torque(40));
    }

    private void add(Person by, Job job, Cards.Note note) {
        cards.add(by, job, UUID.randomUUID(), cards.typed(job, 0), note);
    }
}
