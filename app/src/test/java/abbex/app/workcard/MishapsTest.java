package abbex.app.workcard;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.torque.Tightening;
import abbex.core.torque.TorqueSpec;
import abbex.core.units.Torque;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.workcard.BenchPart;
import abbex.core.workcard.Blocker;
import abbex.core.workcard.Card;
import abbex.core.workcard.CardEvent;
import abbex.core.workcard.CardFinding;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Wanted;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/**
 * A shop of two hundred jobs where things go wrong: parts missing, torques corrected, steps and ends put off, plans changed, a
 * network that is gone, two people on one card. None of it may end as done while something is open.
 */
class MishapsTest {
    /** {@code -Dabbex.mishaps=200} for all of them. */
    private static final int JOBS = Integer.getInteger("abbex.mishaps", 80);

    /** Works a card off step by step, doing what each asks for; now and then something goes wrong. */
    private static final class Worker {
        private final Random random;
        private Wanted wanted;
        private Card card;
        private List<CardEvent> events = new ArrayList<>();
        private final Map<String, String> written = new HashMap<>();
        private int found;
        private boolean careful;

        Worker(Random random) {
            this.random = random;
            take(StepFilesTest.drawn(random));
        }

        private void take(Wanted other) {
            wanted = other;
            card = Card.of(StepFilesTest.BOOK, wanted);
        }

        CardState state() {
            return CardState.of(card, wanted, events);
        }

        private boolean sometimes(int in) {
            return !careful && random.nextInt(in) == 0;
        }

        void work(CardStep step) {
            if (sometimes(25)) {
                events.add(new CardEvent.Otherwise(step.key(), "put off", "no load"));
                return;
            }
            if (sometimes(20)) {
                events.add(
                        new CardEvent.Found("f" + found++, step.key(), "boot split", "", CardFinding.Answer.NOT_ASKED));
            }
            for (Blocker blocker : state().blockers(step)) {
                clear(step, blocker);
            }
            if (state().blockers(step).isEmpty()) {
                events.add(new CardEvent.Ticked(step.key()));
            }
        }

        private void clear(CardStep step, Blocker blocker) {
            if (blocker instanceof Blocker.Hold hold) {
                events.add(new CardEvent.Held(step.key(), hold.number()));
            } else if (blocker instanceof Blocker.Missing missing) {
                String capture = missing.capture().id();
                String text = Integer.toString(random.nextInt(100));
                written.put(step.key() + " " + capture, text);
                events.add(new CardEvent.Captured(step.key(), capture, text));
            } else if (blocker instanceof Blocker.Loose loose) {
                tighten(loose.key());
            } else if (blocker instanceof Blocker.OnBench bench && !sometimes(4)) {
                events.add(new CardEvent.Placed(bench.part().key(), BenchPart.Fate.BAGGED, ""));
            } else if (blocker instanceof Blocker.Offer offer && !sometimes(2)) {
                events.add(new CardEvent.Answered(offer.id(), CardFinding.Answer.REFUSED, ""));
            } else if (blocker instanceof Blocker.Unlocked open && !sometimes(2)) {
                int number = open.step().step().allHolds().indexOf(open.text());
                events.add(new CardEvent.Held(open.step().key(), number));
            }
        }

        private void tighten(String key) {
            if (state().tightening(key).spec().isEmpty()) {
                said(key, 80, TorqueSpec.Source.PART_SHEET);
            }
            Torque least = state().tightening(key).spec().orElseThrow().least();
            Torque read = sometimes(9) ? new Torque(1.3 * least.newtonMetres()) : least;
            events.add(new CardEvent.Fastened(key, new Tightening.Event.Tightened(read, false)));
            if (!sometimes(6)) {
                events.add(new CardEvent.Fastened(key, new Tightening.Event.Marked()));
            }
        }

        void said(String key, double torque, TorqueSpec.Source source) {
            events.add(new CardEvent.Fastened(
                    key,
                    new Tightening.Event.Said(new TorqueSpec(new Torque(torque), new Torque(torque), 0, source, ""))));
        }

        private void open(List<CardStep> steps) {
            for (CardStep step : steps) {
                if (!state().settled(step.key()) || state().reopened(step)) {
                    work(step);
                }
            }
        }

        /**
         * Some steps are worked off where nobody can be asked, by how the card stood; meanwhile somebody else opens a step and
         * loosens a bolt. What waited is then taken in order, and a tick only where nothing keeps it.
         */
        private void alone(List<CardStep> steps) {
            List<CardEvent> before = new ArrayList<>(events);
            open(steps);
            List<CardEvent> waited = new ArrayList<>(events.subList(before.size(), events.size()));
            events = before;
            CardStep other = card.steps().get(random.nextInt(card.steps().size()));
            events.add(new CardEvent.Opened(other.key()));
            other.step()
                    .fasteners()
                    .forEach(f ->
                            events.add(new CardEvent.Fastened(other.fastener(f), new Tightening.Event.Loosened())));
            for (CardEvent event : waited) {
                boolean kept = event instanceof CardEvent.Ticked tick
                        && !state().blockers(card.find(tick.step()).orElseThrow())
                                .isEmpty();
                if (!kept) {
                    events.add(event);
                }
            }
        }

        void day() {
            List<CardStep> steps = card.steps();
            int gone = careful || steps.isEmpty() ? 0 : random.nextInt(steps.size());
            int back = Math.min(steps.size(), gone + random.nextInt(8));
            open(steps.subList(0, gone));
            honest(this);
            if (back > gone && !careful) {
                alone(steps.subList(gone, back));
                honest(this);
            }
            open(steps.subList(gone, steps.size()));
            honest(this);
        }

        /** Dampers come with the kit after all; an end that was put off has its turn. */
        void changed() {
            Set<End> ends = new TreeSet<>(Set.of(End.values()));
            List<Set<End>> rounds = new ArrayList<>(wanted.rounds());
            ends.removeIf(end -> !wanted.later(end));
            if (!ends.isEmpty()) {
                rounds.add(ends);
            }
            PerEnd<Set<String>> supplied = wanted.supplied().map(parts -> {
                Set<String> more = new TreeSet<>(parts);
                if (!parts.isEmpty() && random.nextInt(3) == 0) {
                    more.add("damper");
                }
                return more;
            });
            take(new Wanted(wanted.kind(), wanted.architecture(), supplied, wanted.facts(), rounds));
        }

        void corrected() {
            card.steps().stream()
                    .filter(s -> !s.step().fasteners().isEmpty())
                    .skip(random.nextInt(3))
                    .findFirst()
                    .ifPresent(
                            s -> said(s.fastener(s.step().fasteners().get(0)), 110, TorqueSpec.Source.SERVICE_MANUAL));
        }
    }

    @Test
    void jobs_with_mishaps() {
        Random random = new Random(164);
        int finished = 0;
        int later = 0;
        for (int i = 0; i < JOBS; i++) {
            Worker worker = new Worker(random);
            for (int day = 0; day < 5; day++) {
                worker.careful = day > 2;
                worker.day();
                later += List.of(End.values()).stream().anyMatch(worker.wanted::later) ? 1 : 0;
                if (day == 1) {
                    worker.corrected();
                    honest(worker);
                    worker.changed();
                    honest(worker);
                }
            }
            worker.state()
                    .offers()
                    .forEach(o -> worker.events.add(new CardEvent.Answered(o.id(), CardFinding.Answer.ACCEPTED, "")));
            for (CardStep step : worker.card.steps()) {
                for (int h = step.step().firstLock(); h < step.step().allHolds().size(); h++) {
                    worker.events.add(new CardEvent.Held(step.key(), h));
                }
            }
            worker.state()
                    .parts()
                    .forEach(p -> worker.events.add(new CardEvent.Placed(p.key(), BenchPart.Fate.HANDED_OVER, "")));
            honest(worker);
            finished += worker.state().finished() ? 1 : 0;
        }
        int all = finished;
        assertTrue(all > JOBS * 3 / 4, () -> all + " finished");
        assertTrue(later > JOBS / 20, "some ends were put off");
    }

    private static void honest(Worker worker) {
        CardState state = worker.state();
        worker.written.forEach((at, text) -> {
            String[] parts = at.split(" ");
            assertEquals(text, state.captured(parts[0], parts[1]), at);
        });
        if (!state.finished()) {
            return;
        }
        for (End end : End.values()) {
            assertTrue(!worker.wanted.later(end), "an end is put off");
        }
        for (CardStep step : worker.card.steps()) {
            assertTrue(state.settled(step.key()), step::key);
            if (state.done(step.key())) {
                assertEquals(List.of(), state.blockers(step), step.key());
            }
            int first = step.step().firstLock();
            for (int i = first; i < step.step().allHolds().size(); i++) {
                assertTrue(state.held(step.key(), i), "a lock is open");
            }
        }
        assertTrue(state.parts().stream().noneMatch(p -> p.fate() == BenchPart.Fate.ON_BENCH));
    }
}
