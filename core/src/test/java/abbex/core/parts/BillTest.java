package abbex.core.parts;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.figure.Finding;
import abbex.core.kit.KitFinding;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import abbex.core.workcard.Card;
import abbex.core.workcard.CardEvent;
import abbex.core.workcard.CardState;
import abbex.core.workcard.Chapter;
import abbex.core.workcard.Step;
import abbex.core.workcard.Wanted;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The parts of a job. */
class BillTest {
    private static final Wanted WANTED = new Wanted(
            VehicleKind.CAR,
            PerEnd.of(end -> Architecture.STRUT),
            new PerEnd<>(Set.of("spring", "ring"), Set.of()),
            Set.of());

    private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);

    private static Step step(
            String id, List<String> off, List<String> on, List<String> after, List<Step.Fastener> fasteners) {
        return step(id, Step.Span.CORNER, off, on, after, fasteners);
    }

    private static Step step(
            String id,
            Step.Span span,
            List<String> off,
            List<String> on,
            List<String> after,
            List<Step.Fastener> fasteners) {
        return new Step(
                id,
                "Do " + id,
                "because",
                span,
                Step.Footing.HANGING,
                5,
                1,
                Step.Access.NONE,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                fasteners,
                off,
                on,
                after,
                List.of(),
                Optional.empty());
    }

    private static List<Chapter> book() {
        return List.of(new Chapter(
                "drawn",
                Set.of(),
                Set.of(),
                List.of(
                        step("out", List.of("spring", "isolator"), List.of(), List.of(), List.of()),
                        step(
                                "in",
                                List.of(),
                                List.of("spring", "isolator"),
                                List.of("out"),
                                List.of(
                                        new Step.Fastener("nut", "Top nut", "M12x1.25", true, false),
                                        new Step.Fastener("bolt", "Pinch bolt", "M12", false, false))))));
    }

    private static Bill bill(List<? extends Finding> planned, List<CardEvent> done, PartEvent... events) {
        Card card = Card.of(book(), WANTED);
        return Bill.of(new Bill.Job(card, WANTED, CardState.of(card, WANTED, done), planned), List.of(events));
    }

    private static BillLine line(Bill bill, String key) {
        return bill.find(key).orElseThrow(() -> new AssertionError(key + " of " + bill));
    }

    @Test
    void a_piece_for_each_place_and_each_reason_apart() {
        Bill bill = bill(List.of(), List.of());
        assertEquals(2, line(bill, "spring@front").count());
        assertEquals(2, line(bill, "ring@front").count(), "nothing on the card puts it on: one a wheel");
        BillLine nut = line(bill, "once:nut@front");
        assertEquals(2, nut.count());
        assertEquals("M12x1.25", nut.thread());
        assertTrue(bill.find("once:bolt@front").isEmpty());
        BillLine back = line(bill, "back:isolator@front");
        assertEquals(BillLine.Status.ON_VEHICLE, back.status());
        assertEquals(3, bill.missing().size(), "what goes back is not missing");
    }

    /** What is put on end by end comes for both wheels; of a motorcycle there is one. */
    @Test
    void an_end_has_two_wheels() {
        List<Chapter> book = List.of(new Chapter(
                "drawn",
                Set.of(),
                Set.of(),
                List.of(step("pair", Step.Span.END, List.of(), List.of("spring"), List.of(), List.of()))));
        for (VehicleKind kind : List.of(VehicleKind.CAR, VehicleKind.MOTORCYCLE)) {
            Wanted wanted = new Wanted(kind, WANTED.architecture(), WANTED.supplied(), Set.of());
            Card card = Card.of(book, wanted);
            Bill bill =
                    Bill.of(new Bill.Job(card, wanted, CardState.of(card, wanted, List.of()), List.of()), List.of());
            assertEquals(kind.singleTrack() ? 1 : 2, line(bill, "spring@front").count());
        }
    }

    /** What the plan asks for beside its kit, with its reason; of a part that the kit brings nothing. */
    @Test
    void the_plan_asks_for_more() {
        Finding stops = new KitFinding.OnStops(
                End.FRONT, Length.ofMm(4), new KitFinding.Trim(1, Length.ofMm(20)), Length.ofMm(12));
        Finding loose = new KitFinding.MayBeLoose(End.REAR, Length.ofMm(5), Length.ofMm(6));
        Bill bill = bill(List.of(stops, loose, new KitFinding.TravelUnknown(End.REAR)), List.of());
        assertEquals(Optional.of(stops), line(bill, "extra:stop@front").reason());
        assertEquals(2, line(bill, "extra:damper@rear").count());
        assertEquals(
                2,
                bill.lines().stream().filter(l -> l.why() == BillLine.Why.EXTRA).count());
    }

    @Test
    void asked_arrived_fitted() {
        LocalDate friday = TODAY.plusDays(3);
        Bill awaited = bill(List.of(), List.of(), new PartEvent.Asked("spring@front", Optional.of(friday)));
        assertEquals(Optional.of(friday), line(awaited, "spring@front").due());
        assertEquals(1, awaited.awaited().size());
        assertEquals(List.of(), awaited.late(friday));
        assertEquals(1, awaited.late(friday.plusDays(1)).size());
        assertEquals(1, awaited.findings(true, List.of(), 0).size());
        assertEquals(List.of(), awaited.findings(false, List.of(), 0));
        Bill here = bill(
                List.of(),
                List.of(),
                new PartEvent.Asked("spring@front", Optional.of(friday)),
                new PartEvent.Arrived("spring@front"));
        assertEquals(BillLine.Status.HERE, line(here, "spring@front").status());
        Bill fitted = bill(
                List.of(),
                List.of(
                        new CardEvent.Ticked("out@LF"),
                        new CardEvent.Ticked("out@RF"),
                        new CardEvent.Ticked("in@LF"),
                        new CardEvent.Ticked("in@RF")),
                new PartEvent.Asked("spring@front", Optional.of(friday)));
        assertEquals(BillLine.Status.FITTED, line(fitted, "spring@front").status());
        assertEquals(BillLine.Status.FITTED, line(fitted, "once:nut@front").status());
        assertEquals(List.of(), fitted.late(friday.plusDays(1)), "what is fitted is not awaited");
        Bill half = bill(List.of(), List.of(new CardEvent.Ticked("out@LF"), new CardEvent.Ticked("in@LF")));
        assertTrue(line(half, "spring@front").missing(), "one of two");
    }

    /** 2 pieces of 64.50 with 12 of freight come to 141 in the shop; its number stays when it is awaited, here or fitted. */
    @Test
    void a_line_keeps_its_number_and_what_it_costs() {
        BillLine.Facts facts = new BillLine.Facts(
                "2219-40", Optional.of(new BigDecimal("64.50")), Optional.of(new BigDecimal("12.00")));
        Bill bill = bill(
                List.of(),
                List.of(),
                new PartEvent.Noted("spring@front", facts),
                new PartEvent.Asked("spring@front", Optional.empty()),
                new PartEvent.Arrived("spring@front"));
        assertEquals(facts, line(bill, "spring@front").facts());
        assertEquals(BillLine.Status.HERE, line(bill, "spring@front").status());
        assertEquals(Optional.of(new BigDecimal("141.00")), bill.landed());
        assertEquals(1, bill.priced());
        assertEquals(Optional.empty(), bill(List.of(), List.of()).landed(), "no price is no sum");
    }

    /** What differs has to be looked at until somebody says why it fits; a shelf below nothing is told. */
    @Test
    void the_verdict_hears_of_unlike_parts_and_of_the_shelf() {
        Bill bill = bill(List.of(), List.of());
        PartFigures twelve = OldNewTest.figures("bore 12.1");
        PartFigures fourteen = OldNewTest.figures("bore 14.1");
        OldNew open = new OldNew(End.FRONT, "damper", false, twelve, fourteen, "");
        OldNew said = new OldNew(End.FRONT, "damper", false, twelve, fourteen, "sleeves 14 to 12");
        OldNew alike = new OldNew(End.FRONT, "damper", false, twelve, twelve, "");
        PartFinding.Unlike bore = new PartFinding.Unlike("damper", false, List.of(OldNew.Feature.BORE));
        assertEquals(
                List.of(
                        new PartFinding.BelowShelf(2),
                        new PartFinding.NotAlike(End.FRONT, bore),
                        new PartFinding.UnlikeAndMeant(End.FRONT, bore)),
                bill.findings(false, List.of(open, alike, said), 2));
    }

    /** Whatever is said in whatever order, a line is at one place, and what nobody wants any more is not on the bill. */
    @Test
    void drawn_events_leave_each_line_somewhere() {
        Random random = new Random(22);
        List<String> keys = List.of("spring@front", "once:nut@front", "spring@rear", "own:1", "own:2");
        for (int n = 0; n < 500; n++) {
            PartEvent[] events = new PartEvent[random.nextInt(12)];
            for (int e = 0; e < events.length; e++) {
                String key = keys.get(random.nextInt(keys.size()));
                events[e] = switch (random.nextInt(5)) {
                    case 0 -> new PartEvent.Asked(key, Optional.of(TODAY.plusDays(random.nextInt(9) - 4)));
                    case 1 -> new PartEvent.Arrived(key);
                    case 2 -> new PartEvent.NotNeeded(key);
                    case 3 -> new PartEvent.Reopened(key);
                    default -> new PartEvent.Added("own:" + (1 + random.nextInt(2)), "hose", 1, random.nextBoolean());
                };
            }
            Bill bill = bill(List.of(), List.of(), events);
            assertTrue(bill.find("spring@rear").isEmpty(), "the plan brings none");
            assertEquals(
                    bill.lines().size(),
                    bill.lines().stream().map(BillLine::key).distinct().count());
            bill.lines()
                    .forEach(l -> assertEquals(
                            l.status() == BillLine.Status.AWAITED, l.due().isPresent()));
            assertTrue(bill.missing().containsAll(bill.awaited()));
        }
    }
}
