package abbex.bench;

import abbex.core.day.Day;
import abbex.core.day.DayJob;
import abbex.core.day.DayPlan;
import abbex.core.day.DaySolver;
import abbex.core.day.Stint;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.variables.IntVar;
import org.chocosolver.solver.variables.Task;
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
 * A day of ten vehicles over three lifts and three people, and what another general constraint solver finds of the same day in two
 * seconds. One person a vehicle and nothing promised, so that the best is known besides: the shortest first (Conway, Maxwell and
 * Miller, Theory of Scheduling, 1967; from memory).
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3)
@Measurement(iterations = 5)
public class DayBench {
    private static final int VEHICLES = 10;
    private static final int HANDS = 3;
    private static final int LENGTH = 720;
    private static final double SECONDS = 2;

    private int[] minutes;
    private Day day;
    private long ours = -1;
    private long rivals = -1;

    @Setup
    public void setup() {
        Random random = new Random(20);
        minutes = IntStream.range(0, VEHICLES)
                .map(i -> Day.GRID * (8 + random.nextInt(28)))
                .toArray();
        List<DayJob> jobs = new ArrayList<>();
        for (int i = 0; i < VEHICLES; i++) {
            jobs.add(DayJob.of("V" + i, List.of(new Stint(minutes[i], 1)), true));
        }
        day = new Day(
                LENGTH,
                0,
                IntStream.range(0, HANDS)
                        .mapToObj(b -> new Day.Bay("Bay " + b, true, List.of()))
                        .toList(),
                IntStream.range(0, HANDS)
                        .mapToObj(p -> new Day.Worker("p" + p, List.of()))
                        .toList(),
                jobs);
    }

    @Benchmark
    public DayPlan plan() {
        DayPlan plan = DaySolver.plan(day, SECONDS, Optional.empty());
        ours = plan.cost();
        return plan;
    }

    /** Starts on the same grid, as many at once as there are hands; the least sum of ends. */
    @Benchmark
    public long rivalConstraintSolver() {
        Model model = new Model();
        int last = LENGTH / Day.GRID;
        Task[] tasks = new Task[VEHICLES];
        IntVar[] ends = new IntVar[VEHICLES];
        IntVar[] one = new IntVar[VEHICLES];
        for (int i = 0; i < VEHICLES; i++) {
            int slots = minutes[i] / Day.GRID;
            IntVar start = model.intVar("start" + i, 0, last - slots);
            ends[i] = model.offset(start, slots);
            tasks[i] = new Task(start, model.intVar(slots), ends[i]);
            one[i] = model.intVar(1);
        }
        model.cumulative(tasks, one, model.intVar(HANDS)).post();
        IntVar sum = model.intVar("sum", 0, VEHICLES * last);
        model.sum(ends, "=", sum).post();
        model.setObjective(Model.MINIMIZE, sum);
        model.getSolver().limitTime((long) (1000 * SECONDS));
        while (model.getSolver().solve()) {
            rivals = (long) Day.GRID * sum.getValue();
        }
        return rivals;
    }

    private long shortestFirst() {
        long[] free = new long[HANDS];
        long sum = 0;
        for (int each : IntStream.of(minutes).sorted().toArray()) {
            int next = IntStream.range(0, HANDS)
                    .reduce((a, b) -> free[b] < free[a] ? b : a)
                    .orElseThrow();
            free[next] += each;
            sum += free[next];
        }
        return sum;
    }

    @TearDown(Level.Trial)
    public void told() {
        System.out.println("minutes until all are ready, in sum: ours " + ours + ", the rival's best " + rivals
                + ", the best there is " + shortestFirst());
    }
}
