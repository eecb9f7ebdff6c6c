package abbex.bench;

import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import abbex.core.workcard.Card;
import abbex.core.workcard.Chapter;
import abbex.core.workcard.Step;
import abbex.core.workcard.Wanted;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.variables.BoolVar;
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

/** A card of 120 steps: its best order, and how far a general constraint solver comes with the same graph in a minute. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
public class CardBench {
    private static final int STEPS = 120;
    private static final int ARROWS = 3;
    private static final int REACH = 12;
    private static final String LIMIT = "60s";

    private List<Chapter> book;
    private Wanted wanted;
    private List<Step> steps;
    private int ours = -1;
    private int rivals = -1;

    @Setup
    public void setup() {
        Random random = new Random(120);
        steps = new ArrayList<>();
        for (int i = 0; i < STEPS; i++) {
            List<String> after = new ArrayList<>();
            for (int a = 0; a < ARROWS && i > 0; a++) {
                after.add("s" + Math.max(0, i - 1 - random.nextInt(REACH)));
            }
            steps.add(new Step(
                    "s" + i,
                    "Step " + i,
                    "invented",
                    Step.Span.WHOLE,
                    Step.Footing.values()[random.nextInt(3)],
                    5,
                    1,
                    Step.Access.NONE,
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    after.stream().distinct().toList(),
                    List.of(),
                    Optional.empty()));
        }
        book = List.of(new Chapter("drawn", Set.of(), Set.of(), steps));
        wanted = new Wanted(
                VehicleKind.CAR, PerEnd.of(e -> Architecture.STRUT), PerEnd.of(e -> Set.of("spring")), Set.of());
    }

    @Benchmark
    @Warmup(iterations = 20)
    @Measurement(iterations = 20)
    public Card bestOrder() {
        Card card = Card.of(book, wanted);
        ours = card.lifts();
        return card;
    }

    /** Positions all different, arrows as inequalities, the footing at each position by its step; least lifts. */
    @Benchmark
    @Warmup(iterations = 0)
    @Measurement(iterations = 1)
    public int rivalConstraintSolver() {
        Model model = new Model();
        IntVar[] position = model.intVarArray("position", STEPS, 0, STEPS - 1);
        IntVar[] at = model.intVarArray("at", STEPS, 0, STEPS - 1);
        model.inverseChanneling(position, at).post();
        int[] up = new int[STEPS];
        for (int i = 0; i < STEPS; i++) {
            up[i] = steps.get(i).footing() == Step.Footing.WHEELS ? 0 : 1;
            for (String id : steps.get(i).after()) {
                model.arithm(position[Integer.parseInt(id.substring(1))], "<", position[i])
                        .post();
            }
        }
        IntVar[] high = model.intVarArray("high", STEPS, 0, 1);
        BoolVar[] lifts = new BoolVar[STEPS];
        for (int p = 0; p < STEPS; p++) {
            model.element(high[p], up, at[p]).post();
            lifts[p] = p == 0
                    ? model.arithm(high[0], "=", 1).reify()
                    : model.arithm(high[p - 1], "<", high[p]).reify();
        }
        IntVar sum = model.intVar("lifts", 0, STEPS);
        model.sum(lifts, "=", sum).post();
        model.setObjective(Model.MINIMIZE, sum);
        model.getSolver().limitTime(LIMIT);
        model.getSolver().setSearch(Search.inputOrderLBSearch(at));
        Solution best = new Solution(model, sum);
        while (model.getSolver().solve()) {
            best.record();
        }
        rivals = best.exists() ? best.getIntVal(sum) : -1;
        return rivals;
    }

    @TearDown(Level.Trial)
    public void told() {
        System.out.println("lifts: ours " + ours + ", the rival's best " + rivals);
    }
}
