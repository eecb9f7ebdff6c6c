package abbex.core.springs;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.springs.CornerRest.End;
import abbex.core.springs.CornerRest.Rest;
import abbex.core.springs.CornerRest.State;
import abbex.core.springs.SpringLaw.Dual;
import abbex.core.springs.SpringLaw.Linear;
import abbex.core.springs.SpringLaw.Measured;
import abbex.core.springs.SpringLaw.Point;
import abbex.core.springs.SpringLaw.Progressive;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.junit.jupiter.api.Test;

/** Where a corner comes to rest: against a general library's solver, by laws, and at both ends of its travel. */
class CornerRestTest {
    static final Measured RING = new Measured(List.of(new Point(0, 0), new Point(6, 250), new Point(14, 3500)));

    /** A corner whose spring is 360 mm free and has 200 mm of room. */
    static CornerRest corner(double load, double ratio, SpringLaw law, double gas) {
        return new CornerRest(
                load, ratio, new Spring(law, 360), 200, new Damper(ratio, 90, 110, gas), Optional.empty());
    }

    private static SpringLaw law(Random random) {
        double rate = 15 + 50 * random.nextDouble();
        return switch (random.nextInt(4)) {
            case 0 -> new Linear(rate, 260);
            case 1 -> new Dual(rate, 30, rate * 3, 200);
            case 2 ->
                Progressive.of(List.of(new Point(0, rate), new Point(90, rate * 1.2), new Point(260, rate * 2.5)));
            default -> new Measured(List.of(new Point(0, 0), new Point(120, 120 * rate), new Point(260, 420 * rate)));
        };
    }

    /** A corner with all that may be in contact. */
    private static CornerRest drawn(Random random) {
        double ratio = 0.5 + 0.5 * random.nextDouble();
        BumpStop stop = new BumpStop(RING, 1 + random.nextInt(4), 16);
        return new CornerRest(
                1500 + 4500 * random.nextDouble(),
                ratio,
                new Spring(law(random), 300 + 120 * random.nextDouble()),
                180 + 80 * random.nextDouble(),
                new Damper(0.6 + 0.4 * random.nextDouble(), 90, 130, 400 * random.nextDouble()),
                random.nextBoolean()
                        ? Optional.of(new CornerRest.Stop(stop, 60 * random.nextDouble() - 10))
                        : Optional.empty());
    }

    /** What pushes at a travel, written down once more from the definition. */
    private static double push(CornerRest c, double travel) {
        double bent = c.spring().free() - c.space() + c.ratio() * travel;
        double spring = bent <= 0
                ? 0
                : c.spring().law().force(Math.min(bent, c.spring().law().solid()));
        double stop = c.stop()
                .map(s -> s.bump().force(c.damper().ratio() * travel - s.free()))
                .orElse(0.0);
        return c.ratio() * spring + c.damper().ratio() * (c.damper().gas() + stop);
    }

    @Test
    void against_the_bracketing_solver_of_a_general_library() {
        Random random = new Random(15);
        BracketingNthOrderBrentSolver solver = new BracketingNthOrderBrentSolver(1e-12, 1e-11, 1e-12, 5);
        int solved = 0;
        int onStop = 0;
        for (int draw = 0; draw < 10_000; draw++) {
            CornerRest c = drawn(random);
            double low = -c.damper().out() / c.damper().ratio();
            double high = Math.min(
                    (c.spring().law().solid() - c.spring().free() + c.space()) / c.ratio(),
                    c.damper().in() / c.damper().ratio());
            if (high <= low) {
                assertThrows(IllegalArgumentException.class, c::solve);
                continue;
            }
            Rest rest = c.solve();
            UnivariateFunction over = z -> push(c, z) - c.load();
            if (over.value(low) >= 0) {
                assertEquals(End.DAMPER_OUT, rest.end());
                assertEquals(low, rest.travel(), 1e-12);
            } else if (over.value(high) <= 0) {
                assertEquals(End.METAL, rest.end());
                assertEquals(high, rest.travel(), 1e-12);
            } else {
                solved++;
                onStop += rest.onStop() ? 1 : 0;
                assertEquals(solver.solve(500, over, low, high), rest.travel(), 1e-7, c::toString);
                assertEquals(c.load(), push(c, rest.travel()), 1e-6);
            }
        }
        assertTrue(solved > 5000 && onStop > 1000, solved + " solved, " + onStop + " on the stop");
    }

    @Test
    void a_stiffer_stop_and_more_gas_never_lower_the_corner_and_more_load_never_raises_it() {
        Random random = new Random(16);
        for (int draw = 0; draw < 3000; draw++) {
            CornerRest c = drawn(random);
            double rest;
            try {
                rest = c.solve().travel();
            } catch (IllegalArgumentException onMetalAtOnce) {
                continue;
            }
            CornerRest gassed = new CornerRest(
                    c.load(),
                    c.ratio(),
                    c.spring(),
                    c.space(),
                    new Damper(
                            c.damper().ratio(),
                            c.damper().out(),
                            c.damper().in(),
                            c.damper().gas() + 80),
                    c.stop());
            assertTrue(gassed.solve().travel() <= rest + 1e-8);
            CornerRest heavier = new CornerRest(c.load() + 200, c.ratio(), c.spring(), c.space(), c.damper(), c.stop());
            assertTrue(heavier.solve().travel() >= rest - 1e-8);
            c.stop().filter(s -> s.bump().rings() > 1).ifPresent(s -> {
                // Fewer rings at the same gap are stiffer.
                CornerRest stiffer = new CornerRest(
                        c.load(),
                        c.ratio(),
                        c.spring(),
                        c.space(),
                        c.damper(),
                        Optional.of(new CornerRest.Stop(s.bump().trimmed(1), s.free())));
                assertTrue(stiffer.solve().travel() <= rest + 1e-8);
            });
        }
    }

    @Test
    void the_spring_that_holds_a_height_does() {
        Random random = new Random(17);
        for (int draw = 0; draw < 1000; draw++) {
            double wish = -20 + 40 * random.nextDouble();
            double rate = 20 + 30 * random.nextDouble();
            CornerRest c = corner(2500 + 1500 * random.nextDouble(), 0.7, new Linear(25, 250), 120);
            double free = c.freeFor(rate, wish);
            CornerRest with = new CornerRest(
                    c.load(),
                    c.ratio(),
                    new Spring(new Linear(rate, free - 60), free),
                    c.space(),
                    c.damper(),
                    c.stop());
            assertEquals(wish, with.solve().travel(), 1e-6);
        }
    }

    @Test
    void loose_at_droop_solid_on_metal() {
        // A light corner on a short spring hangs on its damper, the spring loose between its seats.
        CornerRest hanging = new CornerRest(
                60, 1, new Spring(new Linear(30, 120), 210), 200, new Damper(1, 60, 80, 100), Optional.empty());
        Rest rest = hanging.solve();
        assertEquals(End.DAMPER_OUT, rest.end());
        assertEquals(State.LOOSE, rest.state());
        assertEquals(210, rest.length(), 1e-12);
        assertEquals(50, hanging.spring().slack(200 + 60), 1e-12);
        // A heavy one winds its spring solid.
        Rest solid = new CornerRest(
                        9000, 1, new Spring(new Linear(30, 120), 210), 200, new Damper(1, 60, 300, 0), Optional.empty())
                .solve();
        assertEquals(End.METAL, solid.end());
        assertEquals(State.SOLID, solid.state());
        assertEquals(90, solid.length(), 1e-9);
    }
}
