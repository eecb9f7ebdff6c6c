package abbex.core.stance;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.core.Checks;
import org.junit.jupiter.api.Test;

/** Statics of the body on springs and tyres against the rows of checks.csv; corners LF, RF, RR, LR. */
class StanceTest {
    private static double diagonal(double[] h) {
        return h[0] + h[2] - h[1] - h[3];
    }

    @Test
    void perch_3_a_perch_raised_at_one_corner() {
        String row = Checks.row("perch-3").toString();
        Stance.Response r = Stance.usual(2700, 1500).move(new double[] {10, 0, 0, 0}, new double[4]);
        assertArrayEquals(new double[] {7.5, 2.5, -2.5, 2.5}, r.ground(), 1e-6, row);
        assertArrayEquals(new double[] {7.8, 2.2, -2.2, 2.2}, r.hub(), 1e-6, row);
        assertArrayEquals(new double[] {66, -66, 66, -66}, r.load(), 1e-6, row);
        assertEquals(0, diagonal(r.ground()), 1e-6, row);
        assertEquals(1.2, diagonal(r.hub()), 1e-6, row);
    }

    @Test
    void floor_1_a_floor_that_is_not_level() {
        String row = Checks.row("floor-1").toString();
        Stance.Response r = Stance.usual(2700, 1500).move(new double[4], new double[] {10, 0, 0, 0});
        assertEquals(-10, diagonal(r.ground()), 1e-6, row);
        assertEquals(-8.8, diagonal(r.hub()), 1e-6, row);
    }

    @Test
    void warp_1_diagonal_moves_in_inverse_proportion_to_the_rates() {
        String row = Checks.row("warp-1").toString();
        double[] rigid = {1, 1, 1, 1};
        java.util.Arrays.fill(rigid, Double.POSITIVE_INFINITY);
        Stance car = new Stance(
                new double[] {1350, 1350, -1350, -1350},
                new double[] {750, -750, -750, 750},
                new double[] {40, 40, 20, 20},
                rigid,
                0,
                0);
        Stance.Response r = car.move(new double[] {2, -2, 4, -4}, new double[4]);
        assertArrayEquals(new double[4], r.ground(), 1e-9, row);
        assertArrayEquals(new double[] {80, -80, 80, -80}, r.load(), 1e-9, row);
    }

    @Test
    void drop_9_the_drop_at_a_frame_point() {
        assertEquals(
                28.519,
                Stance.dropAt(30, 20, 2700, 400),
                0.001,
                Checks.row("drop-9").toString());
    }

    /** Statics: a bar resists roll only; a floor that rises on one side is felt through it by the other (definition). */
    @Test
    void a_bar_does_nothing_when_both_sides_move_alike_and_stiffens_when_they_do_not() {
        double[] x = {1350, 1350, -1350, -1350};
        double[] y = {750, -750, -750, 750};
        double[] rates = {30, 30, 30, 30};
        double[] tyres = {220, 220, 220, 220};
        Stance bare = new Stance(x, y, rates, tyres, 0, 0);
        Stance barred = new Stance(x, y, rates, tyres, 25, 10);
        double[] both = {10, 10, 0, 0};
        assertArrayEquals(
                bare.move(both, new double[4]).ground(),
                barred.move(both, new double[4]).ground(),
                1e-9);
        double warped =
                Math.abs(barred.move(new double[4], new double[] {10, 0, 0, 0}).load()[0]);
        double free =
                Math.abs(bare.move(new double[4], new double[] {10, 0, 0, 0}).load()[0]);
        assertEquals(true, warped > free, warped + " N with bars, " + free + " N without");
    }
}
