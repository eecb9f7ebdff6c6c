package abbex.bench;

import abbex.core.clearance.ProbePlace.Carrier;
import abbex.core.clearance.Sweep;
import abbex.core.clearance.TyreBody;
import abbex.core.motion.Motion;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;
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
 * A corner of twelve probes: the sweep that is a bound, the same distances on a grid of 41 travels, 21 steers and 5 rolls, and
 * that grid by a general geometry library on the section's ring sampled once to 0.1 mm, by the same pose code.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(5)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 1, time = 3)
public class SweepBench {
    private static final int TRAVELS = 41;
    private static final int STEERS = 21;
    private static final int ROLLS = 5;

    private final TyreBody tyre = new TyreBody(-40, 118, 228.6, 322, 28, 18);
    private final Motion motion = new StraightMotion(
            new Range(60, 70, Math.toRadians(38), Math.toRadians(38), Math.toRadians(3)), Math.toRadians(-0.02), 60);
    private final GeometryFactory factory = new GeometryFactory();
    private final double[] p = new double[3];
    private double[][] points;
    private Polygon ring;
    private Geometry boundary;
    private IndexedFacetDistance indexed;

    @Setup
    public void setup() {
        Random random = new Random(6);
        points = new double[12][];
        for (int i = 0; i < points.length; i++) {
            double angle = random.nextDouble() * 2 * Math.PI;
            double radius = tyre.outside() + 30 + random.nextInt(90);
            points[i] = new double[] {
                radius * Math.sin(angle), tyre.middle() + random.nextInt(260) - 130, radius * Math.cos(angle)
            };
        }
        List<Coordinate> at = new ArrayList<>();
        for (int q = 0; q < 4; q++) {
            double corner = q < 2 ? tyre.shoulder() : tyre.heel();
            double x = tyre.middle() + (q == 0 || q == 3 ? 1 : -1) * (tyre.half() - corner);
            double r = q < 2 ? tyre.outside() - corner : tyre.bead() + corner;
            int steps = (int) Math.ceil(Math.PI / 2 / (2 * Math.acos(1 - 0.1 / corner)));
            for (int i = 0; i <= steps; i++) {
                double a = Math.PI / 2 * (q + (double) i / steps);
                at.add(new Coordinate(x + corner * Math.cos(a), r + corner * Math.sin(a)));
            }
        }
        at.add(at.get(0).copy());
        ring = factory.createPolygon(at.toArray(Coordinate[]::new));
        boundary = ring.getBoundary();
        indexed = new IndexedFacetDistance(boundary);
    }

    /** Twelve least gaps, each proven to 0.1 mm over every pose. */
    @Benchmark
    public double bound() {
        double sum = 0;
        for (double[] point : points) {
            sum += Sweep.run(tyre, point, Carrier.BODY, motion).gap();
        }
        return sum;
    }

    private interface Distance {
        double of(double axial, double radius);
    }

    private double grid(Distance distance) {
        double sum = 0;
        for (double[] point : points) {
            double least = Double.POSITIVE_INFINITY;
            for (int t = 0; t < TRAVELS; t++) {
                for (int s = 0; s < STEERS; s++) {
                    for (int r = 0; r < ROLLS; r++) {
                        p[0] = point[0];
                        p[1] = point[1];
                        p[2] = point[2];
                        motion.toWheel(
                                p,
                                -60 + 130.0 * t / (TRAVELS - 1),
                                motion.range().right() * (2.0 * s / (STEERS - 1) - 1),
                                motion.range().roll() * (2.0 * r / (ROLLS - 1) - 1),
                                null);
                        least = Math.min(least, distance.of(p[1], Math.sqrt(p[0] * p[0] + p[2] * p[2])));
                    }
                }
            }
            sum += least;
        }
        return sum;
    }

    @Benchmark
    public double ownGrid() {
        return grid(tyre::distance);
    }

    @Benchmark
    public double jtsGrid() {
        return grid((axial, radius) -> {
            Point point = factory.createPoint(new Coordinate(axial, radius));
            double away = boundary.distance(point);
            return ring.contains(point) ? -away : away;
        });
    }

    @Benchmark
    public double indexedGrid() {
        return grid((axial, radius) -> {
            Point point = factory.createPoint(new Coordinate(axial, radius));
            double away = indexed.distance(point);
            return ring.contains(point) ? -away : away;
        });
    }
}
