package abbex.bench;

import abbex.core.kit.DamperFacts;
import abbex.core.kit.EndKit;
import abbex.core.kit.EndNow;
import abbex.core.kit.EndPlan;
import abbex.core.kit.Flipped;
import abbex.core.kit.KitPlan;
import abbex.core.kit.Shackled;
import abbex.core.kit.Told;
import abbex.core.kit.Truck;
import abbex.core.kit.Typical;
import abbex.core.motorcycle.RearLinkage;
import abbex.core.motorcycle.RearLinkage.Kind;
import abbex.core.motorcycle.RearLinkage.Point;
import abbex.core.truck.Shackle;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;
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
 * A rear linkage's curve over 201 poses, a shackle over as many lengths, and a truck's plan with all that follows; the rivals
 * close each pose by a general library's least squares, begun where the last pose ended.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 2)
public class MachineBench {
    private static final int POSES = 201;

    private RearLinkage linkage;
    private Shackle shackle;
    private EndNow now;
    private EndKit kit;
    private Truck truck;

    @Setup
    public void setup() {
        linkage = RearLinkage.of(
                Kind.ROCKER_ON_FRAME,
                new Point(0, 0),
                new Point(-600, -60),
                new Point(-60, -105),
                new Point(-135, -130),
                new Point(-190, -10),
                new Point(-130, -65),
                new Point(-60, 260));
        shackle = new Shackle(1360, 1330, 105, 110, true);
        Told load = Typical.load(VehicleKind.TRUCK, End.REAR);
        now = new EndNow(
                load,
                Typical.ratio(Architecture.SOLID_AXLE_LEAF),
                Typical.rodRatio(Architecture.SOLID_AXLE_LEAF),
                Typical.wheelRate(load),
                Optional.empty(),
                Optional.empty(),
                new DamperFacts(Typical.TWIN_TUBE, Optional.empty(), Optional.empty()),
                Optional.empty(),
                Optional.empty());
        kit = kit();
        truck = new Truck(
                Optional.of(new Truck.Shafts(
                        Told.measured(3, 0.3),
                        Told.measured(5, 0.3),
                        Optional.empty(),
                        Told.measured(3, 0.3),
                        Told.measured(1400, 3))),
                Optional.of(new Truck.Bags(
                        Told.measured(9000, 700),
                        Told.measured(2600, 50),
                        Optional.of(6400.0),
                        false,
                        Typical.wheelRate(load))),
                Optional.of(new Truck.Pack(Told.measured(640, 1.5), Told.measured(720, 1.5), Told.typical(60, 30))),
                Told.measured(1, 0.3));
    }

    private static EndKit kit() {
        return EndKit.NOTHING.withParts(List.of(
                Shackled.of(
                        new Shackled.Measures(Optional.of(640.0), Optional.of(720.0), 110, 15, true),
                        new Shackled.Change(90, false, 0, 0)),
                new Flipped(Length.ofMm(33), Length.ofMm(70), Length.ofMm(4), Length.ofMm(6))));
    }

    private static double travel(int i) {
        return -60 + 0.6 * i;
    }

    /** The leverage curve: how much the spring shortens for each mm of the wheel. */
    @Benchmark
    public double linkageCurve() {
        double sum = 0;
        for (int i = 0; i < POSES; i++) {
            sum += linkage.ratio(travel(i));
        }
        return sum;
    }

    /** The same from the lengths of neighbours: the knee's two places so that rocker and link keep their lengths. */
    @Benchmark
    public double linkageRival() {
        double[] at = {-135, -130};
        double rocker = Math.hypot(75, 25);
        double link = Math.hypot(55, 120);
        double sum = 0;
        double last = 0;
        for (int i = 0; i < POSES; i++) {
            double turn = Math.asin(-60 / Math.hypot(600, 60)) - Math.asin((-60 + travel(i)) / Math.hypot(600, 60));
            double fx = -190 * Math.cos(turn) + 10 * Math.sin(turn);
            double fz = -190 * Math.sin(turn) - 10 * Math.cos(turn);
            at = solved(at, -60, -105, rocker, fx, fz, link);
            double own = Math.atan2(at[1] + 105, at[0] + 60) - Math.atan2(-25, -75);
            double qx = -60 - 70 * Math.cos(own) - 40 * Math.sin(own);
            double qz = -105 - 70 * Math.sin(own) + 40 * Math.cos(own);
            double length = Math.hypot(-60 - qx, 260 - qz);
            sum += (last - length) / 0.6;
            last = length;
        }
        return sum;
    }

    @Benchmark
    public double shackleCurve() {
        double sum = 0;
        for (int i = 0; i < POSES; i++) {
            sum += shackle.with(80 + 0.25 * i).at().eyeZ();
        }
        return sum;
    }

    @Benchmark
    public double shackleRival() {
        double[] at = {1358, -5};
        double sum = 0;
        for (int i = 0; i < POSES; i++) {
            at = solved(at, 0, 0, 1360, 1330, 105, 80 + 0.25 * i);
            sum += at[1];
        }
        return sum;
    }

    /** With its parts worked out from their measures, as a page asks for it. */
    @Benchmark
    public KitPlan truckPlan() {
        EndKit rear = kit();
        return KitPlan.predict(
                        new PerEnd<>(now, now),
                        new PerEnd<>(EndKit.NOTHING, rear),
                        PerEnd.of(end -> EndPlan.USUAL_SETTLING))
                .on(truck, rear);
    }

    /** A point so far from one place and so far from another. */
    private static double[] solved(double[] from, double ax, double az, double a, double bx, double bz, double b) {
        return new LevenbergMarquardtOptimizer()
                .optimize(new LeastSquaresBuilder()
                        .start(from)
                        .target(new double[] {a, b})
                        .maxEvaluations(100)
                        .maxIterations(100)
                        .model(point -> {
                            double dax = point.getEntry(0) - ax;
                            double daz = point.getEntry(1) - az;
                            double dbx = point.getEntry(0) - bx;
                            double dbz = point.getEntry(1) - bz;
                            double ra = Math.hypot(dax, daz);
                            double rb = Math.hypot(dbx, dbz);
                            RealVector value = new ArrayRealVector(new double[] {ra, rb}, false);
                            return new Pair<>(
                                    value,
                                    new Array2DRowRealMatrix(
                                            new double[][] {{dax / ra, daz / ra}, {dbx / rb, dbz / rb}}, false));
                        })
                        .build())
                .getPoint()
                .toArray();
    }
}
