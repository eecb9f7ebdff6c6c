package abbex.core.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.heights.Advertised;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * A printed drop against what rate and free length come to. By statics (F = load ÷ ratio): 3,500 N at a ratio of 1 press 22 N/mm
 * by 159.1 mm and 34 N/mm by 102.9, so that 360 and 275 mm long they differ by 28.85 mm at the wheel.
 */
class PrintedDropTest {
    private static final double DROP = (360 - 3500 / 22.0) - (275 - 3500 / 34.0);

    private static EndNow now(Told load, Optional<SpringFacts> old) {
        return new EndNow(
                load,
                Told.measured(1, 0.005),
                Told.measured(1, 0.005),
                Told.measured(30, 1),
                old,
                Optional.empty(),
                new DamperFacts(Told.measured(0, 0), Optional.empty(), Optional.empty()),
                Optional.empty(),
                Optional.empty());
    }

    private static SpringFacts spring(double rate, double free) {
        return Measured.spring(rate, free, Optional.of(60.0), true);
    }

    private static List<KitFinding> said(EndNow now, double printed) {
        Length box = Length.ofRoundedMm(printed);
        EndKit kit = EndKit.NOTHING.withSpring(spring(34, 275)).withBox(new Advertised.Range(box, box));
        return KitPlan.predict(
                        PerEnd.of(end -> now),
                        PerEnd.of(end -> end == End.FRONT ? kit : EndKit.NOTHING),
                        PerEnd.of(end -> EndPlan.USUAL_SETTLING))
                .findings()
                .stream()
                .filter(KitFinding::ofThePrinted)
                .toList();
    }

    @Test
    void springs_that_give_another_drop_are_said_as_surely_as_it_is_known() {
        EndNow weighed = now(Told.measured(3500, 10), Optional.of(spring(22, 360)));
        assertEquals(28.85, DROP, 0.005);
        assertEquals(List.of(), said(weighed, DROP + 5));
        KitFinding.NotAsBoxed not = (KitFinding.NotAsBoxed) said(weighed, 50).get(0);
        assertEquals(DROP, not.drop().mm(), 0.5);
        EndNow typical = now(Told.typical(3500, 500), Optional.of(spring(22, 360)));
        KitFinding.PerhapsNotAsBoxed perhaps =
                (KitFinding.PerhapsNotAsBoxed) said(typical, 40).get(0);
        assertTrue(perhaps.half().mm() > 10, perhaps::toString);
        assertEquals(List.of(), said(typical, DROP + 5));
    }

    @Test
    void what_nothing_is_held_against_is_said_to_be_unproven() {
        assertEquals(
                List.of(new KitFinding.BoxUnproven(End.FRONT, Length.ofMm(50))),
                said(now(Told.measured(3500, 10), Optional.empty()), 50));
    }

    /** More told is never less known: both together are no wider than the narrower by more than a tenth, wherever they agree. */
    @Test
    void printed_drop_and_figures_count_together() {
        for (double load : new double[] {10, 100, 300, 500, 900}) {
            for (double off : new double[] {-4, 0, 6}) {
                EndNow now = now(Told.typical(3500, load), Optional.of(spring(22, 360)));
                Length box = Length.ofRoundedMm(DROP + off);
                EndKit springs = EndKit.NOTHING.withSpring(spring(34, 275));
                Told none = Told.measured(0, 0);
                double byFigures = half(now, springs, none);
                double byBox = half(
                        now(Told.typical(3500, load), Optional.empty()),
                        EndKit.NOTHING.withBox(new Advertised.Range(box, box)),
                        none);
                EndKit both = springs.withBox(new Advertised.Range(box, box));
                double together = half(now, both, none);
                assertTrue(
                        together <= 1.1 * Math.min(byFigures, byBox),
                        load + ", " + off + ": " + together + " of " + byFigures + " and " + byBox);
                double is = EndPlan.of(now, both, none).orElseThrow().setDown().value();
                assertTrue(is >= Math.min(DROP, DROP + off) - 1.5 && is <= Math.max(DROP, DROP + off) + 1.5, "" + is);
            }
        }
        // Box alone ± 6.5, springs of a load that nobody weighed ± 19: about ± 6 together.
        EndNow guessed = now(Told.typical(3500, 500), Optional.of(spring(22, 360)));
        Length box = Length.ofRoundedMm(DROP);
        assertEquals(
                6.3,
                half(
                        guessed,
                        EndKit.NOTHING.withSpring(spring(34, 275)).withBox(new Advertised.Range(box, box)),
                        Told.measured(0, 0)),
                0.6);
    }

    private static double half(EndNow now, EndKit kit, Told settling) {
        return EndPlan.of(now, kit, settling).orElseThrow().setDown().half();
    }

    /** What is printed on parts without springs is of them all together, once, and nothing of it settles. */
    @Test
    void a_number_of_all_parts_counts_once() {
        Length two = Length.ofInches(2, 0, 1);
        EndKit printed = EndKit.NOTHING.withBox(new Advertised.Range(two, two)).withBoxOf(EndKit.BoxOf.PARTS);
        EndNow now = now(Told.measured(3500, 10), Optional.empty());
        Told none = Told.measured(0, 0);
        EndPlan alone = EndPlan.of(now, printed, none).orElseThrow();
        assertEquals(50.8, alone.setDown().value(), 1e-9);
        EndPlan both = EndPlan.of(
                        now, printed.withParts(List.of(new Part.AtWheel(two, Part.AtWheel.Kind.SPINDLE))), none)
                .orElseThrow();
        assertEquals(50.8, both.setDown().value(), 1e-9);
        assertEquals(50.8, both.settled().value(), 1e-9);
    }

    /** checks by hand: 20 mm up a fork at 25° from upright is 20 · cos 25° = 18.126 mm; 2.5° of doubt are 0.37 mm. */
    @Test
    void tubes_up_in_their_clamps() {
        ForkTubes tubes = new ForkTubes(Length.ofMm(20), Told.typical(25, 2.5));
        assertEquals(18.126, tubes.move(), 0.001);
        assertEquals(Math.hypot(0.7 * Math.cos(Math.toRadians(25)), 0.3688), tubes.standard(), 0.001);
        EndPlan plan = EndPlan.of(
                        now(Told.measured(1200, 10), Optional.empty()),
                        EndKit.NOTHING.withParts(List.of(tubes)),
                        EndPlan.USUAL_SETTLING)
                .orElseThrow();
        assertEquals(18.126, plan.setDown().value(), 0.001);
        assertEquals(18.126, plan.settled().value(), 0.001);
    }

    /** Pocket of 4 in at a ratio of 0.65 on 4 in printed: both counted come to 10 5/32; of the whole kit 4 is 4. */
    @Test
    void parts_are_in_the_printed_number_where_somebody_says_so() {
        Length four = Length.ofNm(101_600_000);
        EndNow now = new EndNow(
                Told.measured(3500, 10),
                Told.measured(0.65, 0.005),
                Told.measured(0.65, 0.005),
                Told.measured(30, 1),
                Optional.empty(),
                Optional.empty(),
                new DamperFacts(Told.measured(0, 0), Optional.empty(), Optional.empty()),
                Optional.empty(),
                Optional.empty(),
                Told.measured(0, 0));
        EndKit kit = EndKit.NOTHING.withBox(new Advertised.Range(four, four)).withParts(List.of(new Part.Pocket(four)));
        KitPlan onTop = plan(now, kit);
        assertEquals(
                101.6 + 101.6 / 0.65,
                onTop.ends().front().orElseThrow().setDown().value(),
                0.01);
        KitFinding.BoxAndParts asked = onTop.findings().stream()
                .filter(KitFinding.BoxAndParts.class::isInstance)
                .map(KitFinding.BoxAndParts.class::cast)
                .findFirst()
                .orElseThrow();
        assertEquals(101.6 / 0.65, asked.parts().mm(), 0.01);
        KitPlan whole = plan(now, kit.withBoxOf(EndKit.BoxOf.SPRINGS_AND_PARTS));
        EndPlan front = whole.ends().front().orElseThrow();
        assertEquals(101.6, front.setDown().value(), 0.01);
        assertEquals(
                101.6, front.lines().stream().mapToDouble(EndPlan.Line::drop).sum(), 0.01);
        assertEquals(2 * Box.STANDARD, front.setDown().half(), 0.6);
        assertTrue(whole.findings().stream().noneMatch(KitFinding.BoxAndParts.class::isInstance));
    }

    private static KitPlan plan(EndNow now, EndKit kit) {
        return KitPlan.predict(
                PerEnd.of(end -> now),
                PerEnd.of(end -> end == End.FRONT ? kit : EndKit.NOTHING),
                PerEnd.of(end -> Told.measured(0, 0)));
    }
}
