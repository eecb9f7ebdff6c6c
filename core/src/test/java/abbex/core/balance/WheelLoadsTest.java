package abbex.core.balance;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.Checks;
import abbex.core.stance.Stance;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** How the load lies on the wheels. */
class WheelLoadsTest {
    private static final double RIGID = Double.POSITIVE_INFINITY;

    /** Row of checks.csv; definition. */
    @Test
    void percentages_are_those_of_the_handbook() {
        Checks.row("cross-1");
        WheelLoads scales = new WheelLoads(820, 800, 700, 640);
        assertEquals(48.65, scales.cross(), 0.01);
        assertEquals(45.27, scales.rear(), 0.01);
        assertEquals(49.32, scales.left(), 0.01);
    }

    /** Row of checks.csv; statics: ±2 in front and ±4 behind shift 80 N and hold all heights. */
    @Test
    void moves_in_inverse_proportion_to_the_rates_hold_the_heights() {
        Checks.row("warp-1");
        double[] springs = {40, 40, 20, 20};
        double[] tyres = {RIGID, RIGID, RIGID, RIGID};
        double[] moves = WheelLoads.moves(new double[] {80, -80, 80, -80}, springs, tyres);
        assertArrayEquals(new double[] {2, -2, 4, -4}, moves, 1e-9);
    }

    /** The statics that the moves were not made from: no height over the floor changes, and the loads are what was asked for. */
    @Test
    void the_stance_agrees_for_any_rates() {
        Random random = new Random(19);
        for (int n = 0; n < 500; n++) {
            double base = 2200 + 1000 * random.nextDouble();
            double front = 1300 + 400 * random.nextDouble();
            double rear = front;
            double[] springs = rates(random, 15, 80);
            double[] tyres = rates(random, 150, 350);
            WheelLoads scales = new WheelLoads(
                    3000 + 1000 * random.nextDouble(),
                    3000 + 1000 * random.nextDouble(),
                    2000 + 1000 * random.nextDouble(),
                    2000 + 1000 * random.nextDouble());
            double[] more = scales.shift(50);
            Stance stance = new Stance(
                    new double[] {base / 2, base / 2, -base / 2, -base / 2},
                    new double[] {front / 2, -front / 2, -rear / 2, rear / 2},
                    springs,
                    tyres,
                    0,
                    0);
            Stance.Response response = stance.move(WheelLoads.moves(more, springs, tyres), new double[4]);
            assertArrayEquals(new double[4], response.ground(), 1e-9);
            assertArrayEquals(more, response.load(), 1e-6);
            WheelLoads after = new WheelLoads(
                    scales.lf() + more[0], scales.rf() + more[1], scales.rr() + more[2], scales.lr() + more[3]);
            assertEquals(50, after.cross(), 1e-9);
            assertEquals(scales.left(), after.left(), 1e-9);
            assertEquals(scales.rear(), after.rear(), 1e-9);
        }
    }

    private static double[] rates(Random random, double least, double most) {
        return random.doubles(4, least, most).toArray();
    }

    @Test
    void a_wheel_in_the_air_is_refused() {
        assertThrows(IllegalArgumentException.class, () -> new WheelLoads(820, 0, 700, 640));
    }

    /** Some 180 lb in the seat, and a tank of fuel that is none (common practice). */
    @Test
    void a_person_more_is_told_from_fuel() {
        WheelLoads with = new WheelLoads(4000, 3900, 3400, 3500);
        assertTrue(with.byAPersonFrom(with.total() - 800));
        assertTrue(with.byAPersonFrom(with.total() + 800));
        assertFalse(with.byAPersonFrom(with.total() - 150));
        assertFalse(with.byAPersonFrom(with.total() - 3000));
    }
}
