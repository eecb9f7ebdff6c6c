package abbex.core.setting;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.kit.Stacks;
import abbex.core.stance.Stance;
import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The exact best over what adjusters can do, against trying every combination. */
class SettingSolverTest {
    private static final Car CAR = car(new Random(1), Double.POSITIVE_INFINITY);

    private static Car car(Random random, double twist) {
        double base = 1200 + 400 * random.nextDouble();
        double side = 650 + 200 * random.nextDouble();
        double[] springs = random.doubles(4, 20, 60).toArray();
        return new Car(
                new double[] {base, base, -base, -base},
                new double[] {side, -side, -side, side},
                springs,
                180 + 100 * random.nextDouble(),
                random.nextBoolean() ? 0 : 20 * random.nextDouble(),
                random.nextBoolean() ? 0 : 20 * random.nextDouble(),
                twist,
                Car.Widths.USUAL);
    }

    private static Adjuster drawn(Random random) {
        return switch (random.nextInt(4)) {
            case 0 -> Adjuster.fixed();
            case 1 ->
                Adjuster.stack(
                        List.of(new Stacks.Size(Length.ofMm(3), 2), new Stacks.Size(Length.ofMm(5), 1)),
                        List.of(Length.ofMm(3)),
                        0.6 + 0.5 * random.nextDouble());
            default ->
                Adjuster.thread(
                        Length.ofMm(2), 4, random.nextInt(6), random.nextInt(6), 0.6 + 0.5 * random.nextDouble());
        };
    }

    private static SettingSolver.Question drawn(Random random, boolean loads) {
        Car car = car(random, random.nextInt(3) == 0 ? 2e9 : Double.POSITIVE_INFINITY);
        List<Adjuster> adjusters = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            adjusters.add(drawn(random));
        }
        double[] now = random.doubles(4, 340, 360).toArray();
        Aim aim = random.nextBoolean()
                ? Aim.equalGaps(340 + 20 * random.nextDouble(), 340 + 20 * random.nextDouble())
                : Aim.keptRake(now, 345);
        if (loads) {
            aim = aim.andLoads(random.doubles(4, -300, 300).toArray(), 0.02);
        }
        Car.Read read = random.nextBoolean() ? Car.Read.HUB : Car.Read.GROUND;
        return new SettingSolver.Question(now, car.heights(read), car.loads(), adjusters, aim);
    }

    private record Tried(double square, long changes, double minutes) {}

    /** Every combination, summed the plain way. */
    private static List<Tried> all(SettingSolver.Question q) {
        List<Tried> all = new ArrayList<>();
        for (Option a : q.adjusters().get(0).options()) {
            for (Option b : q.adjusters().get(1).options()) {
                for (Option c : q.adjusters().get(2).options()) {
                    for (Option d : q.adjusters().get(3).options()) {
                        all.add(tried(q, List.of(a, b, c, d)));
                    }
                }
            }
        }
        return all;
    }

    private static Tried tried(SettingSolver.Question q, List<Option> chosen) {
        double square = 0;
        for (Aim.Row row : q.aim().rows()) {
            double has = -row.wanted();
            for (int c = 0; c < 4; c++) {
                has += row.heights()[c] * q.now()[c];
                for (int i = 0; i < 4; i++) {
                    double move = chosen.get(i).move();
                    has += move * (row.heights()[c] * q.heights()[c][i] + row.loads()[c] * q.loads()[c][i]);
                }
            }
            square += row.weight() * row.weight() * has * has;
        }
        return new Tried(
                square,
                chosen.stream().filter(Option::changes).count(),
                chosen.stream().mapToDouble(Option::minutes).sum());
    }

    @Test
    void it_is_the_best_of_all_combinations_of_few_changes_and_little_work() {
        Random random = new Random(1905);
        for (int n = 0; n < 5000; n++) {
            SettingSolver.Question question = drawn(random, n % 3 == 0);
            SettingSolver.Answer answer = SettingSolver.solve(question);
            List<Tried> all = all(question);
            double least =
                    Math.sqrt(all.stream().mapToDouble(Tried::square).min().orElseThrow());
            double limit = (least + SettingSolver.ALIKE) * (least + SettingSolver.ALIKE);
            Tried found = tried(question, answer.chosen());
            assertTrue(found.square() <= limit + 1e-6, n + ": " + found + " of " + least);
            long fewest = all.stream()
                    .filter(t -> t.square() <= limit - 1e-6)
                    .mapToLong(Tried::changes)
                    .min()
                    .orElse(answer.changes());
            assertTrue(answer.changes() <= fewest, n + ": " + answer.changes() + " changes, " + fewest + " do");
            double work = all.stream()
                    .filter(t -> t.square() <= limit - 1e-6 && t.changes() == answer.changes())
                    .mapToDouble(Tried::minutes)
                    .min()
                    .orElse(answer.minutes());
            assertTrue(answer.minutes() <= work + 1e-9, n + ": " + answer.minutes() + " min, " + work + " do");
        }
    }

    @Test
    void what_is_missed_is_the_bodys_the_ranges_and_the_steps_share() {
        Random random = new Random(7);
        for (int n = 0; n < 500; n++) {
            SettingSolver.Question q = drawn(random, false);
            SettingSolver.Answer a = SettingSolver.solve(q);
            for (int r = 0; r < 4; r++) {
                assertEquals(a.misses()[r], a.body()[r] + a.range()[r] + a.steps()[r], 1e-9);
                double wanted = q.aim().rows().get(r).wanted();
                assertEquals(a.after()[r] - wanted, a.misses()[r], 1e-9);
            }
        }
    }

    /** A diagonal difference over the ground belongs to a stiff body: no adjuster reaches it, and it is split. */
    @Test
    void the_diagonal_belongs_to_the_body() {
        List<Adjuster> free = List.of(fine(), fine(), fine(), fine());
        double[] now = {352, 348, 352, 348};
        SettingSolver.Answer a = SettingSolver.solve(new SettingSolver.Question(
                now, CAR.heights(Car.Read.GROUND), CAR.loads(), free, Aim.equalGaps(350, 350)));
        assertArrayEquals(new double[] {2, -2, 2, -2}, a.body(), 1e-3);
        assertEquals(0, a.changes(), "nothing is turned in vain");
        assertFalse(a.atEnd()[0]);
    }

    /** Over its hubs a stiff body moves a little when it is loaded across: that is not done for a height that nobody sees. */
    @Test
    void no_diagonal_is_loaded_for_a_height() {
        double[] now = {330, 343, 343, 345};
        List<Adjuster> free = List.of(fine(), fine(), fine(), fine());
        SettingSolver.Question bare =
                new SettingSolver.Question(now, CAR.heights(Car.Read.HUB), CAR.loads(), free, Aim.equalGaps(337, 343));
        SettingSolver.Question kept = new SettingSolver.Question(
                now, CAR.heights(Car.Read.HUB), CAR.loads(), free, bare.aim().keepingLoads());
        double loaded = Math.abs(SettingSolver.solve(bare).more()[0]);
        SettingSolver.Answer answer = SettingSolver.solve(kept);
        assertTrue(Math.abs(answer.more()[0]) < 60 && loaded > 300, answer.more()[0] + " N, without " + loaded);
        assertTrue(Math.abs(answer.body()[0]) > 1, "what is left belongs to the body: " + answer.body()[0]);
    }

    private static Adjuster fine() {
        return Adjuster.thread(Length.ofMm(2), 4, 32, 32, 1);
    }

    @Test
    void an_end_is_said_to_be_one() {
        Adjuster low = Adjuster.thread(Length.ofMm(2), 4, 32, 0, 1);
        SettingSolver.Answer a = SettingSolver.solve(new SettingSolver.Question(
                new double[] {340, 340, 350, 350},
                CAR.heights(Car.Read.HUB),
                CAR.loads(),
                List.of(low, low, fine(), fine()),
                Aim.equalGaps(350, 350)));
        assertTrue(a.atEnd()[0] && a.atEnd()[1]);
        assertTrue(a.range()[0] < -5, Arrays.toString(a.range()));
    }

    /** A part of a turn that can be halved is never worse. */
    @Test
    void a_finer_adjuster_is_never_worse() {
        Random random = new Random(3);
        for (int n = 0; n < 300; n++) {
            SettingSolver.Question q = drawn(random, false);
            double before = Double.POSITIVE_INFINITY;
            for (int perTurn : new int[] {1, 2, 4, 8, 16}) {
                Adjuster each = Adjuster.thread(Length.ofMm(2), perTurn, 3 * perTurn, 3 * perTurn, 0.9);
                double[][] effect = q.aim().effect(q.heights(), q.loads());
                double[] lack = q.aim().lack(q.now());
                List<Adjuster> all = List.of(each, each, each, each);
                int[] found = new Nearest(effect, lack, all).find(0);
                double square = tried(
                                new SettingSolver.Question(q.now(), q.heights(), q.loads(), all, q.aim()),
                                List.of(
                                        each.options().get(found[0]),
                                        each.options().get(found[1]),
                                        each.options().get(found[2]),
                                        each.options().get(found[3])))
                        .square();
                assertTrue(square <= before + 1e-6, n + ": " + perTurn + " parts " + square + ", before " + before);
                before = square;
            }
        }
    }

    @Test
    void a_setting_taken_back_restores_every_height_and_a_mirrored_car_answers_mirrored() {
        Random random = new Random(5);
        int[] mirror = {1, 0, 3, 2};
        for (int n = 0; n < 300; n++) {
            Car car = car(random, random.nextBoolean() ? 1e9 : Double.POSITIVE_INFINITY);
            Car other = new Car(
                    mirrored(car.x(), mirror, 1),
                    mirrored(car.y(), mirror, -1),
                    mirrored(car.springs(), mirror, 1),
                    car.tyre(),
                    car.frontBar(),
                    car.rearBar(),
                    car.twist(),
                    car.widths());
            for (Car.Read read : Car.Read.values()) {
                double[][] here = car.heights(read);
                double[][] there = other.heights(read);
                double[] moves = random.doubles(4, -20, 20).toArray();
                for (int c = 0; c < 4; c++) {
                    double up = 0;
                    double back = 0;
                    for (int i = 0; i < 4; i++) {
                        up += here[c][i] * moves[i];
                        back += here[c][i] * -moves[i];
                        assertEquals(here[c][i], there[mirror[c]][mirror[i]], 1e-9);
                    }
                    assertEquals(0, up + back, 1e-12);
                }
            }
        }
    }

    private static double[] mirrored(double[] of, int[] mirror, double sign) {
        double[] there = new double[4];
        Arrays.setAll(there, i -> sign * of[mirror[i]]);
        return there;
    }

    /** A frame that twists without resistance lets each end roll on its own; a stiff one is the plain body. */
    @Test
    void a_frame_between_limp_and_stiff_lies_between() {
        double[] x = {1500, 1500, -1500, -1500};
        double[] y = {800, -800, -800, 800};
        double[] rates = {30, 30, 30, 30};
        double[] tyres = {220, 220, 220, 220};
        double[] perch = {10, 0, 0, 0};
        double stiff =
                new Stance(x, y, rates, tyres, 0, 0).move(perch, new double[4]).ground()[0];
        double very = new Stance(x, y, rates, tyres, 0, 0, 1e15)
                .move(perch, new double[4])
                .ground()[0];
        double some = new Stance(x, y, rates, tyres, 0, 0, 2e7)
                .move(perch, new double[4])
                .ground()[0];
        double limp = new Stance(x, y, rates, tyres, 0, 0, 1e-6)
                .move(perch, new double[4])
                .ground()[0];
        assertEquals(stiff, very, 1e-6);
        assertEquals(10, limp, 1e-6, "heave, pitch and each end's own roll: only its own corner rises");
        assertTrue(stiff < some && some < limp, stiff + " " + some + " " + limp);
    }
}
