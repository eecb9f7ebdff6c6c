package abbex.app.workcard;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.torque.Tightening;
import abbex.core.torque.TorqueSpec;
import abbex.core.units.Torque;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import abbex.core.workcard.BenchPart;
import abbex.core.workcard.Blocker;
import abbex.core.workcard.Book;
import abbex.core.workcard.Card;
import abbex.core.workcard.CardEvent;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Chapter;
import abbex.core.workcard.Step;
import abbex.core.workcard.Wanted;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What ships: cards of drawn vehicles by it, whole shops' worth of work with mishaps, and files that do not fit. */
class StepFilesTest {
    private static final List<Chapter> BOOK = StepFiles.shipped();
    private static final List<String> PARTS =
            List.of("spring", "damper", "stop", "isolator", "helper", "ring", "block", "spindle");

    private static Wanted drawn(Random random) {
        VehicleKind kind = VehicleKind.values()[random.nextInt(VehicleKind.values().length)];
        PerEnd<Architecture> architecture =
                PerEnd.of(end -> Architecture.values()[random.nextInt(Architecture.values().length)]);
        PerEnd<Set<String>> supplied = PerEnd.of(end -> {
            Set<String> parts = new TreeSet<>();
            PARTS.stream().filter(p -> random.nextInt(3) == 0).forEach(parts::add);
            return parts;
        });
        Set<String> facts = new TreeSet<>();
        Cards.FACTS.stream().sorted().filter(f -> random.nextBoolean()).forEach(facts::add);
        if (random.nextBoolean()) {
            facts.add("perch");
        }
        return new Wanted(kind, architecture, supplied, facts);
    }

    @Test
    void cards_of_ten_thousand_vehicles_keep_every_arrow_and_account_for_every_part() {
        Random random = new Random(163);
        for (int i = 0; i < 10_000; i++) {
            Wanted wanted = drawn(random);
            Card card = Card.of(BOOK, wanted);
            Set<String> done = new HashSet<>();
            for (CardStep step : card.steps()) {
                assertTrue(done.containsAll(card.before().get(step.key())), step::key);
                assertTrue(done.add(step.key()), step::key);
                boolean up = step.step().footing() != Step.Footing.WHEELS;
                assertTrue(
                        !up || done.stream().anyMatch(k -> k.startsWith("raise") || k.startsWith("mc-up")), step::key);
            }
            if (i % 10 == 0) {
                assertEquals(card, Card.of(BOOK, wanted), "the same makes the same");
                List<BenchPart> parts = CardState.of(card, wanted, List.of()).parts();
                assertEquals(
                        parts.size(),
                        parts.stream().map(BenchPart::key).distinct().count());
                for (String kind : wanted.supplied().front()) {
                    assertTrue(
                            parts.stream()
                                    .anyMatch(p -> p.supplied() && p.kind().equals(kind)),
                            kind);
                }
            }
        }
    }

    /** Works a card off step by step, doing what each asks for; now and then something goes wrong. */
    private static final class Worker {
        private final Random random;
        private final Wanted wanted;
        private final Card card;
        private final List<CardEvent> events = new ArrayList<>();
        private boolean careful;

        Worker(Random random, Wanted wanted) {
            this.random = random;
            this.wanted = wanted;
            card = Card.of(BOOK, wanted);
        }

        CardState state() {
            return CardState.of(card, wanted, events);
        }

        /** @return false where the step cannot be ticked and something of it is left undone */
        void work(CardStep step) {
            if (!careful && random.nextInt(25) == 0) {
                events.add(new CardEvent.Otherwise(step.key(), "put off", "no load"));
                return;
            }
            for (Blocker blocker : state().blockers(step)) {
                if (blocker instanceof Blocker.Hold hold) {
                    events.add(new CardEvent.Held(step.key(), hold.number()));
                } else if (blocker instanceof Blocker.Missing missing) {
                    events.add(
                            new CardEvent.Captured(step.key(), missing.capture().id(), "7"));
                } else if (blocker instanceof Blocker.Loose loose) {
                    tighten(loose.key());
                } else if (blocker instanceof Blocker.OnBench bench && (careful || random.nextInt(4) > 0)) {
                    events.add(new CardEvent.Placed(bench.part().key(), BenchPart.Fate.BAGGED, ""));
                }
            }
            if (state().blockers(step).isEmpty()) {
                events.add(new CardEvent.Ticked(step.key()));
            }
        }

        private void tighten(String key) {
            if (state().tightening(key).spec().isEmpty()) {
                said(key, 80, TorqueSpec.Source.PART_SHEET);
            }
            Torque wanted = state().tightening(key).spec().orElseThrow().least();
            Torque read = careful || random.nextInt(9) > 0 ? wanted : new Torque(1.3 * wanted.newtonMetres());
            events.add(new CardEvent.Fastened(key, new Tightening.Event.Tightened(read, false)));
            if (careful || random.nextInt(6) > 0) {
                events.add(new CardEvent.Fastened(key, new Tightening.Event.Marked()));
            }
        }

        void said(String key, double torque, TorqueSpec.Source source) {
            events.add(new CardEvent.Fastened(
                    key,
                    new Tightening.Event.Said(new TorqueSpec(new Torque(torque), new Torque(torque), 0, source, ""))));
        }
    }

    /** Of two hundred jobs with mishaps none is finished with a step, a fastener or a part open; most get there in the end. */
    @Test
    void two_hundred_jobs_with_mishaps() {
        Random random = new Random(164);
        int finished = 0;
        for (int i = 0; i < 200; i++) {
            Worker worker = new Worker(random, drawn(random));
            for (int round = 0; round < 4; round++) {
                worker.careful = round > 1;
                for (CardStep step : worker.card.steps()) {
                    if (!worker.state().settled(step.key()) || worker.state().reopened(step)) {
                        worker.work(step);
                    }
                    honest(worker);
                }
                if (round == 1) {
                    worker.card.steps().stream()
                            .filter(s -> !s.step().fasteners().isEmpty())
                            .skip(random.nextInt(3))
                            .findFirst()
                            .ifPresent(s -> worker.said(
                                    s.fastener(s.step().fasteners().get(0)), 110, TorqueSpec.Source.SERVICE_MANUAL));
                }
            }
            worker.state()
                    .parts()
                    .forEach(p -> worker.events.add(new CardEvent.Placed(p.key(), BenchPart.Fate.HANDED_OVER, "")));
            honest(worker);
            finished += worker.state().finished() ? 1 : 0;
        }
        int all = finished;
        assertTrue(all > 150, () -> all + " finished");
    }

    private static void honest(Worker worker) {
        CardState state = worker.state();
        if (!state.finished()) {
            return;
        }
        for (CardStep step : worker.card.steps()) {
            assertTrue(state.settled(step.key()), step::key);
            if (state.done(step.key())) {
                assertEquals(List.of(), state.blockers(step), step.key());
            }
        }
        assertTrue(state.parts().stream().noneMatch(p -> p.fate() == BenchPart.Fate.ON_BENCH));
    }

    private static String file(String steps) {
        return "{\"format\":\"abbex-steps\",\"version\":1,\"for\":{\"architectures\":[],\"kinds\":[]},\"steps\":["
                + steps + "]}";
    }

    private static Book.Fault fault(String text) {
        return assertThrows(StepFiles.Unfit.class, () -> StepFiles.read("mine", text))
                .faults()
                .get(0);
    }

    @Test
    void a_file_that_does_not_fit_is_named_by_step_and_field() {
        String good =
                "{\"id\":\"one\",\"title\":\"Do it\",\"why\":\"So.\",\"span\":\"WHOLE\",\"footing\":\"WHEELS\",\"minutes\":5}";
        assertEquals(1, StepFiles.read("mine", file(good)).steps().size());
        Book.Fault minutes = fault(file(good.replace("5}", "\"five\"}")));
        assertEquals(List.of("mine", "one", "minutes"), List.of(minutes.file(), minutes.step(), minutes.field()));
        assertEquals("footing", fault(file(good.replace("WHEELS", "UPSIDE"))).field());
        assertEquals("one", fault(file(good.replace("\"why\"", "\"because\""))).step());
        assertEquals("file", fault("{").field());
        assertEquals("none", fault("{}").step());
        assertEquals(
                "version",
                fault(file(good).replace("\"version\":1", "\"version\":2")).field());
    }

    /** No arrow of what ships is about a step that is never on the same card: every one of them is drawn by some card. */
    @Test
    void every_step_is_on_some_card_and_has_words_that_fit() {
        Random random = new Random(165);
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < 3000; i++) {
            Card.of(BOOK, drawn(random)).steps().forEach(s -> seen.add(s.step().id()));
        }
        Set<String> all = BOOK.stream()
                .flatMap(c -> c.steps().stream())
                .map(Step::id)
                .collect(Collectors.toCollection(TreeSet::new));
        all.removeAll(seen);
        assertEquals(Set.of(), all);
        assertEquals(
                Optional.empty(),
                Arrays.stream(Architecture.values())
                        .filter(a ->
                                BOOK.stream().noneMatch(c -> c.architectures().contains(a)))
                        .findFirst());
    }
}
