package abbex.core.stance;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.Checks;
import java.util.Arrays;
import java.util.Random;
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

    /** Statics: whatever else body and hubs might do, it would take energy (principle of least potential energy). */
    @Test
    void energy_never_falls_below_the_equilibriums() {
        Random random = new Random(17);
        for (int n = 0; n < 400; n++) {
            Drawn car = new Drawn(random, n % 2 == 0 ? 4e7 + 4e8 * random.nextDouble() : Double.POSITIVE_INFINITY);
            double[] perch = random.doubles(4, -20, 20).toArray();
            double[] floor = random.doubles(4, -8, 8).toArray();
            Stance.Response rest = car.stance.move(perch, floor);
            double[] body = new double[4];
            double[] hubs = new double[4];
            Arrays.setAll(body, c -> rest.ground()[c] + floor[c]);
            Arrays.setAll(hubs, c -> body[c] - rest.hub()[c]);
            double least = car.energy(body, hubs, perch, floor);
            for (int k = 0; k < 60; k++) {
                double size = Math.pow(10, -3 + 4 * random.nextDouble());
                double[] pose = random.doubles(4, -size, size).toArray();
                double[] other = new double[4];
                double[] moved = new double[4];
                Arrays.setAll(other, c -> body[c] + car.rise(pose, c));
                Arrays.setAll(moved, c -> hubs[c] + size * (2 * random.nextDouble() - 1));
                assertTrue(car.energy(other, moved, perch, floor) >= least - 1e-6 * (1 + least), n + ", " + size);
            }
        }
    }

    /** A car whose energy is summed part by part, apart from how the application solves it. */
    private static final class Drawn {
        final double[] x = {1300, 1300, -1300, -1300};
        final double[] y = {760, -760, -760, 760};
        final double[] springs;
        final double[] tyres;
        final double front;
        final double rear;
        final double twist;
        final Stance stance;

        Drawn(Random random, double twist) {
            springs = random.doubles(4, 15, 60).toArray();
            tyres = random.doubles(4, 150, 300).toArray();
            front = 30 * random.nextDouble();
            rear = 20 * random.nextDouble();
            this.twist = twist;
            stance = new Stance(x, y, springs, tyres, front, rear, twist);
        }

        /** Heave, pitch and roll in mm at the wheels, and half of the twist either way where it has one. */
        double rise(double[] pose, int c) {
            double warp = Double.isInfinite(twist) ? 0 : (c < 2 ? 1 : -1) * Math.signum(y[c]) * pose[3];
            return pose[0] + pose[1] * Math.signum(x[c]) + pose[2] * Math.signum(y[c]) + warp;
        }

        double energy(double[] body, double[] hubs, double[] perch, double[] floor) {
            double sum = 0;
            double[] stroke = new double[4];
            double warp = 0;
            for (int c = 0; c < 4; c++) {
                stroke[c] = body[c] - hubs[c];
                sum += springs[c] * Math.pow(stroke[c] - perch[c], 2) / 2;
                sum += tyres[c] * Math.pow(hubs[c] - floor[c], 2) / 2;
                warp += (c < 2 ? 1 : -1) * Math.signum(y[c]) * body[c] / 4;
            }
            sum += front * Math.pow(stroke[0] - stroke[1], 2) / 2;
            sum += rear * Math.pow(stroke[2] - stroke[3], 2) / 2;
            // Half of the twist either way: at the wheels it is half a track times half of it.
            double angle = 2 * warp / y[0];
            return Double.isInfinite(twist) ? sum : sum + twist * angle * angle / 2;
        }
    }
}
