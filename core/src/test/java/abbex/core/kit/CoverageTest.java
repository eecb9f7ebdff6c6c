package abbex.core.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.figure.Shape;
import abbex.core.kit.DrawnKit.Told3;
import java.util.Arrays;
import java.util.Random;
import java.util.function.DoubleSupplier;
import org.junit.jupiter.api.Test;

/**
 * Plans of two thousand vehicles against what became of them. Each vehicle is drawn from the widths of the handbook times a
 * factor of its own from 0.7 to 1.4, so that no width is what the plan takes it for.
 */
class CoverageTest {
    private static final int VEHICLES = 2000;

    private static final double INCH = 25.4;

    /** Rim to lip, found to 1/64 in and read to a sixteenth (common practice). */
    private static final double TAPE = Math.hypot(INCH / 64, INCH / 16 / Math.sqrt(12));

    private record Found(double setDown, double settled, double half, double settledHalf) {}

    private static Found found(Told3 told, long seed) {
        Random random = new Random(seed);
        int down = 0;
        int later = 0;
        double[] half = new double[VEHICLES];
        double[] settledHalf = new double[VEHICLES];
        for (int i = 0; i < VEHICLES; ) {
            DrawnKit kit = DrawnKit.draw(random, told, random.nextInt(5) == 0, 15 + 30 * random.nextDouble());
            double wide = 0.7 + 0.7 * random.nextDouble();
            double drop = told == Told3.BOX ? kit.box(random, wide) : kit.down(random, wide);
            if (Double.isNaN(drop)) {
                continue;
            }
            double settled = drop + INCH * 3 / 16 + wide * INCH / 32 * random.nextGaussian();
            double height = 360;
            double read = height + wide * TAPE * random.nextGaussian();
            EndPlan plan =
                    EndPlan.of(kit.now(), kit.kit(), EndPlan.USUAL_SETTLING).orElseThrow();
            Interval set = plan.setDown().from(read, 2 * TAPE);
            Interval then = plan.settled().from(read, 2 * TAPE);
            down += set.holds(height - drop) ? 1 : 0;
            later += then.holds(height - settled) ? 1 : 0;
            half[i] = set.half() / INCH;
            settledHalf[i] = then.half() / INCH;
            i++;
        }
        Arrays.sort(half);
        Arrays.sort(settledHalf);
        return new Found(
                (double) down / VEHICLES, (double) later / VEHICLES, half[VEHICLES / 2], settledHalf[VEHICLES / 2]);
    }

    private static void hold(Found found, double half, double settledHalf) {
        assertEquals(0.95, found.setDown(), 0.02, found::toString);
        assertEquals(0.95, found.settled(), 0.02, found::toString);
        assertTrue(found.half() <= half && found.settledHalf() <= settledHalf, found::toString);
    }

    @Test
    void one_number_on_the_box() {
        hold(found(Told3.BOX, 51), 5 / 16.0, 6 / 16.0);
    }

    @Test
    void printed_rates_and_lengths_of_both_springs() {
        hold(found(Told3.PRINTED, 52), 9 / 16.0, 10 / 16.0);
    }

    @Test
    void both_springs_measured_on_the_bench_and_the_load_by_scale() {
        hold(found(Told3.BENCH, 53), 3 / 16.0, 4 / 16.0);
    }

    /** Every draw of another shape: uniform, lognormal, heavy tails, each by itself. */
    private static final class AnyShape extends Random {
        private final Random within;

        AnyShape(long seed) {
            super(seed);
            within = new Random(seed + 1);
        }

        @Override
        public synchronized double nextGaussian() {
            return Shape.any(within);
        }
    }

    /** How many of a thousand stand set down, and settled, within what was planned. */
    private static int[] held(Told3 told, Random random, DoubleSupplier wide) {
        int[] held = new int[2];
        for (int i = 0; i < 1000; ) {
            DrawnKit kit = DrawnKit.draw(random, told, random.nextInt(5) == 0, 10 + 30 * random.nextDouble());
            double of = wide.getAsDouble();
            double drop = told == Told3.BOX ? kit.box(random, of) : kit.down(random, of);
            if (Double.isNaN(drop)) {
                continue;
            }
            EndPlan plan =
                    EndPlan.of(kit.now(), kit.kit(), EndPlan.USUAL_SETTLING).orElseThrow();
            held[0] += plan.setDown().holds(drop) ? 1 : 0;
            held[1] += plan.settled().holds(drop + INCH * 3 / 16 + of * INCH / 32 * random.nextGaussian()) ? 1 : 0;
            i++;
        }
        return held;
    }

    /** Widths as the plan takes them, known to a sixth; and all of them 1.3 times as wide, of whatever shape. */
    @Test
    void as_believed_and_wider_than_that_and_of_another_shape() {
        StringBuilder seen = new StringBuilder();
        for (Told3 told : Told3.values()) {
            Random sixth = new Random(3891);
            int[] believed = held(told, new Random(3890), () -> Math.max(0.3, 1 + sixth.nextGaussian() / 6));
            int[] wider = held(told, new AnyShape(3892), () -> 1.3);
            seen.append(told + " " + Arrays.toString(believed) + ", 1.3: " + Arrays.toString(wider) + "; ");
            for (int i = 0; i < 2; i++) {
                assertTrue(believed[i] >= 930 && believed[i] <= 970, seen::toString);
                assertTrue(wider[i] >= 850, seen::toString);
            }
        }
        System.out.println("plans held of 1,000: " + seen);
    }
}
