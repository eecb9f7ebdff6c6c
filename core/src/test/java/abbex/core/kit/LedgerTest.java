package abbex.core.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.Checks;
import abbex.core.heights.Advertised;
import abbex.core.kit.DrawnKit.Told3;
import abbex.core.springs.BumpStop;
import abbex.core.springs.SpringLaw.Point;
import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The ledger against rows of checks.csv by id, and the laws that any plan obeys. */
class LedgerTest {
    private static Length in(int whole, int over, int under) {
        return Length.ofInches(whole, over, under);
    }

    private static double[] expected(String id) {
        return Pattern.compile("-?\\d+(?:\\.\\d+)?")
                .matcher(Checks.row(id).expected())
                .results()
                .mapToDouble(m -> Double.parseDouble(m.group()))
                .toArray();
    }

    @Test
    void seat_1_a_seat_of_other_shape_is_an_interval() {
        assertTrue(Checks.row("seat-1").expected().contains("mean -1/32 in; interval -7/32 to +5/32 in"));
        Part.SeatShape seat = new Part.SeatShape(in(7, 13, 16), in(8, 1, 16), in(7, 21, 32), in(8, 9, 32));
        assertEquals(in(0, 1, 32).negate(), seat.mean());
        assertEquals(in(0, 7, 32).negate(), seat.least());
        assertEquals(in(0, 5, 32), seat.most());
        assertTrue(seat.untellable());
        assertEquals((5 + 7) * 25.4 / 32 / Math.sqrt(12), seat.standard(), 1e-9);
    }

    @Test
    void seat_2_out_of_square_across_the_seat() {
        assertTrue(Checks.row("seat-2").expected().startsWith("3/32 in"));
        Part.SeatShape seat = new Part.SeatShape(in(7, 5, 16), in(7, 5, 16), in(7, 5, 16), in(7, 13, 32));
        assertEquals(in(0, 3, 32), seat.across());
        assertEquals(Math.atan(3 / 32.0 / 6), seat.tilt(in(6, 0, 1)), 1e-12);
        assertFalse(seat.untellable());
    }

    @Test
    void perch_1_and_2_the_middle_of_a_makers_range() {
        assertTrue(Checks.row("perch-1").expected().contains("7 1/4"));
        assertEquals(in(7, 1, 4), new Advertised.Range(in(7, 0, 1), in(7, 1, 2)).mean());
        assertTrue(Checks.row("perch-2").expected().contains("10 5/8"));
        assertEquals(in(10, 5, 8), new Advertised.Range(in(10, 1, 4), in(11, 0, 1)).mean());
    }

    @Test
    void rod_1_and_2_a_lateral_rod_pulls_the_axle_over() {
        assertEquals(-expected("rod-1")[0], new LateralRod(900, 0, true).away(100), 0.001);
        // Its frame end lay 80 lower and comes down by 60 more.
        assertEquals(-expected("rod-2")[0], new LateralRod(900, -80, true).away(60), 0.001);
        assertEquals(expected("rod-2")[0], new LateralRod(900, 140, true).away(60), 0.001);
        LateralRod rod = new LateralRod(900, 30, true);
        assertEquals(Math.sqrt(900 * 900 - 30 * 30), Math.sqrt(Math.pow(900 + rod.longer(100), 2) - 70 * 70), 1e-9);
        assertFalse(new LateralRod(100, 0, true).reaches(120));
        assertThrows(IllegalArgumentException.class, () -> new LateralRod(100, -100, true));
    }

    private static EndNow now(double ratio, Optional<SpringFacts> spring) {
        Told load = Told.measured(3500, 35);
        return new EndNow(
                load,
                Told.measured(ratio, 0.01),
                Told.measured(ratio, 0.01),
                Told.measured(30, 1),
                spring,
                Optional.empty(),
                new DamperFacts(Told.measured(0, 0), Optional.empty(), Optional.empty()),
                Optional.empty(),
                Optional.empty());
    }

    /** Coaxial gas of 150 N on 30 N/mm at 0.6 lifts by 8.333 mm at the wheel; the handbook's plan adds up. */
    @Test
    void gas_1_and_plan_1() {
        double ratio = 0.6;
        EndNow now = new EndNow(
                Told.measured(3500, 0),
                Told.measured(ratio, 0),
                Told.measured(ratio, 0),
                Told.measured(30 * ratio * ratio, 0),
                Optional.empty(),
                Optional.empty(),
                new DamperFacts(Told.measured(0, 0), Optional.empty(), Optional.empty()),
                Optional.empty(),
                Optional.empty());
        EndKit gas =
                EndKit.NOTHING.withDamper(new DamperFacts(Told.measured(150, 0), Optional.empty(), Optional.empty()));
        EndPlan lifted = EndPlan.of(now, gas, EndPlan.USUAL_SETTLING).orElseThrow();
        assertEquals(-expected("gas-1")[0], lifted.setDown().value(), 0.001);

        // 3 mm by gas: 3 × 10.8 N/mm over a ratio of 0.6 is 54 N.
        EndKit kit = EndKit.NOTHING
                .withBox(new Advertised.Range(Length.ofMm(30), Length.ofMm(30)))
                .withDamper(new DamperFacts(Told.measured(54, 0), Optional.empty(), Optional.empty()));
        EndPlan plan = EndPlan.of(now, kit, Told.typical(4, 1)).orElseThrow();
        assertEquals(
                List.of(Row.BOX, Row.GAS),
                plan.lines().stream().map(EndPlan.Line::row).toList());
        assertEquals(-3, plan.lines().get(1).drop(), 1e-9);
        assertEquals(expected("plan-1")[0], 673 - plan.settled().value(), 1e-9);
        assertEquals(646, 673 - plan.setDown().value(), 1e-9);
    }

    @Test
    void every_part_at_its_own_ratio() {
        EndNow now = now(0.6, Optional.empty());
        List<Part> parts = List.of(
                new Part.Perch(Length.ofMm(10)),
                new Part.Turns(4, Length.ofRoundedMm(1.5), false),
                new Part.Turns(2, Length.ofMm(2), true),
                new Part.Stack(Length.ofMm(15), Length.ofMm(5)),
                new Part.Isolator(Length.ofMm(8), Length.ofMm(5)),
                new Part.Pocket(Length.ofMm(12)),
                new Part.AtWheel(Length.ofMm(50), Part.AtWheel.Kind.SPINDLE));
        EndPlan plan = EndPlan.of(now, EndKit.NOTHING.withParts(parts), EndPlan.USUAL_SETTLING)
                .orElseThrow();
        assertEquals((10 + 6 + 4 + 10 + 3 + 12) / 0.6 + 50, plan.setDown().value(), 1e-9);
        // 10 mm of perch at 0.6 are 16.7 at the wheel (handbook, motion ratio).
        assertEquals(16.667, plan.lines().get(0).drop() + plan.lines().get(1).drop() - 10, 0.01);
        assertEquals(plan.setDown(), plan.settled(), "what moves no spring settles by nothing");
        List<Part> other = new ArrayList<>(parts);
        Collections.reverse(other);
        assertEquals(
                plan.lines(),
                EndPlan.of(now, EndKit.NOTHING.withParts(other), EndPlan.USUAL_SETTLING)
                        .orElseThrow()
                        .lines());
        assertThrows(IllegalArgumentException.class, () -> new Part.Turns(1, Length.ZERO, false));
        assertThrows(IllegalArgumentException.class, () -> now(0, Optional.empty()));
        assertThrows(IllegalArgumentException.class, () -> now(3, Optional.empty()));
    }

    /** The lines are what the whole amounts to, whatever is in contact. */
    @Test
    void the_ledger_adds_up() {
        Random random = new Random(1502);
        for (int i = 0; i < 2000; i++) {
            DrawnKit drawn = DrawnKit.draw(random, Told3.values()[i % 3], i % 2 == 0, 40 * random.nextDouble() - 15);
            EndKit kit = drawn.kit().withParts(List.of(new Part.Perch(Length.ofMm(random.nextInt(20) - 10))));
            EndPlan plan = EndPlan.of(drawn.now(), kit, EndPlan.USUAL_SETTLING).orElseThrow();
            double sum = plan.lines().stream().mapToDouble(EndPlan.Line::drop).sum();
            assertEquals(plan.setDown().value(), sum, 1e-6);
            assertTrue(
                    plan.setDown().low() <= plan.setDown().value() + 1e-6
                            && plan.setDown().value() <= plan.setDown().high() + 1e-6,
                    plan::toString);
        }
    }

    /** More gas, a stiffer stop, a longer spring never lower; a spring for the same place never raises where it is softer. */
    @Test
    void what_pushes_more_never_lowers() {
        Random random = new Random(1503);
        for (int i = 0; i < 1000; i++) {
            DrawnKit drawn = DrawnKit.draw(random, Told3.PRINTED, true, 30 * random.nextDouble() - 20);
            if (drawn.now().rod().isEmpty()) {
                continue;
            }
            double rest = rest(drawn.now(), drawn.kit());
            DamperFacts damper = drawn.kit().damper().orElseThrow();
            assertTrue(rest(
                            drawn.now(),
                            drawn.kit()
                                    .withDamper(new DamperFacts(
                                            Told.typical(damper.gas().value() + 100, 50),
                                            Optional.empty(),
                                            Optional.empty())))
                    <= rest + 1e-6);
            BumpStop stop = drawn.now().stop().orElseThrow().stop();
            BumpStop stiffer = new BumpStop(
                    new abbex.core.springs.SpringLaw.Measured(DrawnKit.RING.stream()
                            .map(p -> new Point(p.deflection(), p.value() * 2))
                            .toList()),
                    stop.rings(),
                    stop.ringHeight());
            assertTrue(rest(drawn.now(), drawn.kit().withStop(StopFacts.typical(stiffer))) <= rest + 1e-6
                    || drawn.now().rod().get().value() < stop.height());
        }
    }

    private static double rest(EndNow now, EndKit kit) {
        return EndPlan.of(now, kit, EndPlan.USUAL_SETTLING)
                .orElseThrow()
                .setDown()
                .value();
    }

    @Test
    void the_stack_that_is_nearest_is_that_of_trying_all() {
        Random random = new Random(1504);
        for (int draw = 0; draw < 10_000; draw++) {
            List<Stacks.Size> sizes = new ArrayList<>();
            for (int i = 0; i < 1 + random.nextInt(4); i++) {
                Length thickness = random.nextBoolean()
                        ? Length.ofInches(0, 1 + random.nextInt(8), 16)
                        : Length.ofMm(1 + random.nextInt(12));
                sizes.add(new Stacks.Size(thickness, random.nextInt(4)));
            }
            Length wish = Length.ofInches(0, 1, 32).times(random.nextInt(48));
            Stacks.Stack found = Stacks.nearest(sizes, wish);
            long[] best = {Long.MAX_VALUE, Long.MAX_VALUE};
            all(sizes, 0, 0, 0, wish.nm(), best);
            assertEquals(best[0], Math.abs(found.height().nm() - wish.nm()));
            assertEquals(best[1], found.pieces().size());
            assertEquals(
                    Optional.of(found.height()),
                    Stacks.exactly(sizes, found.height()).map(Stacks.Stack::height));
        }
        assertTrue(Stacks.exactly(List.of(new Stacks.Size(Length.ofMm(5), 2)), Length.ofMm(7))
                .isEmpty());
        assertThrows(IllegalArgumentException.class, () -> new Stacks.Size(Length.ZERO, 1));
    }

    private static void all(List<Stacks.Size> sizes, int i, long sum, long pieces, long wish, long[] best) {
        if (i == sizes.size()) {
            long off = Math.abs(sum - wish);
            if (off < best[0] || off == best[0] && pieces < best[1]) {
                best[0] = off;
                best[1] = pieces;
            }
            return;
        }
        for (int n = 0; n <= sizes.get(i).pieces(); n++) {
            all(sizes, i + 1, sum + n * sizes.get(i).thickness().nm(), pieces + n, wish, best);
        }
    }
}
