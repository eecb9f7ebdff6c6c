package abbex.app.workcard;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.kit.KitKind;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import abbex.core.workcard.BenchPart;
import abbex.core.workcard.Book;
import abbex.core.workcard.Card;
import abbex.core.workcard.CardEvent;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Chapter;
import abbex.core.workcard.Step;
import abbex.core.workcard.Together;
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
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What ships: cards of drawn vehicles by it, and files that do not fit. */
class StepFilesTest {
    static final List<Chapter> BOOK = StepFiles.shipped();
    private static final List<String> PARTS = Stream.concat(
                    Stream.of(KitKind.values()).flatMap(kind -> kind.parts().stream()),
                    Stream.of("helper", Wanted.BLOCK_OUT))
            .distinct()
            .sorted()
            .toList();

    static Wanted drawn(Random random) {
        VehicleKind kind = VehicleKind.values()[random.nextInt(VehicleKind.values().length)];
        PerEnd<Architecture> architecture =
                PerEnd.of(end -> Architecture.values()[random.nextInt(Architecture.values().length)]);
        PerEnd<Set<String>> supplied = PerEnd.of(end -> {
            Set<String> parts = new TreeSet<>();
            PARTS.stream().filter(p -> random.nextInt(3) == 0).forEach(parts::add);
            return parts;
        });
        Set<String> facts = new TreeSet<>();
        CardWants.FACTS.stream().sorted().filter(f -> random.nextBoolean()).forEach(facts::add);
        for (String fact : List.of(
                "perch@front",
                "perch@rear",
                "coilover@front",
                "coilover@rear",
                CardWants.HELPER,
                "brakes@front",
                "brakes@rear",
                "bar@front",
                "no-bar@rear")) {
            if (random.nextBoolean()) {
                facts.add(fact);
            }
        }
        List<Set<End>> rounds = switch (random.nextInt(6)) {
            case 0 -> List.of(Set.of(End.FRONT));
            case 1 -> List.of(Set.of(End.REAR), Set.of(End.FRONT));
            case 2 -> List.of(Set.of(End.values()), Set.of(End.REAR));
            default -> List.of(Set.of(End.values()));
        };
        return new Wanted(kind, architecture, supplied, facts, rounds);
    }

    /** What is ticked in one press hides nothing: no hold, nothing to write down, no bolt without a figure, no other place. */
    @Test
    void steps_ticked_together_ask_for_nothing_that_is_not_said() {
        Random random = new Random(37);
        int rows = 0;
        for (int i = 0; i < 60; i++) {
            Wanted wanted = drawn(random);
            Card card = Card.of(BOOK, wanted);
            List<CardEvent> before = new ArrayList<>();
            for (CardStep first : card.steps()) {
                List<CardStep> row = Together.of(card, CardState.of(card, wanted, before), first);
                assertTrue(row.size() <= 6, row::toString);
                boolean says = false;
                for (CardStep step : row) {
                    assertEquals(List.of(), step.step().holds(), step.key());
                    assertTrue(
                            step.step().captures().stream()
                                    .noneMatch(c -> c.usual().isEmpty()),
                            step.key());
                    assertEquals(List.of(), CardState.of(card, wanted, before).fasteners(step), step.key());
                    assertEquals(first.step().footing(), step.step().footing());
                    assertTrue(step.equals(first) || step.step().role().isEmpty(), step.key());
                    says |= !step.step().allHolds().isEmpty()
                            || !step.step().captures().isEmpty();
                }
                boolean apart = row.stream().anyMatch(step -> !step.place().equals(first.place()));
                assertFalse(says && apart, row::toString);
                rows += says && row.size() > 1 ? 1 : 0;
                before.add(new CardEvent.Ticked(first.key()));
            }
        }
        assertTrue(rows > 100, rows + " rows");
    }

    /** A part of ten thousand vehicles; {@code -Dabbex.cards=10000} for all of them. */
    @Test
    void cards_of_drawn_vehicles_keep_every_arrow_and_account_for_every_part() {
        Random random = new Random(163);
        for (int i = 0; i < Integer.getInteger("abbex.cards", 1500); i++) {
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
                for (End end : End.values()) {
                    for (String kind : wanted.pieces(end)) {
                        assertTrue(
                                wanted.later(end)
                                        || parts.stream()
                                                .anyMatch(p ->
                                                        p.supplied() && p.kind().equals(kind)),
                                kind);
                    }
                }
            }
        }
    }

    /** What may be fitted at an end, by how it is built: of every kind that can be had for it, and what comes with springs. */
    private static List<String> fits(VehicleKind kind, Architecture architecture, End end) {
        List<String> parts = Stream.of(KitKind.values())
                .filter(k -> k.fits(kind, architecture, end))
                .flatMap(k -> k.parts().stream())
                .distinct()
                .collect(Collectors.toCollection(ArrayList::new));
        if (parts.contains("isolator")) {
            parts.add("helper");
        }
        if (parts.contains("block")) {
            parts.add(Wanted.BLOCK_OUT);
        }
        return parts;
    }

    /** Each kind of kit for each end of each vehicle that it can be had for: every part of it by a step, none to look for. */
    @Test
    void each_part_of_each_kind_of_kit_reaches_a_step() {
        int looked = 0;
        for (VehicleKind vehicle : VehicleKind.values()) {
            for (Architecture architecture : Architecture.values()) {
                for (End end : End.values()) {
                    for (KitKind kind : KitKind.values()) {
                        if (!kind.fits(vehicle, architecture, end)) {
                            continue;
                        }
                        looked++;
                        Wanted wanted = new Wanted(
                                vehicle,
                                PerEnd.of(e -> architecture),
                                PerEnd.of(e -> e == end ? kind.parts() : Set.of()),
                                Set.of());
                        Card card = Card.of(BOOK, wanted);
                        String what = kind + " of " + vehicle + " " + architecture + " " + end;
                        assertTrue(
                                card.steps().stream()
                                        .anyMatch(step -> step.step().asks().anyMatch(kind.parts()::contains)),
                                what);
                        List<BenchPart> parts =
                                CardState.of(card, wanted, List.of()).parts();
                        assertTrue(
                                parts.stream().filter(BenchPart::supplied).noneMatch(BenchPart::stepless),
                                () -> what + ": " + parts);
                        assertEquals(
                                wanted.pieces(end),
                                parts.stream()
                                        .filter(BenchPart::supplied)
                                        .map(BenchPart::kind)
                                        .collect(Collectors.toSet()),
                                what);
                    }
                }
            }
        }
        assertTrue(looked > 150, looked + " kinds");
    }

    private static Wanted fitting(Random random) {
        Wanted any = drawn(random);
        PerEnd<Set<String>> supplied =
                PerEnd.of(end -> fits(any.kind(), any.architecture().get(end), end).stream()
                        .filter(part -> random.nextInt(4) == 0)
                        .collect(Collectors.toCollection(TreeSet::new)));
        return new Wanted(any.kind(), any.architecture(), supplied, any.facts());
    }

    /** Every step that ships is done for somebody; every part goes in by a step; nothing is done for a part that is not there. */
    @Test
    void steps_follow_the_parts_that_are_there() {
        Random random = new Random(370);
        Set<String> reached = new TreeSet<>();
        for (int i = 0; i < Integer.getInteger("abbex.cards", 1500); i++) {
            Wanted wanted = fitting(random);
            Card card = Card.of(BOOK, wanted);
            card.steps().forEach(step -> reached.add(step.step().id()));
            CardState.of(card, wanted, List.of()).parts().stream()
                    .filter(BenchPart::supplied)
                    .forEach(part -> assertFalse(part.stepless(), () -> part + " goes in by no step of " + wanted));
            for (CardStep step : card.steps()) {
                List<String> parts = step.step().asks().filter(PARTS::contains).toList();
                assertTrue(
                        parts.isEmpty()
                                || step.end().isPresent()
                                        && Stream.concat(
                                                        wanted
                                                                .supplied()
                                                                .get(step.end().get())
                                                                .stream(),
                                                        wanted.facts()
                                                                        .contains("perch@"
                                                                                + step.end()
                                                                                        .get()
                                                                                        .code())
                                                                ? Stream.of("ring")
                                                                : Stream.of())
                                                .anyMatch(parts::contains),
                        () -> step.key() + " has no part in " + wanted);
            }
        }
        Set<String> shipped = BOOK.stream()
                .flatMap(chapter -> chapter.steps().stream())
                .map(Step::id)
                .collect(Collectors.toCollection(TreeSet::new));
        assertEquals(shipped, reached);
    }

    /** Of each fastener the last step of the card tightens it, and no earlier one asks for a figure. */
    @Test
    void nothing_is_tightened_before_it_is_opened_for_the_last_time() {
        Random random = new Random(371);
        for (int i = 0; i < Integer.getInteger("abbex.cards", 1500) / 3; i++) {
            Wanted wanted = fitting(random);
            Card card = Card.of(BOOK, wanted);
            CardState state = CardState.of(card, wanted, List.of());
            Set<String> tightened = new HashSet<>();
            for (CardStep step : card.steps()) {
                for (Step.Fastener fastener : step.step().fasteners()) {
                    assertFalse(tightened.contains(step.fastener(fastener)), () -> step.key() + " opens " + fastener);
                }
                state.fasteners(step).forEach(f -> tightened.add(step.fastener(f)));
                assertFalse(
                        step.step().title().matches(".*\\b(off|out|[Ff]ree|[Ll]oosen|loose|parted)\\b.*")
                                && !state.fasteners(step).isEmpty(),
                        () -> step.key() + " opens and asks for a figure");
            }
        }
    }

    /** Who calls for help calls never more often than who does not gather, and goes up as seldom. */
    @Test
    void what_needs_two_is_gathered() {
        Random random = new Random(166);
        int alone = 0;
        int gathered = 0;
        for (int i = 0; i < 500; i++) {
            Wanted wanted = drawn(random);
            Set<String> without = new TreeSet<>(wanted.facts());
            without.remove(CardWants.HELPER);
            Set<String> with = new TreeSet<>(without);
            with.add(CardWants.HELPER);
            Card one = Card.of(
                    BOOK,
                    new Wanted(wanted.kind(), wanted.architecture(), wanted.supplied(), without, wanted.rounds()));
            Card two = Card.of(
                    BOOK, new Wanted(wanted.kind(), wanted.architecture(), wanted.supplied(), with, wanted.rounds()));
            assertEquals(one.lifts(), two.lifts());
            assertTrue(two.calls() <= one.calls(), () -> one.calls() + " to " + two.calls());
            alone += one.calls();
            gathered += two.calls();
        }
        assertTrue(gathered < 0.9 * alone, gathered + " of " + alone);
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
        Set<String> all = BOOK.stream()
                .flatMap(c -> c.steps().stream())
                .map(Step::id)
                .collect(Collectors.toCollection(TreeSet::new));
        for (int i = 0; i < 3000 && !all.isEmpty(); i++) {
            Card.of(BOOK, drawn(random))
                    .steps()
                    .forEach(s -> all.remove(s.step().id()));
        }
        assertEquals(Set.of(), all);
        assertEquals(
                Optional.empty(),
                Arrays.stream(Architecture.values())
                        .filter(a ->
                                BOOK.stream().noneMatch(c -> c.architectures().contains(a)))
                        .findFirst());
    }
}
