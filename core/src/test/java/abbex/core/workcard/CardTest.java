package abbex.core.workcard;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.figure.Severity;
import abbex.core.state.Footing;
import abbex.core.state.OpenWork;
import abbex.core.torque.Tightening;
import abbex.core.torque.TorqueSpec;
import abbex.core.units.Torque;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Orders of drawn cards against trying all, rings by name, and what keeps a step from being ticked. Steps are invented. */
class CardTest {
    static Step step(String id, Step.Span span, Step.Footing footing, List<String> after) {
        return new Step(
                id,
                "Do " + id,
                "because",
                span,
                footing,
                5,
                1,
                Step.Access.NONE,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                after,
                List.of(),
                Optional.empty());
    }

    private static List<Chapter> book(List<Step> steps) {
        return List.of(new Chapter("drawn", Set.of(), Set.of(), steps));
    }

    private static final Wanted BOTH = new Wanted(
            VehicleKind.CAR, PerEnd.of(end -> Architecture.STRUT), PerEnd.of(end -> Set.of("spring")), Set.of());

    private static List<Step> drawn(Random random, int many, boolean corners) {
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            List<String> after = new ArrayList<>();
            for (int j = 0; j < i; j++) {
                if (random.nextInt(4) == 0) {
                    after.add("s" + j);
                }
            }
            Step.Span span = corners ? Step.Span.values()[random.nextInt(3)] : Step.Span.WHOLE;
            steps.add(step("s" + i, span, Step.Footing.values()[random.nextInt(3)], after));
        }
        return steps;
    }

    /** The least cost of any order at all: every set of steps that can be done, every footing (held against the search). */
    private static int leastLifts(List<Step> steps) {
        int n = steps.size();
        int[] before = new int[n];
        for (int i = 0; i < n; i++) {
            for (String id : steps.get(i).after()) {
                before[i] |= 1 << Integer.parseInt(id.substring(1));
            }
        }
        int[][] least = new int[1 << n][2];
        for (int[] row : least) {
            row[0] = row[1] = 1000;
        }
        least[0][0] = 0;
        for (int done = 0; done < 1 << n; done++) {
            for (int up = 0; up < 2; up++) {
                for (int i = 0; i < n; i++) {
                    if ((done >> i & 1) == 0 && (before[i] & ~done) == 0) {
                        int then = steps.get(i).footing() == Step.Footing.WHEELS ? 0 : 1;
                        int lifts = least[done][up] + (up == 0 && then == 1 ? 1 : 0);
                        int next = done | 1 << i;
                        least[next][then] = Math.min(least[next][then], lifts);
                    }
                }
            }
        }
        return Math.min(least[(1 << n) - 1][0], least[(1 << n) - 1][1]);
    }

    @Test
    void no_order_of_all_goes_up_less_often() {
        Random random = new Random(161);
        for (int i = 0; i < 2000; i++) {
            List<Step> steps = drawn(random, 1 + random.nextInt(10), false);
            assertEquals(leastLifts(steps), Card.of(book(steps), BOTH).lifts(), steps::toString);
        }
    }

    @Test
    void every_arrow_is_kept_and_the_same_makes_the_same() {
        Random random = new Random(162);
        for (int i = 0; i < Integer.getInteger("abbex.arrows", 120); i++) {
            List<Step> steps = drawn(random, 2 + random.nextInt(20), true);
            Card card = Card.of(book(steps), BOTH);
            assertEquals(card, Card.of(book(steps), BOTH));
            Set<String> done = new HashSet<>();
            for (CardStep step : card.steps()) {
                assertTrue(done.containsAll(card.before().get(step.key())), step::key);
                done.add(step.key());
            }
            assertEquals(card.steps().size(), done.size());
            CardState state = CardState.of(card, BOTH, List.of());
            assertTrue(state.minutes(2) <= state.minutes(1) && 2 * state.minutes(2) >= state.minutes(1));
        }
    }

    @Test
    void a_ring_is_named_by_its_steps() {
        List<Step> steps = List.of(
                step("s0", Step.Span.WHOLE, Step.Footing.WHEELS, List.of("s2")),
                step("s1", Step.Span.WHOLE, Step.Footing.WHEELS, List.of("s0")),
                step("s2", Step.Span.WHOLE, Step.Footing.WHEELS, List.of("s1")),
                step("s3", Step.Span.WHOLE, Step.Footing.WHEELS, List.of("s1")));
        Card.Ring ring = assertThrows(Card.Ring.class, () -> Card.of(book(steps), BOTH));
        assertEquals(Set.of("s0@vehicle", "s1@vehicle", "s2@vehicle"), Set.copyOf(ring.keys()));
        assertEquals(3, ring.keys().size());
        assertTrue(Book.check(book(steps)).get(0).toString().contains("s1@vehicle"));
    }

    @Test
    void faults_of_a_book_are_named() {
        Step spring = new Step(
                "out",
                "Spring out",
                "why",
                Step.Span.CORNER,
                Step.Footing.HANGING,
                5,
                1,
                Step.Access.NONE,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of("spring"),
                List.of(),
                List.of("nowhere"),
                List.of(),
                Optional.empty());
        List<Book.Fault> faults = Book.check(List.of(
                new Chapter("one", Set.of(), Set.of(), List.of(spring)),
                new Chapter(
                        "two",
                        Set.of(),
                        Set.of(),
                        List.of(step("out", Step.Span.WHOLE, Step.Footing.WHEELS, List.of())))));
        assertEquals(
                List.of("id", "after", "holds"),
                faults.stream().map(Book.Fault::field).toList());
        assertEquals("two", faults.get(0).file());
        assertEquals("out", faults.get(1).step());
    }

    private static final Step.Fastener BOLT = new Step.Fastener("bolt", "Bolt", "M12", true, false);

    private static List<Step> work() {
        return List.of(
                new Step(
                        "out",
                        "Spring out",
                        "why",
                        Step.Span.CORNER,
                        Step.Footing.HANGING,
                        5,
                        1,
                        Step.Access.NONE,
                        List.of(),
                        List.of("Carried"),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of("spring", "cap"),
                        List.of(),
                        List.of(),
                        List.of(),
                        Optional.empty()),
                new Step(
                        "in",
                        "Spring in",
                        "why",
                        Step.Span.CORNER,
                        Step.Footing.HANGING,
                        5,
                        2,
                        Step.Access.NONE,
                        List.of(),
                        List.of("On its step"),
                        List.of(),
                        List.of(new Step.Capture("clock", "Where", Step.Capture.Kind.CLOCK)),
                        List.of(BOLT),
                        List.of(),
                        List.of("spring", "cap"),
                        List.of("out"),
                        List.of(),
                        Optional.empty()),
                new Step(
                        "wheel",
                        "Wheel on",
                        "why",
                        Step.Span.CORNER,
                        Step.Footing.HANGING,
                        5,
                        1,
                        Step.Access.NONE,
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of("in"),
                        List.of(),
                        Optional.of(Step.Role.CLOSE)));
    }

    private static final Wanted FRONT = new Wanted(
            VehicleKind.CAR,
            PerEnd.of(end -> Architecture.STRUT),
            new PerEnd<>(Set.of("spring", "helper"), Set.of()),
            Set.of());

    private static CardState after(CardEvent... events) {
        return CardState.of(Card.of(book(work()), FRONT), FRONT, List.of(events));
    }

    private static List<Class<?>> blockers(CardState state, String key) {
        Card card = Card.of(book(work()), FRONT);
        List<Class<?>> found = new ArrayList<>();
        state.blockers(card.find(key).orElseThrow()).forEach(b -> found.add(b.getClass()));
        return found;
    }

    private static CardEvent fastened(Tightening.Event event) {
        return new CardEvent.Fastened("bolt@LF", event);
    }

    @Test
    void a_step_waits_for_what_is_before_held_written_and_tight() {
        CardState fresh = after();
        assertEquals(List.of(Blocker.Hold.class), blockers(fresh, "out@LF"));
        assertEquals(
                List.of(Blocker.Before.class, Blocker.Hold.class, Blocker.Missing.class, Blocker.Loose.class),
                blockers(fresh, "in@LF"));
        TorqueSpec spec = new TorqueSpec(new Torque(90), new Torque(90), 0, TorqueSpec.Source.PART_SHEET, "sheet 2");
        CardEvent[] events = {
            new CardEvent.Held("out@LF", 0),
            new CardEvent.Ticked("out@LF"),
            new CardEvent.Held("in@LF", 0),
            new CardEvent.Captured("in@LF", "clock", "8"),
            fastened(new Tightening.Event.Said(spec)),
            fastened(new Tightening.Event.Tightened(new Torque(90), false)),
            fastened(new Tightening.Event.Marked()),
            new CardEvent.Ticked("in@LF")
        };
        CardState done = after(events);
        assertEquals(List.of(), blockers(done, "in@LF"));
        assertFalse(done.finished());
        CardEvent[] more = Arrays.copyOf(events, events.length + 1);
        more[events.length] = fastened(new Tightening.Event.Said(
                new TorqueSpec(new Torque(70), new Torque(70), 0, TorqueSpec.Source.SERVICE_MANUAL, "33-12")));
        CardState reopened = after(more);
        Card card = Card.of(book(work()), FRONT);
        assertTrue(reopened.reopened(card.find("in@LF").orElseThrow()));
        assertEquals(List.of(Blocker.Loose.class), blockers(reopened, "in@LF"));
    }

    /** The helper has no step: it is asked about before any wheel of that end goes on. The cap goes back by itself, the old spring does not. */
    @Test
    void nothing_is_left_on_the_bench() {
        CardState fresh = after();
        assertTrue(fresh.parts().stream().anyMatch(p -> p.kind().equals("helper") && p.stepless()));
        CardState fitted = after(new CardEvent.Ticked("out@LF"), new CardEvent.Ticked("in@LF"));
        assertEquals(BenchPart.Fate.FITTED, fate(fitted, "spring/new@LF"));
        assertEquals(BenchPart.Fate.BACK, fate(fitted, "cap/old@LF"));
        assertEquals(BenchPart.Fate.ON_BENCH, fate(fitted, "spring/old@LF"));
        assertTrue(blockers(fitted, "wheel@LF").contains(Blocker.OnBench.class));
        CardState accounted = after(
                new CardEvent.Ticked("out@LF"),
                new CardEvent.Ticked("in@LF"),
                new CardEvent.Placed("spring/old@LF", BenchPart.Fate.HANDED_OVER, ""),
                new CardEvent.Placed("helper/new@front", BenchPart.Fate.LEFT_OFF, "not needed at this height"));
        assertFalse(blockers(accounted, "wheel@LF").contains(Blocker.OnBench.class));
        assertEquals("not needed at this height", accounted.reason("helper/new@front"));
    }

    private static BenchPart.Fate fate(CardState state, String key) {
        return state.parts().stream()
                .filter(p -> p.key().equals(key))
                .findFirst()
                .orElseThrow()
                .fate();
    }

    @Test
    void done_otherwise_lets_the_next_step_go_on_and_is_no_tick() {
        CardState state = after(new CardEvent.Otherwise("out@LF", "cut off", "no load"));
        assertTrue(state.settled("out@LF"));
        assertFalse(state.done("out@LF"));
        assertFalse(blockers(state, "in@LF").contains(Blocker.Before.class));
        assertEquals("no load", state.otherwise("out@LF").orElseThrow().limit());
    }

    private static final TorqueSpec SPEC =
            new TorqueSpec(new Torque(100), new Torque(110), 0, TorqueSpec.Source.SERVICE_MANUAL, "31-14");

    private static <F extends CardFinding> Optional<F> said(CardState state, Class<F> type) {
        return state.findings().stream()
                .filter(type::isInstance)
                .map(type::cast)
                .findFirst();
    }

    /** By hand: a spring out and nothing back in: the bolt that it comes back with is named, and the step in hand. */
    @Test
    void a_card_half_done_is_a_stop_by_what_is_open() {
        assertEquals(
                new CardFinding.CardOpen(1, 6, Footing.WHEELS, new CardFinding.Steps(6)),
                said(after(), CardFinding.CardOpen.class).orElseThrow());
        assertEquals(Optional.empty(), said(after(), CardFinding.ToTighten.class), "nothing is apart yet");
        CardState out = after(new CardEvent.Held("out@LF", 0), new CardEvent.Ticked("out@LF"));
        CardFinding.ToTighten loose = said(out, CardFinding.ToTighten.class).orElseThrow();
        assertEquals(new CardFinding.Pieces(1), loose.count());
        assertEquals(
                List.of(new OpenWork.Bolt(Corner.LF, "Bolt")), loose.bolts().all());
        assertEquals(Severity.STOP, loose.severity());
        CardState put = after(
                new CardEvent.Ticked("out@LF"),
                fastened(new Tightening.Event.Said(SPEC)),
                fastened(new Tightening.Event.Tightened(SPEC.least(), false)));
        assertEquals(Optional.empty(), said(put, CardFinding.ToTighten.class));
        assertEquals(
                List.of(new OpenWork.Bolt(Corner.LF, "Bolt")),
                said(put, CardFinding.ToMark.class).orElseThrow().bolts().all());
    }

    /** A bolt with a figure on a step that was put off was never tightened: it is said, for as long as it is so. */
    @Test
    void a_bolt_with_a_figure_that_was_put_off_is_named() {
        CardState off = after(
                fastened(new Tightening.Event.Said(SPEC)), new CardEvent.Otherwise("in@LF", "tomorrow", "no load"));
        assertEquals(
                List.of(new OpenWork.Bolt(Corner.LF, "Bolt")),
                said(off, CardFinding.ToTighten.class).orElseThrow().bolts().all());
    }

    @Test
    void what_was_found_and_offered_stays_found() {
        CardEvent.Found boot = new CardEvent.Found("7", "out@LF", "boot split", "180", CardFinding.Answer.NOT_ASKED);
        CardFinding.Offered asked = said(after(boot), CardFinding.Offered.class).orElseThrow();
        assertEquals(new CardFinding.Offer("boot split", "180"), asked.offer());
        CardFinding.Offered refused = said(
                        after(boot, new CardEvent.Answered("7", CardFinding.Answer.REFUSED, "160")),
                        CardFinding.Offered.class)
                .orElseThrow();
        assertEquals(CardFinding.Answer.REFUSED, refused.answer());
        assertEquals("160", refused.offer().price());
        assertEquals(asked.which(), refused.which(), "one thing, whatever the customer says to it");
    }
}
