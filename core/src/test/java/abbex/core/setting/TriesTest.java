package abbex.core.setting;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What the tries of a car say of it. */
class TriesTest {
    private static final double SIXTEENTH = 25.4 / 16;
    /** Of a reading that is rounded to a sixteenth, mm (rectangular: JCGM 100:2008, 4.3.7). */
    private static final double TAPE = SIXTEENTH / Math.sqrt(12);

    private static final double SCATTER = 0.5;

    private static Car believed() {
        return new Car(
                new double[] {1300, 1300, -1300, -1300},
                new double[] {750, -750, -750, 750},
                new double[] {32, 32, 28, 28},
                220,
                0,
                0,
                Double.POSITIVE_INFINITY,
                Car.Widths.USUAL);
    }

    private static double[] off(Random random, Car car, double times) {
        double[] off = new double[Car.BELIEFS];
        double[] widths = car.deviations();
        Arrays.setAll(off, k -> times * widths[k] * random.nextGaussian());
        return off;
    }

    private static double[] plus(double[] a, double[][] does, double[] moves) {
        double[] sum = a.clone();
        for (int c = 0; c < 4; c++) {
            for (int i = 0; i < 4; i++) {
                sum[c] += does[c][i] * moves[i];
            }
        }
        return sum;
    }

    private static double[] read(Random random, double[] truth, double tape, double scatter) {
        double[] read = new double[4];
        Arrays.setAll(read, c -> {
            double stands = truth[c] + scatter * random.nextGaussian();
            return tape == 0 ? stands : Math.rint(stands / tape) * tape;
        });
        return read;
    }

    @Test
    void nothing_is_known_before_the_first_reading() {
        assertThrows(IllegalStateException.class, () -> new Tries(believed(), Car.Read.HUB, TAPE, SCATTER).known());
    }

    /** Without noise the adjusters' own gains come out, whatever was believed. */
    @Test
    void exact_tries_tell_what_each_adjuster_does() {
        Random random = new Random(11);
        Car car = believed();
        double[] off = off(random, car, 1);
        double[][] truth = car.response(off, Car.Read.HUB).heights();
        Tries tries = new Tries(car, Car.Read.HUB, 1e-4, 0);
        double[] start = {350, 352, 361, 359};
        tries.add(new double[4], start);
        for (int i = 0; i < 4; i++) {
            double[] moved = new double[4];
            moved[i] = 10;
            tries.add(moved, plus(start, truth, moved));
        }
        Tries.Known known = tries.known();
        for (int c = 0; c < 4; c++) {
            assertArrayEquals(truth[c], known.heights()[c], 1e-3);
        }
    }

    /** What is foreseen of the next reading holds as often as it says, also where the truth is half as wide again. */
    @Test
    void what_is_foreseen_holds_as_often_as_it_says() {
        for (double times : new double[] {1, 1.5}) {
            Random random = new Random(12);
            int within = 0;
            int all = 0;
            Car car = believed();
            for (int n = 0; n < 400; n++) {
                double[][] truth =
                        car.response(off(random, car, times), Car.Read.HUB).heights();
                double[] start = random.doubles(4, 340, 360).toArray();
                Tries tries = new Tries(car, Car.Read.HUB, TAPE, SCATTER);
                tries.add(new double[4], read(random, start, SIXTEENTH, SCATTER));
                double[] first = random.doubles(4, -15, 15).toArray();
                tries.add(first, read(random, plus(start, truth, first), SIXTEENTH, SCATTER));
                double[] next = random.doubles(4, -15, 15).toArray();
                Tries.Known known = tries.known();
                double[] foreseen = plus(known.now(), known.heights(), next);
                double[] both = new double[4];
                Arrays.setAll(both, i -> first[i] + next[i]);
                double[] then = read(random, plus(start, truth, both), 0, SCATTER);
                for (int c = 0; c < 4; c++) {
                    within += Math.abs(then[c] - foreseen[c]) <= 1.96 * known.after(c, next) ? 1 : 0;
                    all++;
                }
            }
            double share = (double) within / all;
            assertTrue(share > (times == 1 ? 0.93 : 0.86), times + ": " + share);
            assertTrue(share < 0.985, times + ": " + share);
        }
    }

    /** A small part of what bench measures in full: with learning the second try comes nearer than without. */
    @Test
    void the_second_try_lands_and_learning_helps() {
        Random random = new Random(13);
        List<Double> learned = new ArrayList<>();
        List<Double> plain = new ArrayList<>();
        Adjuster thread = Adjuster.thread(Length.ofMm(2), 4, 80, 80, 1);
        Car car = believed();
        for (int n = 0; n < 150; n++) {
            double[][] truth = car.response(off(random, car, 1), Car.Read.HUB).heights();
            double[] start = random.doubles(4, 340, 360).toArray();
            Aim aim = Aim.equalGaps(325, 330);
            double best = worst(start, truth, aim, thread);
            for (boolean learns : new boolean[] {true, false}) {
                Random noise = new Random(n);
                double[] moved = new double[4];
                Tries tries = new Tries(car, Car.Read.HUB, TAPE, SCATTER);
                for (int attempt = 0; attempt < 2; attempt++) {
                    double[] seen = read(noise, plus(start, truth, moved), SIXTEENTH, SCATTER);
                    tries.add(moved, seen);
                    Tries.Known known = tries.known();
                    SettingSolver.Answer answer = SettingSolver.solve(new SettingSolver.Question(
                            learns ? known.now() : seen,
                            learns ? known.heights() : car.heights(Car.Read.HUB),
                            car.loads(),
                            List.of(thread, thread, thread, thread),
                            aim));
                    for (int i = 0; i < 4; i++) {
                        moved[i] += answer.chosen().get(i).move();
                    }
                }
                double[] left = plus(start, truth, moved);
                (learns ? learned : plain).add(worstOf(left) - best);
            }
        }
        double near = learned.stream().filter(w -> w <= 25.4 * 3 / 32).count() / (double) learned.size();
        assertTrue(near >= 0.9, near + " within 3/32 in of what can be reached");
        assertTrue(mean(learned) <= mean(plain), mean(learned) + " learned, " + mean(plain) + " plain");
    }

    private static double worst(double[] start, double[][] truth, Aim aim, Adjuster each) {
        SettingSolver.Answer best = SettingSolver.solve(
                new SettingSolver.Question(start, truth, believed().loads(), List.of(each, each, each, each), aim));
        return worstOf(best.after());
    }

    private static double worstOf(double[] heights) {
        double[] wanted = {325, 325, 330, 330};
        double worst = 0;
        for (int c = 0; c < 4; c++) {
            worst = Math.max(worst, Math.abs(heights[c] - wanted[c]));
        }
        return worst;
    }

    private static double mean(List<Double> all) {
        return all.stream().mapToDouble(d -> d).average().orElseThrow();
    }

    @Test
    void a_width_that_is_none_is_refused() {
        assertThrows(IllegalArgumentException.class, () -> new Tries(believed(), Car.Read.HUB, 0, 0.5));
        assertEquals(12, Car.BELIEFS);
    }
}
