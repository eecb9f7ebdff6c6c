package abbex.core.motion;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.vehicle.Corner;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What every motion promises, by laws: of the straight one and of a trailing arm, whose wheel goes on a circle. */
class MotionTest {
    private static final int POSES = 400;
    private static final Range RANGE = Range.usual(Corner.RF);

    static Stream<Motion> motions() {
        return Stream.of(
                new StraightMotion(RANGE, 0, 60),
                new StraightMotion(
                        RANGE, Math.toRadians(-1.2), Math.toRadians(-0.03), Math.toRadians(0.004), USUAL_INBOARD),
                new StraightMotion(RANGE, Math.toRadians(2), Math.toRadians(0.05), Math.toRadians(-0.01), -40),
                new TrailingArm(RANGE, 380, 0, 60),
                new TrailingArm(RANGE, 520, Math.toRadians(-1), 0));
    }

    private static final double USUAL_INBOARD = StraightMotion.USUAL_AXIS;

    private static Pose pose(Random random) {
        return new Pose(
                -RANGE.droop() + random.nextDouble() * (RANGE.droop() + RANGE.bump()),
                -RANGE.left() + random.nextDouble() * (RANGE.left() + RANGE.right()),
                (2 * random.nextDouble() - 1) * RANGE.roll());
    }

    private static double[] point(Random random) {
        return new double[] {
            (random.nextDouble() - 0.5) * 800, (random.nextDouble() - 0.5) * 500, (random.nextDouble() - 0.5) * 900
        };
    }

    private static double[] put(Motion motion, double[] point, Pose pose) {
        double[] there = point.clone();
        motion.toWheel(there, pose.bump(), pose.steer(), pose.roll(), null);
        return there;
    }

    @ParameterizedTest
    @MethodSource("motions")
    void the_wheel_s_own_centre_and_axis_go_where_it_says(Motion motion) {
        Random random = new Random(71);
        for (int i = 0; i < POSES; i++) {
            Pose pose = pose(random);
            WheelPose wheel = motion.at(pose);
            double[] axis = wheel.axis();
            assertArrayEquals(
                    new double[] {0, 0, 0},
                    put(motion, new double[] {wheel.ahead(), wheel.outboard(), wheel.up()}, pose),
                    1e-9);
            assertArrayEquals(
                    new double[] {0, 100, 0},
                    put(
                            motion,
                            new double[] {
                                wheel.ahead() + 100 * axis[0],
                                wheel.outboard() + 100 * axis[1],
                                wheel.up() + 100 * axis[2]
                            },
                            pose),
                    1e-9);
        }
    }

    /** Nothing is stretched: two points stay as far apart as they were. */
    @ParameterizedTest
    @MethodSource("motions")
    void it_is_rigid(Motion motion) {
        Random random = new Random(72);
        for (int i = 0; i < POSES; i++) {
            Pose pose = pose(random);
            double[] a = point(random);
            double[] b = point(random);
            assertEquals(apart(a, b), apart(put(motion, a, pose), put(motion, b, pose)), 1e-9);
        }
    }

    private static double apart(double[] a, double[] b) {
        return Math.sqrt(Math.pow(a[0] - b[0], 2) + Math.pow(a[1] - b[1], 2) + Math.pow(a[2] - b[2], 2));
    }

    /** Against differences of the motion itself. */
    @ParameterizedTest
    @MethodSource("motions")
    void its_slopes_are_its_own(Motion motion) {
        Random random = new Random(73);
        for (int i = 0; i < POSES; i++) {
            Pose p = pose(random);
            double[] point = point(random);
            double[] slopes = new double[9];
            double[] there = point.clone();
            motion.toWheel(there, p.bump(), p.steer(), p.roll(), slopes);
            double h = 1e-4;
            check(motion, point, p, new Pose(p.bump() + h, p.steer(), p.roll()), h, slopes, 0);
            check(motion, point, p, new Pose(p.bump(), p.steer() + h, p.roll()), h, slopes, 3);
            check(motion, point, p, new Pose(p.bump(), p.steer(), p.roll() + h), h, slopes, 6);
        }
    }

    private static void check(Motion motion, double[] point, Pose at, Pose next, double h, double[] slopes, int from) {
        double[] a = put(motion, point, at);
        double[] b = put(motion, point, next);
        for (int i = 0; i < 3; i++) {
            assertEquals((b[i] - a[i]) / h, slopes[from + i], 0.1, at + " axis " + i);
        }
    }

    /** What the sweep's bounds stand on: nothing goes faster than it says, and nothing strays further from its tangent. */
    @ParameterizedTest
    @MethodSource("motions")
    void its_bounds_hold(Motion motion) {
        Random random = new Random(74);
        for (int i = 0; i < POSES; i++) {
            Pose p = pose(random);
            Pose q = pose(random);
            double[] point = point(random);
            Motion.Reach reach = motion.reach(point);
            double bump = Math.abs(q.bump() - p.bump());
            double steer = Math.abs(q.steer() - p.steer());
            double roll = Math.abs(q.roll() - p.roll());
            double[] slopes = new double[9];
            double[] tangent = point.clone();
            motion.toWheel(tangent, p.bump(), p.steer(), p.roll(), slopes);
            double[] there = put(motion, point, q);
            assertTrue(
                    apart(tangent, there) <= bump * reach.bump() + steer * reach.steer() + roll * reach.roll() + 1e-9);
            for (int axis = 0; axis < 3; axis++) {
                tangent[axis] += slopes[axis] * (q.bump() - p.bump())
                        + slopes[3 + axis] * (q.steer() - p.steer())
                        + slopes[6 + axis] * (q.roll() - p.roll());
            }
            double bend = reach.bend(bump, steer, roll);
            assertTrue(apart(tangent, there) <= bend + 1e-9, p + " to " + q + ": " + bend);
        }
    }

    @ParameterizedTest
    @MethodSource("motions")
    void it_leans_and_is_ranged_without_moving_else(Motion motion) {
        Random random = new Random(75);
        Range small = new Range(10, 20, 0, 0.1, 0);
        assertEquals(small, motion.withRange(small).range());
        for (int i = 0; i < POSES; i++) {
            Pose pose = pose(random);
            WheelPose was = motion.at(pose);
            WheelPose leaned = motion.leaned(-0.02).at(pose);
            assertEquals(was, motion.withRange(small).at(pose));
            assertEquals(was.camber() - 0.02, leaned.camber(), 1e-12);
            assertEquals(was.up(), leaned.up(), 1e-12);
            assertTrue(RANGE.holds(pose) && small.holds(small.nearest(pose)));
        }
    }
}
