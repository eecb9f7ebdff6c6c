package abbex.bench;

import abbex.core.heights.Method;
import abbex.core.kit.Causes;
import abbex.core.kit.DamperFacts;
import abbex.core.kit.EndKit;
import abbex.core.kit.EndNow;
import abbex.core.kit.EndPlan;
import abbex.core.kit.KitPlan;
import abbex.core.kit.Seen;
import abbex.core.kit.SpringFacts;
import abbex.core.kit.StopFacts;
import abbex.core.kit.Told;
import abbex.core.kit.Typical;
import abbex.core.springs.Spring;
import abbex.core.springs.SpringLaw;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A plan of both ends with its intervals and consequences, off its stops and on them; the rival draws ten thousand vehicles an
 * end and solves each, as set down and as settled, by a general library's bracketing solver.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(2)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 2)
public class PlanBench {
    private static final int DRAWS = 10_000;

    /** How much of the rod shows, mm: plenty, or so little that it comes to rest on the stop. */
    @Param({"130", "72"})
    public double rod;

    private PerEnd<EndNow> now;
    private PerEnd<EndKit> kit;
    private PerEnd<Told> settling;
    private List<Seen> seen;
    private Causes.Open open;

    @Setup
    public void setup() {
        now = PerEnd.of(end -> new EndNow(
                Told.printed(3500, 140),
                Typical.ratio(Architecture.STRUT),
                Typical.rodRatio(Architecture.STRUT),
                Told.typical(30, 6),
                Optional.of(SpringFacts.printed(spring(22, 360))),
                Optional.empty(),
                new DamperFacts(
                        Typical.TWIN_TUBE, Optional.of(Told.printed(530, 2)), Optional.of(Told.printed(340, 2))),
                Optional.of(Told.measured(rod, 1.5)),
                Optional.of(StopFacts.foam(60, 4))));
        kit = PerEnd.of(end -> EndKit.NOTHING.withSpring(SpringFacts.printed(spring(34, 275))));
        settling = PerEnd.of(end -> EndPlan.USUAL_SETTLING);
        Random random = new Random(5);
        seen = new ArrayList<>();
        for (int sheet = 0; sheet < 5; sheet++) {
            for (Corner corner : Corner.values()) {
                for (Method method : List.of(Method.HF, Method.GF, Method.RIM)) {
                    seen.add(new Seen(corner, method, sheet, 3 * random.nextGaussian(), 0.9, 0.9, sheet / 4.0));
                }
            }
        }
        PerEnd<Boolean> yes = PerEnd.of(end -> true);
        open = new Causes.Open(
                PerEnd.of(e -> 3.0), PerEnd.of(e -> 0.8), PerEnd.of(e -> 30.0), yes, yes, yes, 2650, 1520);
    }

    private static Spring spring(double rate, double free) {
        return new Spring(new SpringLaw.Linear(rate, free - 100), free);
    }

    @Benchmark
    public KitPlan plan() {
        return KitPlan.predict(now, kit, settling);
    }

    @Benchmark
    public Causes.Ranked causesOfFiveSheets() {
        return Causes.rank(seen, open);
    }

    @Benchmark
    public double[] rivalTenThousandDrawsSolvedByBracketing() {
        Random random = new Random(7);
        BracketingNthOrderBrentSolver solver = new BracketingNthOrderBrentSolver(1e-9, 1e-9, 5);
        double[] quantiles = new double[8];
        for (int end = 0; end < 2; end++) {
            double[] down = new double[DRAWS];
            double[] settled = new double[DRAWS];
            for (int i = 0; i < DRAWS; i++) {
                double load = 3500 + 140 * random.nextGaussian();
                double ratio = 0.95 + 0.02 * random.nextGaussian();
                double rodRatio = 0.95 + 0.02 * random.nextGaussian();
                double gas = 67 + 27 * random.nextGaussian();
                double old = 22 * (1 + 0.03 * random.nextGaussian());
                double fresh = 34 * (1 + 0.03 * random.nextGaussian());
                double space = 360 + 2 * random.nextGaussian() - (load - rodRatio * gas) / ratio / old;
                double free = 275 + 2 * random.nextGaussian();
                double gap = rod + 1.5 * random.nextGaussian() - 60;
                double firm = Math.max(0.1, 1 + 0.33 * random.nextGaussian());
                var stop = StopFacts.foam(60, 4).stop();
                UnivariateFunction over = z -> ratio * fresh * Math.max(0, free - space + ratio * z)
                        + rodRatio * (gas + firm * stop.force(rodRatio * z - gap))
                        - load;
                down[i] = solver.solve(200, over, -200, 400);
                double more = 4.7625 + 0.79375 * random.nextGaussian();
                UnivariateFunction later = z -> ratio * fresh * Math.max(0, free - space + ratio * (z - more))
                        + rodRatio * (gas + firm * stop.force(rodRatio * z - gap))
                        - load;
                settled[i] = solver.solve(200, later, -200, 400);
            }
            Arrays.sort(down);
            Arrays.sort(settled);
            quantiles[4 * end] = down[DRAWS / 40];
            quantiles[4 * end + 1] = down[DRAWS - DRAWS / 40];
            quantiles[4 * end + 2] = settled[DRAWS / 40];
            quantiles[4 * end + 3] = settled[DRAWS - DRAWS / 40];
        }
        return quantiles;
    }
}
