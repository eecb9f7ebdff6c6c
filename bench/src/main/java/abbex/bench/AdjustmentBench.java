package abbex.bench;

import abbex.core.adjust.LeastSquares;
import abbex.core.heights.Adjustment;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.Limits;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.Outlier;
import abbex.core.heights.PriorDeviations;
import abbex.core.heights.Reading;
import abbex.core.heights.SheetState;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.TapeReading;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.hipparchus.linear.CholeskyDecomposer;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.optim.SimpleVectorValueChecker;
import org.hipparchus.optim.nonlinear.vector.leastsquares.GaussNewtonOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Five sheets of four corners by five methods: the whole adjustment with every reading left out once, beside a general
 * library that is asked again for each reading; and one solve beside one solve on the same equations.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(5)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 1, time = 3)
public class AdjustmentBench {
    private static final int SHEETS = 5;
    private static final int READINGS = SHEETS * 20;

    private final Vehicle vehicle =
            Vehicle.of(VehicleKind.CAR).withWheelbase(Length.ofMm(2700)).withFrameBase(Length.ofMm(1755));
    private final PriorDeviations freedoms = PriorDeviations.of(VehicleKind.CAR, Limits.USUAL);
    private List<HeightSheet> sheets;
    private double[][] design;
    private double[] observed;
    private double[] sigma;

    @Setup
    public void setup() {
        Random random = new Random(3);
        sheets = new ArrayList<>();
        int[] usual = {660, 360, 595, 210, 48};
        for (int s = 0; s < SHEETS; s++) {
            List<Reading> readings = new ArrayList<>();
            for (Corner corner : Corner.values()) {
                for (Method method : Method.values()) {
                    long sixteenths = Math.round((usual[method.ordinal()] - 5 * s + random.nextGaussian()) * 16 / 25.4);
                    readings.add(Reading.of(
                            MeasuringPoint.of(corner, method),
                            TapeReading.of(
                                    Length.ofInches(0, 1, 16).times((int) sixteenths), Graduation.SIXTEENTH_INCH)));
                }
            }
            sheets.add(HeightSheet.of(SheetState.NOT_TAKEN, readings));
        }
        // Equations of the same size and sparseness: the readings, and a prior for each unknown.
        int unknowns = 60;
        design = new double[READINGS + unknowns][unknowns];
        observed = new double[design.length];
        sigma = new double[design.length];
        for (int i = 0; i < READINGS; i++) {
            design[i][i % 8] = 1;
            for (int k = 0; k < 6; k++) {
                design[i][8 + random.nextInt(unknowns - 8)] = random.nextBoolean() ? 1 : -1;
            }
            observed[i] = random.nextGaussian();
            sigma[i] = 0.6 + random.nextDouble();
        }
        for (int k = 0; k < unknowns; k++) {
            design[READINGS + k][k] = 1;
            sigma[READINGS + k] = k < 8 ? 1e4 : 1;
        }
    }

    @Benchmark
    public List<Outlier> ownWithEveryReadingLeftOut() {
        return Adjustment.of(vehicle, sheets, freedoms).suspects();
    }

    @Benchmark
    public double ownSolve() {
        return LeastSquares.solve(design, observed, sigma).value(0);
    }

    @Benchmark
    public double librarySolve() {
        return solve(design, observed, sigma);
    }

    @Benchmark
    public double libraryRefittedWithoutEachReading() {
        double sum = 0;
        for (int out = 0; out < READINGS; out++) {
            double[] without = sigma.clone();
            without[out] = 1e6;
            sum += solve(design, observed, without);
        }
        return sum;
    }

    private static double solve(double[][] design, double[] observed, double[] sigma) {
        RealMatrix matrix = MatrixUtils.createRealMatrix(design);
        double[] weights = new double[sigma.length];
        for (int i = 0; i < weights.length; i++) {
            weights[i] = 1 / (sigma[i] * sigma[i]);
        }
        var problem = new LeastSquaresBuilder()
                .start(new double[design[0].length])
                .model(matrix::operate, x -> design)
                .target(observed)
                .weight(MatrixUtils.createRealDiagonalMatrix(weights))
                .checkerPair(new SimpleVectorValueChecker(1e-9, 1e-9))
                .maxEvaluations(10)
                .maxIterations(10)
                .build();
        return new GaussNewtonOptimizer(new CholeskyDecomposer(1e-11, 1e-15), true)
                .optimize(problem)
                .getPoint()
                .getEntry(0);
    }
}
