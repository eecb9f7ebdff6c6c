package abbex.core.motorcycle;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.motorcycle.RearLinkage.Kind;
import abbex.core.motorcycle.RearLinkage.Point;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Motorcycles against Foale's and Cossalter's trail, plane geometry, Freudenstein's equation and virtual work. */
class MotorcycleChecksTest {
    /** "moto-1", "moto-2", "moto-4": Cossalter / Foale trail formula. */
    @Test
    void trail() {
        Steering one = new Steering(300, 24, 30);
        assertEquals(92.02, one.normalTrail(), 0.01);
        assertEquals(100.73, one.groundTrail(), 0.01);
        Steering two = new Steering(312, 26.5, 48);
        assertEquals(91.21, two.normalTrail(), 0.01);
        assertEquals(101.92, two.groundTrail(), 0.01);
        Steering turned = one.turned(Steering.turn(0, 38, 1480));
        assertEquals(25.471, turned.headAngle(), 0.001);
        assertEquals(109.68, turned.groundTrail(), 0.01);
        String ground = assertThrows(IllegalArgumentException.class, () -> new Steering(300, 66, 30))
                .getMessage();
        assertTrue(
                ground.contains("24"), "an angle from the ground is named as what it is from the vertical: " + ground);
    }

    /** "moto-3", "drop-7": trigonometry. A front that comes down as far gives the head angle back. */
    @Test
    void turn_and_slide() {
        assertEquals(1.471, Steering.turn(0, 38, 1480), 0.001);
        assertEquals(18.27, ForkSlide.drop(20, 24), 0.01);
        ForkSlide.Restored whole = new ForkSlide(80, 90, 100).restore(38, 1480, 24);
        assertEquals(38 / Math.cos(Math.toRadians(24)), whole.slide(), 1e-9);
        assertEquals(0, whole.left(), 1e-12);
        ForkSlide short_ = new ForkSlide(30, 12, 25);
        assertEquals(ForkSlide.Stop.CLAMP, short_.stop());
        assertEquals(12, short_.restore(38, 1480, 24).slide());
        assertEquals(
                Math.toDegrees(Math.asin((38 - 12 * Math.cos(Math.toRadians(24))) / 1480)),
                short_.restore(38, 1480, 24).left(),
                1e-12);
    }

    /** "lean-1": plane geometry. Held against the ground found by turning the machine step by step. */
    @Test
    void lean_clearance() {
        assertEquals(36.50, new LeanClearance(200, 300, 90).degrees(), 0.005);
        assertEquals(33.69, new LeanClearance(200, 300, 0).degrees(), 0.005);
        Random random = new Random(171);
        for (int i = 0; i < 2000; i++) {
            double crown = 120 * random.nextDouble();
            double high = 60 + 300 * random.nextDouble();
            double out = crown + 50 + 300 * random.nextDouble();
            double lean = Math.toRadians(new LeanClearance(high, out, crown).degrees());
            // The crown's middle stays at its radius over the ground; the part turns about it.
            double over = crown + (high - crown) * Math.cos(lean) - out * Math.sin(lean);
            assertEquals(0, over, 1e-9);
        }
    }

    /** A stand cut to bring the old lean back brings it back to far less than 0.05°, on 10,000 drawn stands. */
    @Test
    void stand() {
        Random random = new Random(172);
        int drawn = 0;
        while (drawn < 10_000) {
            double length = 180 + 150 * random.nextDouble();
            double spread = 20 + 30 * random.nextDouble();
            double high = length * Math.cos(Math.toRadians(spread)) + 20 + 60 * random.nextDouble();
            SideStand stand = new SideStand(high, 40 + 120 * random.nextDouble(), length, spread);
            SideStand low = stand.lowered(50 * random.nextDouble());
            assertTrue(low.lean() <= stand.lean());
            assertEquals(stand.lean(), low.with(low.legFor(stand.lean())).lean(), 1e-9);
            // Foot and contact line lie on one straight ground: tan(lean) by the foot's own coordinates.
            double up = high - length * Math.cos(Math.toRadians(spread));
            double out = stand.out() + length * Math.sin(Math.toRadians(spread));
            assertEquals(Math.atan2(up, out), Math.toRadians(stand.lean()), 1e-12);
            drawn++;
        }
        assertTrue(SideStand.read(200, 60, 400, 30).isEmpty(), "longer than the machine is high");
        assertTrue(new SideStand(260, 110, 250, 35).lowered(80).lean() < 0, "it stands over to the other side");
    }

    /** "linkage-1": exact plane geometry. Freudenstein's equation on 10,000 drawn four-bars, both ways in which they close. */
    @Test
    void four_bar() {
        FourBar bar = new FourBar(3, 4, 3, 4);
        assertEquals(90, bar.rocker(90, false), 1e-4);
        assertEquals(-163.7398, bar.rocker(90, true), 1e-4);
        Random random = new Random(173);
        int closed = 0;
        for (int i = 0; i < 10_000; i++) {
            double a = 0.5 + random.nextDouble();
            double b = 0.5 + 2 * random.nextDouble();
            double c = 0.5 + 2 * random.nextDouble();
            double d = 0.5 + 2 * random.nextDouble();
            FourBar one = new FourBar(a, b, c, d);
            double crank = 360 * random.nextDouble();
            for (boolean crossed : new boolean[] {false, true}) {
                double rocker = one.rocker(crank, crossed);
                assertEquals(one.gap(crank) > 0, Double.isNaN(rocker));
                if (!Double.isNaN(rocker)) {
                    double two = Math.toRadians(crank);
                    double four = Math.toRadians(rocker);
                    double left = d / a * Math.cos(four)
                            - d / c * Math.cos(two)
                            + (a * a - b * b + c * c + d * d) / (2 * a * c);
                    assertEquals(Math.cos(two - four), left, 1e-9);
                    closed++;
                }
            }
        }
        assertTrue(closed > 5000);
    }

    private static RearLinkage drawn(Random random, Kind kind) {
        Point arm = new Point(0, 380);
        Point axle = new Point(-560 - 80 * random.nextDouble(), 300 + 30 * random.nextDouble());
        Point top = new Point(-40 + 60 * random.nextDouble(), 620 + 60 * random.nextDouble());
        if (kind == Kind.DIRECT) {
            return RearLinkage.direct(arm, axle, new Point(-300 - 100 * random.nextDouble(), 380), top);
        }
        boolean onArm = kind == Kind.ROCKER_ON_ARM;
        Point rocker = onArm
                ? new Point(-160, 330 + 20 * random.nextDouble())
                : new Point(-60, 260 + 30 * random.nextDouble());
        Point knee = new Point(rocker.x() - 60 - 30 * random.nextDouble(), rocker.z() - 40 * random.nextDouble());
        Point far = onArm
                ? new Point(-30, 220 + 20 * random.nextDouble())
                : new Point(-190, 360 + 20 * random.nextDouble());
        Point foot = new Point(rocker.x() + 70 * random.nextDouble() - 20, rocker.z() + 30 + 20 * random.nextDouble());
        return RearLinkage.of(kind, arm, axle, rocker, knee, far, foot, top);
    }

    /** The ratio is what virtual work says: the spring's length differenced over small travels. The path is continuous. */
    @Test
    void virtual_work_on_every_curve() {
        Random random = new Random(174);
        for (int i = 0; i < 1000; i++) {
            RearLinkage one = drawn(random, Kind.values()[i % 3]);
            double last = one.spring(-30);
            for (double z = -30; z <= 60; z += 1) {
                if (one.gap(z - 1) > 0 || one.gap(z + 1) > 0) {
                    continue;
                }
                double h = 1e-4;
                double numeric = (one.spring(z - h) - one.spring(z + h)) / (2 * h);
                assertEquals(numeric, one.ratio(z), 1e-5 * Math.max(1, Math.abs(numeric) * 10), one + " at " + z);
                last = one.spring(z);
                assertTrue(last > 0);
            }
        }
    }

    /** The link keeps its length and the rocker its own, in every pose: by the points themselves. */
    @Test
    void as_drawn_it_stands_as_drawn() {
        Random random = new Random(175);
        for (int i = 0; i < 1000; i++) {
            RearLinkage one = drawn(random, Kind.values()[i % 3]);
            assertEquals(one.foot().away(one.top()), one.spring(0), 1e-9);
            if (!(one.ratio(0) > 0)) {
                assertThrows(IllegalArgumentException.class, () -> one.drop(one, 0, 100, 1500));
                continue;
            }
            assertEquals(0, one.drop(one, 0, Double.POSITIVE_INFINITY, 1500), 1e-9);
        }
    }

    /** A longer link and a shorter shock let the rear down or up and back: undone, the machine stands as before. */
    @Test
    void what_is_undone_is_undone() {
        Random random = new Random(176);
        int stood = 0;
        for (int i = 0; i < 600; i++) {
            RearLinkage one = drawn(random, Kind.values()[i % 3]);
            if (!(Math.abs(one.ratio(0)) > 0.15)) {
                continue;
            }
            double rate = random.nextBoolean() ? Double.POSITIVE_INFINITY : 80 + 80 * random.nextDouble();
            try {
                double drop = one.drop(one.longer(3), 2, rate, 1500);
                double length = one.spring(0);
                RearLinkage other = one.longer(3);
                double give = Double.isInfinite(rate) ? 0 : (1500 / other.ratio(drop) - 1500 / one.ratio(0)) / rate;
                assertEquals(length - 2 - give, other.spring(drop), 1e-6);
                stood++;
            } catch (IllegalArgumentException far) {
                assertTrue(far.getMessage().startsWith("link"));
            }
        }
        assertTrue(stood > 150, "stood " + stood);
    }
}
