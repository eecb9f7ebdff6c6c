package abbex.core.clearance;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.clearance.ProbePlace.Carrier;
import abbex.core.clearance.TyreBody.Face;
import abbex.core.clearance.Verdict.Word;
import abbex.core.motion.Motion;
import abbex.core.motion.Pose;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import abbex.core.units.Length;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.TyreSize;
import abbex.core.wheels.Wheel;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/** The tyre's body, the sweep and the verdict: against JTS and by laws. */
class ClearanceTest {
    private static final GeometryFactory JTS = new GeometryFactory();
    private static final Range RANGE = new Range(60, 70, Math.toRadians(32), Math.toRadians(38), Math.toRadians(3));
    private static final Motion MOTION = new StraightMotion(RANGE, Math.toRadians(-0.02), 60);

    static Fitment fitment(String tyre, String wheel) {
        return new Fitment(
                Wheel.parse(wheel).asWheel().orElseThrow(),
                TyreSize.parse(tyre).asSize().orElseThrow());
    }

    private static final Fitment NOW = fitment("225/45R17 91W", "7.5Jx17 ET45");

    private static TyreBody drawn(Random random) {
        double bead = 160 + random.nextInt(120);
        double outside = bead + 60 + random.nextInt(140);
        double half = 80 + random.nextInt(90);
        double most = Math.min(half, (outside - bead) / 2);
        return new TyreBody(
                random.nextInt(120) - 60, half, bead, outside, most * random.nextDouble(), most * random.nextDouble());
    }

    /** The section as a ring of points every half degree of each corner, by somebody else's geometry. */
    private static Polygon ring(TyreBody t) {
        List<Coordinate> ring = new ArrayList<>();
        for (int q = 0; q < 4; q++) {
            boolean top = q < 2;
            double corner = top ? t.shoulder() : t.heel();
            double sign = q == 0 || q == 3 ? 1 : -1;
            double x = t.middle() + sign * (t.half() - corner);
            double r = top ? t.outside() - corner : t.bead() + corner;
            for (int i = 0; i <= 180; i++) {
                double a = Math.toRadians(90 * q + i / 2.0);
                ring.add(new Coordinate(x + corner * Math.cos(a), r + corner * Math.sin(a)));
            }
        }
        ring.add(ring.get(0).copy());
        return JTS.createPolygon(ring.toArray(Coordinate[]::new));
    }

    @Test
    void the_distance_is_jts_own_to_a_tenth_of_a_millimetre() {
        Random random = new Random(61);
        for (int i = 0; i < 200; i++) {
            TyreBody tyre = drawn(random);
            Polygon ring = ring(tyre);
            for (int k = 0; k < 50; k++) {
                double axial = tyre.middle() + (random.nextDouble() - 0.5) * 600;
                double radius = random.nextDouble() * 600;
                Geometry point = JTS.createPoint(new Coordinate(axial, radius));
                double theirs = ring.contains(point) ? -ring.getBoundary().distance(point) : ring.distance(point);
                double ours = tyre.distance(axial, radius);
                // Deep inside only the sign matters: between two corners of different radius the nearest line may be
                // another.
                if (theirs > -Math.max(tyre.shoulder(), tyre.heel())) {
                    assertEquals(theirs, ours, 0.1, tyre + " at " + axial + ", " + radius);
                }
                assertTrue(theirs > 0 == ours > 0 || Math.abs(theirs) < 0.1);
            }
        }
    }

    @ParameterizedTest
    @EnumSource(Face.class)
    void a_probe_fixes_the_point_that_its_gap_was_measured_to(Face face) {
        TyreBody tyre = TyreBody.of(NOW);
        for (double clock : new double[] {12, 1.5, 3, 10}) {
            GapReading probe = new GapReading(ProbePlace.FENDER_LIP, clock, face, Length.ofMm(17), Length.ZERO);
            assertEquals(
                    17,
                    Sweep.gap(tyre, probe.point(tyre), Carrier.BODY, MOTION, Pose.RIDE),
                    1e-9,
                    face + " at " + clock);
        }
        assertThrows(
                IllegalArgumentException.class,
                () -> new GapReading(ProbePlace.FRAME, 0, face, Length.ofMm(1), Length.ZERO));
        assertThrows(
                IllegalArgumentException.class,
                () -> new GapReading(ProbePlace.FRAME, 12, face, Length.ofMm(-1), Length.ZERO));
    }

    /** Straight over the tread the least gap is the gap less the whole bump: no steer brings it nearer. */
    @Test
    void over_the_tread_bump_eats_the_gap() {
        TyreBody tyre = new TyreBody(0, 110, 216, 317, 20, 18);
        Motion straight = new StraightMotion(new Range(50, 60, 0, 0, 0), 0, 0);
        double[] point = {0, 0, 317 + 80};
        Sweep.Least least = Sweep.run(tyre, point, Carrier.BODY, straight);
        assertEquals(20, least.gap(), Sweep.TOLERANCE);
        assertEquals(60, least.at().bump(), 2);
        assertEquals(80, Sweep.run(tyre, point, Carrier.KNUCKLE, straight).gap(), 1e-9);
        assertEquals(50, Sweep.run(tyre, point, Carrier.ARM, straight).gap(), Sweep.TOLERANCE);
    }

    @Test
    void no_pose_comes_nearer_than_the_sweep_says() {
        Random random = new Random(62);
        for (int i = 0; i < 60; i++) {
            TyreBody tyre = drawn(random);
            double[] point = point(random, tyre);
            Carrier carrier = Carrier.values()[random.nextInt(3)];
            Sweep.Least least = Sweep.run(tyre, point, carrier, MOTION);
            assertEquals(
                    least.gap(),
                    Sweep.gap(tyre, point, carrier, MOTION, least.at()),
                    1e-9,
                    "the pose is where the gap is");
            for (int k = 0; k < 10_000; k++) {
                double bump = -RANGE.droop() + random.nextDouble() * (RANGE.droop() + RANGE.bump());
                double steer = -RANGE.left() + random.nextDouble() * (RANGE.left() + RANGE.right());
                double roll = (2 * random.nextDouble() - 1) * RANGE.roll();
                double there = Sweep.gap(tyre, point, carrier, MOTION, new Pose(bump, steer, roll));
                assertTrue(there >= least.gap() - Sweep.tolerance(least.gap()), there + " < " + least);
            }
        }
    }

    /** The same at the ends of what may be typed: travels to 300 mm, locks to 60°, lean to 15°, an axis from -100 to 300 mm. */
    @Test
    void no_pose_of_an_extreme_range_comes_nearer_either() {
        Random random = new Random(68);
        for (int i = 0; i < 300; i++) {
            TyreBody tyre = drawn(random);
            double[] point = point(random, tyre);
            Carrier carrier = Carrier.values()[random.nextInt(3)];
            Range range = new Range(
                    300 * random.nextDouble(),
                    300 * random.nextDouble(),
                    Math.toRadians(60 * random.nextDouble()),
                    Math.toRadians(60 * random.nextDouble()),
                    Math.toRadians(15 * random.nextDouble()));
            Motion motion = new StraightMotion(
                    range,
                    Math.toRadians(16 * random.nextDouble() - 8),
                    Math.toRadians(6 * random.nextDouble() - 3) / 25,
                    Math.toRadians(4 * random.nextDouble() - 2) / 25,
                    400 * random.nextDouble() - 100);
            Sweep.Least least = Sweep.run(tyre, point, carrier, motion);
            for (int k = 0; k < 3_000; k++) {
                // Many of them at an end of one or two: there most least gaps lie.
                double bump = end(random, -range.droop(), range.bump());
                double steer = end(random, -range.left(), range.right());
                double roll = end(random, -range.roll(), range.roll());
                double there = Sweep.gap(tyre, point, carrier, motion, new Pose(bump, steer, roll));
                assertTrue(there >= least.gap() - Sweep.tolerance(least.gap()), there + " < " + least);
            }
        }
    }

    private static double end(Random random, double least, double most) {
        return switch (random.nextInt(4)) {
            case 0 -> least;
            case 1 -> most;
            default -> least + random.nextDouble() * (most - least);
        };
    }

    /** Deep in a section nothing lies deeper than the middle between its faces. */
    @Test
    void the_slope_is_the_distance_s_own_and_nothing_lies_under_it() {
        Random random = new Random(69);
        double[] slope = new double[2];
        for (int i = 0; i < 300; i++) {
            TyreBody tyre = drawn(random);
            for (int k = 0; k < 60; k++) {
                double a = tyre.middle() + (random.nextDouble() - 0.5) * 600;
                double r = random.nextDouble() * 600;
                double b = tyre.middle() + (random.nextDouble() - 0.5) * 600;
                double q = random.nextDouble() * 600;
                tyre.slope(a, r, slope);
                double plane = tyre.distance(a, r) + slope[0] * (b - a) + slope[1] * (q - r);
                assertTrue(tyre.distance(b, q) >= plane - 1e-9, tyre + " " + a + ", " + r + " to " + b + ", " + q);
                assertTrue(tyre.distance(a, r) >= tyre.deepest() - 1e-9);
            }
        }
    }

    private static double[] point(Random random, TyreBody tyre) {
        double angle = random.nextDouble() * 2 * Math.PI;
        double radius = tyre.outside() + 10 + random.nextInt(120);
        boolean beside = random.nextBoolean();
        double r = beside ? radius * 0.8 : radius;
        double axial = tyre.middle()
                + (beside
                        ? (random.nextBoolean() ? 1 : -1) * (tyre.half() + 10 + random.nextInt(60))
                        : random.nextInt(80));
        return new double[] {r * Math.sin(angle), axial, r * Math.cos(angle)};
    }

    @Test
    void larger_tyres_and_larger_ranges_never_enlarge_a_gap() {
        Random random = new Random(63);
        List<String> rising = List.of("205/45R17", "225/45R17", "225/50R17", "245/50R17", "255/55R17");
        for (int i = 0; i < 60; i++) {
            double[] point = point(random, TyreBody.of(fitment("255/55R17", "7.5Jx17 ET45")));
            double last = Double.POSITIVE_INFINITY;
            for (String size : rising) {
                double gap = Sweep.run(TyreBody.grown(fitment(size, "7.5Jx17 ET45")), point, Carrier.BODY, MOTION)
                        .gap();
                assertTrue(gap <= last + Sweep.tolerance(gap), size);
                last = gap;
            }
            Motion wider = new StraightMotion(
                    new Range(80, 90, Math.toRadians(36), Math.toRadians(42), Math.toRadians(4)),
                    Math.toRadians(-0.02),
                    60);
            double more =
                    Sweep.run(TyreBody.of(NOW), point, Carrier.BODY, wider).gap();
            double less =
                    Sweep.run(TyreBody.of(NOW), point, Carrier.BODY, MOTION).gap();
            assertTrue(more <= less + Sweep.tolerance(more), more + " over " + less);
        }
    }

    @Test
    void a_wheel_further_out_never_enlarges_an_outer_gap_and_mirrors_are_alike() {
        Motion ahead = new StraightMotion(new Range(60, 70, 0, 0, 0), 0, 0);
        Random random = new Random(64);
        for (int i = 0; i < 100; i++) {
            TyreBody tyre = TyreBody.of(NOW);
            double[] point = point(random, tyre);
            point[1] = tyre.middle() + tyre.half() + 5 + random.nextInt(60);
            double last = Double.POSITIVE_INFINITY;
            for (String wheel : List.of("7.5Jx17 ET50", "7.5Jx17 ET45", "7.5Jx17 ET30", "7.5Jx17 ET20")) {
                double gap = Sweep.run(TyreBody.of(fitment("225/45R17", wheel)), point, Carrier.BODY, ahead)
                        .gap();
                assertTrue(gap <= last + Sweep.tolerance(gap), wheel);
                last = gap;
            }
            Motion centred = new StraightMotion(RANGE, 0, 0);
            Motion mirror = new StraightMotion(new Range(60, 70, RANGE.right(), RANGE.left(), RANGE.roll()), 0, 0);
            TyreBody mirrored = new TyreBody(
                    -tyre.middle(), tyre.half(), tyre.bead(), tyre.outside(), tyre.shoulder(), tyre.heel());
            double[] across = {point[0], -point[1], point[2]};
            double one = Sweep.run(tyre, point, Carrier.BODY, centred).gap();
            double other = Sweep.run(mirrored, across, Carrier.BODY, mirror).gap();
            assertEquals(one, other, 2 * Sweep.tolerance(one));
        }
    }

    /** A body that leans out over its wheel carries what stands over the tyre outboard; right lock carries the right edge out. */
    @Test
    void roll_and_steer_go_the_way_they_are_called() {
        Motion upright = new StraightMotion(RANGE, 0, 0);
        double[] over = {0, 0, 400};
        upright.toWheel(over, 0, 0, Math.toRadians(3), null);
        assertEquals(400 * Math.sin(Math.toRadians(3)), over[1], 1e-9);
        double[] beside = {300, 0, 0};
        upright.toWheel(beside, 0, Math.toRadians(30), 0, null);
        assertEquals(-150, beside[1], 1e-9, "the wheel's right edge went out, so the point lies inboard of it");
    }

    @Test
    void the_four_words() {
        Sweep.Least at20 = new Sweep.Least(20, Pose.RIDE);
        assertEquals(Word.CLEAR, new Verdict(ProbePlace.STRUT, at20, 2, 6.35).word());
        Verdict close = new Verdict(ProbePlace.FENDER_LIP, new Sweep.Least(2, Pose.RIDE), 2, 9.525);
        assertEquals(Word.CLOSE, close.word());
        assertTrue(close.mayTouch());
        assertEquals(Word.TOUCHES, new Verdict(ProbePlace.HOSE, new Sweep.Least(0, Pose.RIDE), 2, 12.7).word());
        assertTrue(!new Verdict(ProbePlace.FENDER_LIP, new Sweep.Least(8, Pose.RIDE), 2, 9.525).mayTouch());
    }
}
