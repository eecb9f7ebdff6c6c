package abbex.core.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.motorcycle.RearLinkage;
import abbex.core.motorcycle.RearLinkage.Kind;
import abbex.core.motorcycle.RearLinkage.Point;
import abbex.core.motorcycle.SideStand;
import abbex.core.motorcycle.Steering;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

/**
 * Motorcycles that are drawn, measured and planned. What really happens is worked out here by other means: by halving until forces
 * balance, with vectors, and with every width of the measuring multiplied by a factor of the machine's own from 0.7 to 1.4.
 */
class MotorcycleSimulationTest {
    private static final int MACHINES = 1000;

    /** One that was drawn: how well its people measure, and how it is. */
    private static final class Drawn {
        final Random random;
        final double factor;
        final double[] points;
        final double load;
        final double wheelbase;
        final double radius;
        final double head;
        final double offset;
        final double[] leg;
        final double place;

        Drawn(Random random) {
            this.random = random;
            factor = between(0.7, 1.4);
            double[][] ranges = {
                {560, 640}, {-80, -50}, {60, 60}, {-120, -90}, {120, 150}, {-150, -110},
                {190, 190}, {-20, 0}, {110, 150}, {-80, -50}, {30, 90}, {230, 300}
            };
            points = new double[ranges.length];
            for (int i = 0; i < points.length; i++) {
                points[i] = between(ranges[i][0], ranges[i][1]);
            }
            load = Typical.load(VehicleKind.MOTORCYCLE, End.REAR).value() + factor * random.nextGaussian() * 300;
            wheelbase = between(1380, 1560);
            radius = between(290, 325);
            head = between(22, 32);
            offset = between(25, 55);
            place = 0.5 + factor * random.nextGaussian() * 0.06;
            leg = new double[] {between(230, 290), between(90, 140), between(240, 280), between(20, 40)};
        }

        double between(double low, double high) {
            return low + (high - low) * random.nextDouble();
        }

        /** As read, with one standard deviation of what its people do. */
        double read(double truth, double standard) {
            return truth + factor * random.nextGaussian() * standard;
        }
    }

    private static double[] turned(double x, double z, double by) {
        return new double[] {x * Math.cos(by) - z * Math.sin(by), x * Math.sin(by) + z * Math.cos(by)};
    }

    /** The spring's length with the arm turned by so much, the rocker found by halving; x behind the pivot. */
    private static double spring(double[] p, double link, double turn) {
        double[] far = turned(-p[6], p[7], -turn);
        double rx = -p[2];
        double rz = p[3];
        double kx = -p[4] - rx;
        double kz = p[5] - rz;
        DoubleUnaryOperator miss = angle -> {
            double[] knee = turned(kx, kz, angle);
            return Math.hypot(rx + knee[0] - far[0], rz + knee[1] - far[1]) - link;
        };
        double low = -0.9;
        double high = 0.9;
        // The link shoves the rocker one way only there.
        boolean grows = miss.applyAsDouble(0.3) > miss.applyAsDouble(-0.3);
        for (int i = 0; i < 50; i++) {
            double middle = (low + high) / 2;
            if (miss.applyAsDouble(middle) > 0 == grows) {
                high = middle;
            } else {
                low = middle;
            }
        }
        double[] foot = turned(-p[8] - rx, p[9] - rz, low);
        return Math.hypot(rx + foot[0] + p[10], rz + foot[1] - p[11]);
    }

    /** How far the axle is up with the arm turned by so much. */
    private static double up(double[] p, double turn) {
        return turned(-p[0], p[1], -turn)[1] - p[1];
    }

    private static final double STEP = 1e-5;

    private static double link(Drawn d) {
        return Math.hypot(d.points[4] - d.points[6], d.points[5] - d.points[7]);
    }

    private static double ratio(Drawn d) {
        double shorter = spring(d.points, link(d), -STEP) - spring(d.points, link(d), STEP);
        return shorter / (up(d.points, STEP) - up(d.points, -STEP));
    }

    /** Where load and spring balance by virtual work, by halving. */
    private static double drop(Drawn d, double longer, double slope, double rate) {
        double link = link(d);
        double h = STEP;
        double length = spring(d.points, link, 0);
        double force = d.load / slope;
        double low = -0.2;
        double high = 0.2;
        for (int i = 0; i < 50; i++) {
            double middle = (low + high) / 2;
            double is = link + longer;
            double ratio = -(spring(d.points, is, middle + h) - spring(d.points, is, middle - h))
                    / (up(d.points, middle + h) - up(d.points, middle - h));
            double push = (force + rate * (length - spring(d.points, is, middle))) * ratio;
            if (push < d.load) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return up(d.points, low);
    }

    /** Where the steering axis meets the ground before the contact point, by vectors. */
    private static double trail(double radius, double head, double offset) {
        double e = Math.toRadians(head);
        // The axle at (0, R); the axis passes so far behind it, and runs down forward.
        double px = -offset * Math.cos(e);
        double pz = radius - offset * Math.sin(e);
        return px + pz * Math.tan(e);
    }

    private static double lean(double[] leg, double drop) {
        double fy = leg[1] + leg[2] * Math.sin(Math.toRadians(leg[3]));
        double fz = leg[0] - drop - leg[2] * Math.cos(Math.toRadians(leg[3]));
        return Math.toDegrees(Math.atan2(fz, fy));
    }

    /** How many of each were held by their interval. */
    private static final class Held {
        int drop;
        int trail;
        int head;
        int lean;
        int all;
        int left;
    }

    private static void look(Drawn d, Held held) {
        double longer = d.between(3, 9);
        double ratio = ratio(d);
        if (!(ratio > 0.25 && ratio < 1.2 && d.load > 400)) {
            return;
        }
        double rate = d.between(14, 22) / (ratio * ratio);
        double down = drop(d, longer, ratio, rate);
        double[] read = new double[d.points.length];
        for (int i = 0; i < read.length; i++) {
            read[i] = d.read(d.points[i], 2);
        }
        Linked.Measures measures = new Linked.Measures(
                Kind.ROCKER_ON_FRAME,
                new Point(read[0], read[1]),
                new Point(read[2], read[3]),
                new Point(read[4], read[5]),
                new Point(read[6], read[7]),
                new Point(read[8], read[9]),
                new Point(read[10], read[11]));
        Told load = Typical.load(VehicleKind.MOTORCYCLE, End.REAR);
        Linked linked = Linked.of(
                measures,
                new Linked.Change(d.read(longer, 0.3 * Math.sqrt(2)), 0, 0, 0),
                Optional.of(Told.printed(d.read(rate, 0.03 * rate), 0.03 * rate)),
                load);
        if (!linked.troubles(End.REAR).isEmpty() || Math.abs(down) > 80) {
            return;
        }
        EndNow now = new EndNow(
                load,
                Told.typical(0.5, 0.1),
                Told.typical(0.5, 0.1),
                Typical.wheelRate(load),
                Optional.empty(),
                Optional.empty(),
                new DamperFacts(Typical.TWIN_TUBE, Optional.empty(), Optional.empty()),
                Optional.empty(),
                Optional.empty());
        EndKit kit = EndKit.NOTHING.withParts(List.of(linked));
        Machine machine = new Machine(
                Told.measured(d.read(d.wheelbase, 3), 3),
                Optional.of(new Machine.Front(
                        Told.measured(d.read(d.radius, 1.5), 1.5),
                        Told.printed(d.read(d.head, 0.15), 0.15),
                        Told.printed(d.read(d.offset, 1), 1),
                        Optional.empty())),
                Optional.of(new Machine.Leg(
                        Told.measured(d.read(d.leg[0], 1.5), 1.5),
                        Told.measured(d.read(d.leg[1], 2), 2),
                        Told.measured(d.read(d.leg[2], 1.5), 1.5),
                        Told.measured(d.read(d.leg[3], 0.7), 0.7))),
                List.of());
        KitPlan plan = KitPlan.predict(
                        new PerEnd<>(now, now),
                        new PerEnd<>(EndKit.NOTHING, kit),
                        PerEnd.of(end -> EndPlan.USUAL_SETTLING))
                .on(machine);
        MachinePlan is = plan.machine().orElseThrow();
        double head = d.head + Math.toDegrees(Math.asin(down / d.wheelbase));
        held.all++;
        held.drop += plan.ends().rear().orElseThrow().setDown().holds(down) ? 1 : 0;
        held.head += is.steered().orElseThrow().headAngle().holds(head) ? 1 : 0;
        held.trail += is.steered().orElseThrow().trail().holds(trail(d.radius, head, d.offset)) ? 1 : 0;
        held.lean += is.stand().orElseThrow().lean().holds(lean(d.leg, down * d.place)) ? 1 : 0;
    }

    private static void between(String what, int held, int all) {
        assertEquals(MACHINES, all);
        double part = 100.0 * held / all;
        assertTrue(part >= 93 && part <= 97, what + " held in " + part + " % of " + all);
    }

    @Test
    void ninety_five_of_a_hundred_motorcycles_stand_within_their_intervals() {
        Random random = new Random(1701);
        Held held = new Held();
        while (held.all < MACHINES && held.left < 5 * MACHINES) {
            held.left++;
            look(new Drawn(random), held);
        }
        System.out.printf(
                "%d of %d motorcycles: drop %d, head angle %d, trail %d, lean %d%n",
                held.all, held.left, held.drop, held.head, held.trail, held.lean);
        between("drop", held.drop, held.all);
        between("head angle", held.head, held.all);
        between("trail", held.trail, held.all);
        between("lean", held.lean, held.all);
    }

    /** The link put back puts the machine back; what touches on one side touches on the other where it is measured alike. */
    @Test
    void a_link_that_is_put_back_puts_the_machine_back_and_sides_are_alike() {
        Random random = new Random(1703);
        for (int i = 0; i < 500; i++) {
            Drawn d = new Drawn(random);
            double[] p = d.points;
            RearLinkage was = RearLinkage.of(
                    Kind.ROCKER_ON_FRAME,
                    new Point(0, 0),
                    new Point(-p[0], p[1]),
                    new Point(-p[2], p[3]),
                    new Point(-p[4], p[5]),
                    new Point(-p[6], p[7]),
                    new Point(-p[8], p[9]),
                    new Point(-p[10], p[11]));
            if (!(was.ratio(0) > 0.25)) {
                continue;
            }
            double rate = 18 / (was.ratio(0) * was.ratio(0));
            double down = was.drop(was.longer(5), 0, rate, 1200);
            RearLinkage.Pose pose = was.longer(5).at(down).orElseThrow();
            RearLinkage there = RearLinkage.of(
                    Kind.ROCKER_ON_FRAME,
                    was.arm(),
                    pose.axle(),
                    pose.rocker(),
                    pose.knee(),
                    pose.far(),
                    pose.foot(),
                    was.top());
            assertEquals(was.spring(0) - (1200 / there.ratio(0) - 1200 / was.ratio(0)) / rate, there.spring(0), 1e-6);
            assertEquals(-down, there.drop(there.longer(-5), 0, rate, 1200), 1e-6);
        }
        Machine machine = new Machine(
                Told.measured(1450, 3),
                Optional.empty(),
                Optional.empty(),
                List.of(touch(KitFinding.Side.LEFT), touch(KitFinding.Side.RIGHT)));
        MachinePlan plan = machine.turned(Told.measured(10, 2), Told.measured(30, 3));
        assertEquals(plan.touches().get(0).lean(), plan.touches().get(1).lean());
        assertTrue(plan.touches().get(0).lean().value()
                < plan.touches().get(0).before().value());
    }

    private static Machine.Touch touch(KitFinding.Side side) {
        return new Machine.Touch(side, Told.measured(270, 3), Told.measured(300, 3), Told.typical(75, 12));
    }

    /** Laws: the leg that is cut gives the old lean back; the trail by vectors is that of the formula. */
    @Test
    void a_shortened_leg_brings_the_old_lean_back() {
        Random random = new Random(1702);
        for (int i = 0; i < 1000; i++) {
            Drawn d = new Drawn(random);
            double front = d.between(-10, 40);
            double rear = d.between(0, 60);
            Machine machine = new Machine(
                    Told.measured(d.wheelbase, 0),
                    Optional.of(new Machine.Front(
                            Told.measured(d.radius, 0),
                            Told.measured(d.head, 0),
                            Told.measured(d.offset, 0),
                            Optional.empty())),
                    Optional.of(new Machine.Leg(
                            Told.measured(d.leg[0], 0),
                            Told.measured(d.leg[1], 0),
                            Told.measured(d.leg[2], 0),
                            Told.measured(d.leg[3], 0))),
                    List.of());
            MachinePlan plan = machine.turned(Told.measured(front, 0), Told.measured(rear, 0));
            MachinePlan.Leaned stood = plan.stand().orElseThrow();
            SideStand cut = stood.is().with(stood.is().length() - stood.cut().value());
            assertEquals(stood.was().lean(), cut.lean(), 0.05);
            Steering is = plan.steered().orElseThrow().is();
            assertEquals(trail(is.radius(), is.headAngle(), is.offset()), is.groundTrail(), 1e-9);
        }
    }
}
