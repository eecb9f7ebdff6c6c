package abbex.core.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.springs.Spring;
import abbex.core.springs.SpringLaw;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * A perch that is moved under a spring whose motion ratio changes as the wheel goes up. The truth is solved by halving, apart from
 * the program: load = MR(z) · k · (compression), MR(z) = MR + s · z.
 */
class MovedPerchTest {
    private static final double LOAD = 3500;
    private static final double RATE = 60;

    private static EndNow end(double ratio, Told slope) {
        double force = LOAD / ratio;
        Spring spring = new Spring(new SpringLaw.Linear(RATE, force / RATE + 120), 200 + force / RATE);
        return new EndNow(
                        Told.measured(LOAD, 1),
                        Told.measured(ratio, 0.001),
                        Told.measured(0.8, 0.01),
                        Typical.wheelRate(Told.measured(LOAD, 1)),
                        Optional.of(SpringFacts.measured(spring)),
                        Optional.empty(),
                        new DamperFacts(Told.measured(0, 0), Optional.empty(), Optional.empty()),
                        Optional.empty(),
                        Optional.empty())
                .withSlope(slope);
    }

    /** How far the wheel goes up when the seat is lowered by so much. */
    private static double truth(double ratio, double slope, double seat) {
        double low = -200;
        double high = 200;
        for (int i = 0; i < 80; i++) {
            double z = (low + high) / 2;
            double moved = ratio * z + slope * z * z / 2;
            double force = (ratio + slope * z) * (LOAD / ratio + RATE * (moved - seat));
            if (force < LOAD) {
                low = z;
            } else {
                high = z;
            }
        }
        return (low + high) / 2;
    }

    private static EndPlan plan(EndNow now, long seat) {
        return EndPlan.of(
                        now, EndKit.NOTHING.withParts(List.of(new Part.Perch(Length.ofMm(seat)))), Told.measured(0, 0))
                .orElseThrow();
    }

    @Test
    void a_ratio_that_grows_presses_the_wheel_back() {
        for (double slope : new double[] {-0.0006, -0.0002, 0.0002, 0.0006}) {
            double said = plan(end(0.65, Told.measured(slope, 0)), 10).setDown().value();
            assertEquals(truth(0.65, slope, 10), said, 0.35, "slope " + slope);
        }
        assertEquals(
                10 / 0.65, plan(end(0.65, Told.measured(0, 0)), 10).setDown().value(), 0.01);
    }

    /** 95 in 100 lie in the interval where slopes differ as widely as is counted on; a constant ratio held 69 of them. */
    @Test
    void the_interval_holds_ratios_that_change() {
        Random random = new Random(389);
        int held = 0;
        int without = 0;
        int jobs = 1000;
        for (int i = 0; i < jobs; i++) {
            double ratio = 0.55 + 0.25 * random.nextDouble();
            Told slope = Typical.ratioSlope(Architecture.DOUBLE_WISHBONE);
            double is = truth(ratio, slope.standard() * random.nextGaussian(), 15);
            double measured = ratio + 0.001 * random.nextGaussian();
            held += holds(plan(end(measured, slope), 15).setDown(), is) ? 1 : 0;
            without += holds(plan(end(measured, Told.measured(0, 0)), 15).setDown(), is) ? 1 : 0;
        }
        System.out.println("moved perch: " + held + " of " + jobs + " held, with a constant ratio " + without);
        assertTrue(held >= 0.93 * jobs && held <= 0.99 * jobs, held + " of " + jobs);
        assertTrue(without < 0.8 * jobs, "a constant ratio holds " + without);
    }

    private static boolean holds(Interval interval, double is) {
        return is >= interval.low() && is <= interval.high();
    }
}
