package abbex.bench;

import abbex.core.kit.Stacks;
import abbex.core.setting.Adjuster;
import abbex.core.setting.Aim;
import abbex.core.setting.Car;
import abbex.core.setting.Option;
import abbex.core.setting.SettingSolver;
import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.variables.IntVar;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Four corners, 64 turn steps in front and stacks of six sizes behind: the exact best, every combination tried, and a general
 * constraint solver with a minute. All three look for the least sum of squares.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
public class SettingBench {
    private static final int QUESTIONS = 100;
    private static final String LIMIT = "60s";
    /** The rival counts in whole hundredths of a millimetre. */
    private static final double SCALE = 100;

    private final List<SettingSolver.Question> questions = new ArrayList<>();
    private int next;
    private double tried = -1;
    private double rivals = -1;

    @Setup
    public void setup() {
        Random random = new Random(19);
        for (int n = 0; n < QUESTIONS; n++) {
            questions.add(drawn(random));
        }
    }

    private static SettingSolver.Question drawn(Random random) {
        Car car = new Car(
                new double[] {1300, 1300, -1300, -1300},
                new double[] {750, -750, -750, 750},
                random.doubles(4, 20, 60).toArray(),
                220,
                0,
                0,
                Double.POSITIVE_INFINITY,
                Car.Widths.USUAL);
        Adjuster thread = Adjuster.thread(Length.ofMm(2), 4, 32, 31, 0.95);
        List<Stacks.Size> sizes = new ArrayList<>();
        for (int mm : new int[] {2, 3, 5, 8, 12, 20}) {
            sizes.add(new Stacks.Size(Length.ofMm(mm), 1));
        }
        Adjuster stack = Adjuster.stack(sizes, List.of(Length.ofMm(12)), 0.9);
        return new SettingSolver.Question(
                random.doubles(4, 330, 350).toArray(),
                car.heights(Car.Read.HUB),
                car.loads(),
                List.of(thread, thread, stack, stack),
                Aim.equalGaps(340, 342));
    }

    @Benchmark
    @Warmup(iterations = 3, time = 2)
    @Measurement(iterations = 5, time = 2)
    public SettingSolver.Answer exact() {
        return SettingSolver.solve(questions.get(next++ % QUESTIONS));
    }

    @Benchmark
    @BenchmarkMode(Mode.SingleShotTime)
    @Warmup(iterations = 1)
    @Measurement(iterations = 2)
    public double everyCombination() {
        SettingSolver.Question q = questions.get(0);
        tried = Double.POSITIVE_INFINITY;
        double[][][] adds = adds(q);
        double[] lack = lack(q);
        double[] left = new double[4];
        for (double[] a : adds[0]) {
            for (double[] b : adds[1]) {
                for (double[] c : adds[2]) {
                    for (int r = 0; r < 4; r++) {
                        left[r] = a[r] + b[r] + c[r] - lack[r];
                    }
                    for (double[] d : adds[3]) {
                        double square = 0;
                        for (int r = 0; r < 4; r++) {
                            square += (left[r] + d[r]) * (left[r] + d[r]);
                        }
                        tried = Math.min(tried, square);
                    }
                }
            }
        }
        return tried;
    }

    @Benchmark
    @BenchmarkMode(Mode.SingleShotTime)
    @Warmup(iterations = 0)
    @Measurement(iterations = 1)
    public int rivalConstraintSolver() {
        SettingSolver.Question q = questions.get(0);
        double[][][] adds = adds(q);
        double[] lack = lack(q);
        Model model = new Model();
        IntVar[] option = new IntVar[4];
        for (int i = 0; i < 4; i++) {
            option[i] = model.intVar("option" + i, 0, adds[i].length - 1);
        }
        IntVar[] squares = new IntVar[4];
        for (int r = 0; r < 4; r++) {
            IntVar[] parts = new IntVar[4];
            for (int i = 0; i < 4; i++) {
                int row = r;
                int[] table = Arrays.stream(adds[i])
                        .mapToInt(each -> (int) Math.round(SCALE * each[row]))
                        .toArray();
                parts[i] = model.intVar(
                        Arrays.stream(table).min().orElse(0),
                        Arrays.stream(table).max().orElse(0));
                model.element(parts[i], table, option[i]).post();
            }
            IntVar off = model.intVar(-20000, 20000);
            model.sum(parts, "=", model.intOffsetView(off, (int) Math.round(SCALE * lack[r])))
                    .post();
            squares[r] = model.intVar(0, 400_000_000);
            model.square(squares[r], off).post();
        }
        IntVar all = model.intVar(0, 1_600_000_000);
        model.sum(squares, "=", all).post();
        model.getSolver().limitTime(LIMIT);
        Solution best = model.getSolver().findOptimalSolution(all, Model.MINIMIZE);
        rivals = best == null ? -1 : best.getIntVal(all) / (SCALE * SCALE);
        return (int) rivals;
    }

    private static double[] lack(SettingSolver.Question q) {
        double[] lack = new double[4];
        Arrays.setAll(lack, r -> q.aim().rows().get(r).wanted() - q.now()[r]);
        return lack;
    }

    /** What each option of each adjuster adds to each height. */
    private static double[][][] adds(SettingSolver.Question q) {
        double[][][] adds = new double[4][][];
        for (int i = 0; i < 4; i++) {
            List<Option> options = q.adjusters().get(i).options();
            adds[i] = new double[options.size()][4];
            for (int k = 0; k < options.size(); k++) {
                for (int r = 0; r < 4; r++) {
                    adds[i][k][r] = q.heights()[r][i] * options.get(k).move();
                }
            }
        }
        return adds;
    }

    private static double square(SettingSolver.Question q, List<Option> chosen) {
        double[] lack = lack(q);
        double sum = 0;
        for (int r = 0; r < 4; r++) {
            double off = -lack[r];
            for (int i = 0; i < 4; i++) {
                off += q.heights()[r][i] * chosen.get(i).move();
            }
            sum += off * off;
        }
        return sum;
    }

    /** What each of them found, of the first question; ours may be as much worse as nobody can tell, for fewer changes. */
    @TearDown(Level.Trial)
    public void told() {
        double ours =
                square(questions.get(0), SettingSolver.solve(questions.get(0)).chosen());
        System.out.printf(
                "found, root of the sum in mm: ours %.3f, of every combination %.3f, the rival's %.3f%n",
                Math.sqrt(Math.max(0, ours)), Math.sqrt(Math.max(0, tried)), Math.sqrt(Math.max(0, rivals)));
    }
}
