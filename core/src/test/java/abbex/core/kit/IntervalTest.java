package abbex.core.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.kit.DrawnKit.Told3;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The interval of a plan against draws of all that it does not know, each solved as a corner of its own. */
class IntervalTest {
    private static final int DRAWS = Integer.getInteger("abbex.draws", 20_000);

    private static double at(double[] sorted, double part) {
        double at = part * (sorted.length - 1);
        int i = (int) at;
        return sorted[i] + (at - i) * (sorted[i + 1] - sorted[i]);
    }

    /** As wide as the plan takes its widths. So many that chance in the draws does not hide what is wrong: 1 or 2 % here; {@code -Dabbex.draws=100000} halves it. */
    @Test
    void half_widths_are_those_of_the_draws_on_the_stop_and_off_it() {
        Random random = new Random(1501);
        double worst = 0;
        int onStop = 0;
        for (int i = 0; i < 60; i++) {
            double room = new double[] {40, 8, 0, -8, -15}[i % 5];
            DrawnKit drawn = DrawnKit.draw(random, i % 2 == 0 ? Told3.PRINTED : Told3.BENCH, i % 3 == 0, room);
            if (drawn.now().rod().isEmpty()) {
                continue;
            }
            EndPlan plan =
                    EndPlan.of(drawn.now(), drawn.kit(), EndPlan.USUAL_SETTLING).orElseThrow();
            double[] sample = drawn.sample(random, DRAWS, () -> Spread.WIDER);
            double half = (at(sample, 0.975) - at(sample, 0.025)) / 2;
            worst = Math.max(worst, Math.abs(plan.setDown().half() / half - 1));
            onStop += plan.onStop() ? 1 : 0;
        }
        assertTrue(onStop > 10, onStop + " on the stop");
        assertEquals(0, worst, 0.05);
    }
}
