package abbex.core.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.truck.Shackle;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * Trucks that are drawn, measured and planned: longer shackles, hangers hung elsewhere, flips with saddles, bags. The truth is found
 * by turning the pack until its eye lies on the shackle's circle, and every width of the measuring is multiplied by a factor of
 * the truck's own from 0.7 to 1.4.
 */
class TruckSimulationTest {
    private static final int TRUCKS = 1000;

    /** A shackle's length as it is read, mm: the old one's and the new one's make a millimetre together. */
    private static final double CALLIPER = Math.sqrt(0.5);

    private static double between(Random random, double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    /** How far a pack has to turn about its fixed eye, radians, its other eye up positive, by halving. */
    private static double turned(double chord, double hangerX, double hangerZ, double length, boolean grows) {
        // The eye stays on its side of the hanger.
        double level = Math.atan2(hangerZ, hangerX);
        double low = grows ? level : -0.35;
        double high = grows ? 0.35 : level;
        for (int i = 0; i < 80; i++) {
            double middle = (low + high) / 2;
            double away = Math.hypot(chord * Math.cos(middle) - hangerX, chord * Math.sin(middle) - hangerZ);
            if (away > length == grows) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return low;
    }

    /** A truck as it is, and what was planned of it. */
    private static final class Held {
        int drop;
        int pinion;
        int uneven;
        int all;
    }

    private static void look(Random random, Held held) {
        double factor = between(random, 0.7, 1.4);
        boolean levers = random.nextBoolean();
        double fixed = levers ? between(random, 560, 720) : 650 + factor * random.nextGaussian() * 40;
        double shackled = levers ? between(random, 600, 780) : 650 + factor * random.nextGaussian() * 40;
        double length = between(random, 90, 140);
        double lean = between(random, -5, 30);
        boolean hangs = random.nextBoolean();
        // A longer shackle lets down where the eye stands over its hanger's bolt in the frame, and lifts where it
        // hangs.
        double other = length + between(random, hangs ? -30 : 15, hangs ? -10 : 60);
        double chord = fixed + shackled;
        double hx = chord - length * Math.sin(Math.toRadians(lean));
        double hz = (hangs ? 1 : -1) * length * Math.cos(Math.toRadians(lean));
        if (other < 45) {
            return;
        }
        double turn = turned(chord, hx, hz, other, !hangs);
        double down = fixed * Math.sin(turn);
        Shackled.Measures measures = new Shackled.Measures(
                levers ? Optional.of(fixed + factor * random.nextGaussian() * 1.5) : Optional.empty(),
                levers ? Optional.of(shackled + factor * random.nextGaussian() * 1.5) : Optional.empty(),
                length + factor * random.nextGaussian() * CALLIPER,
                lean + factor * random.nextGaussian() * 1.5,
                hangs);
        Shackled part = Shackled.of(
                measures, new Shackled.Change(other + factor * random.nextGaussian() * CALLIPER, false, 0, 0));
        if (!part.troubles(End.REAR).isEmpty()) {
            return;
        }
        double flip = between(random, 120, 190);
        Flipped flipped = new Flipped(
                Length.ofRoundedMm(flip / 2 + factor * random.nextGaussian() * 1.5),
                Length.ofRoundedMm(flip / 2),
                Length.ZERO,
                Length.ZERO);
        boolean flips = random.nextInt(3) == 0;
        Told load = Typical.load(VehicleKind.TRUCK, End.REAR);
        EndNow now = new EndNow(
                load,
                Typical.ratio(Architecture.SOLID_AXLE_LEAF),
                Typical.rodRatio(Architecture.SOLID_AXLE_LEAF),
                Typical.wheelRate(load),
                Optional.empty(),
                Optional.empty(),
                new DamperFacts(Typical.TWIN_TUBE, Optional.empty(), Optional.empty()),
                Optional.empty(),
                Optional.empty());
        EndKit kit = EndKit.NOTHING.withParts(flips ? List.of(part, flipped) : List.of(part));
        double engine = between(random, 1, 5);
        double shaft = between(random, 2, 8);
        double pinion = between(random, -5, 0);
        double saddle = flips ? between(random, -3, 3) : 0;
        double reach = between(random, 1100, 1500);
        double ahead = 300 + factor * random.nextGaussian() * 40;
        Truck truck = new Truck(
                Optional.of(new Truck.Shafts(
                        gauge(engine, factor, random),
                        gauge(shaft, factor, random),
                        Optional.empty(),
                        gauge(pinion, factor, random),
                        Told.measured(reach + factor * random.nextGaussian() * 3, 3))),
                Optional.empty(),
                Optional.empty(),
                saddle == 0 ? Told.measured(0, 0) : gauge(saddle, factor, random));
        KitPlan plan = KitPlan.predict(
                        new PerEnd<>(now, now),
                        new PerEnd<>(EndKit.NOTHING, kit),
                        PerEnd.of(end -> EndPlan.USUAL_SETTLING))
                .on(truck, kit);
        TruckPlan.Line line = plan.truck().orElseThrow().driveline().orElseThrow();
        double nose = -Math.toDegrees(turn) + saddle;
        double drop = down + (flips ? flip : 0);
        double up = drop + ahead * Math.sin(Math.toRadians(nose));
        double then = Math.toDegrees(
                Math.atan((reach * Math.sin(Math.toRadians(shaft)) - up) / (reach * Math.cos(Math.toRadians(shaft)))));
        double uneven = Math.sqrt(Math.abs(Math.pow(then - engine, 2) - Math.pow(pinion + nose - then, 2)));
        held.all++;
        held.drop += plan.ends().rear().orElseThrow().setDown().holds(drop) ? 1 : 0;
        held.pinion += line.pinion().holds(pinion + nose) ? 1 : 0;
        held.uneven += line.uneven().holds(uneven) ? 1 : 0;
    }

    private static Told gauge(double truth, double factor, Random random) {
        return Told.measured(truth + factor * random.nextGaussian() * 0.3, 0.3);
    }

    private static void between(String what, int held, int all) {
        double part = 100.0 * held / all;
        assertTrue(part >= 93 && part <= 97, what + " held in " + part + " % of " + all);
    }

    @Test
    void ninety_five_of_a_hundred_trucks_stand_within_their_intervals() {
        Random random = new Random(1711);
        Held held = new Held();
        while (held.all < TRUCKS) {
            look(random, held);
        }
        System.out.printf("%d trucks: drop %d, pinion %d, uneven %d%n", held.all, held.drop, held.pinion, held.uneven);
        between("drop", held.drop, held.all);
        between("pinion", held.pinion, held.all);
        between("uneven", held.uneven, held.all);
    }

    /** Done and undone it stands where it stood; a spring that keeps its shape turns as a stiff body. */
    @Test
    void a_shackle_that_is_put_back_puts_the_axle_back() {
        Random random = new Random(1712);
        for (int i = 0; i < 500; i++) {
            double chord = between(random, 1150, 1500);
            double length = between(random, 90, 140);
            Shackle was = Shackled.Measures.at(chord, length, between(random, -5, 30), random.nextBoolean());
            Shackle is =
                    was.with(length + between(random, -20, 30)).moved(between(random, -8, 8), between(random, -8, 8));
            if (is.gap() > 0) {
                continue;
            }
            Shackle.Move there = was.to(is, 600, 40);
            Shackle.Move back = is.to(was, 600, 40);
            assertEquals(0, there.up() + back.up(), 1e-9);
            assertEquals(0, there.towards() + back.towards(), 1e-9);
            assertEquals(0, there.turn() + back.turn(), 1e-9);
        }
    }

    /** Small-move statics: an eye 50 mm away moves the axle by the other lever over the pack, within a millimetre. */
    @Test
    void a_stiff_pack_moves_its_axle_as_small_moves_say_within_a_millimetre_at_50_mm() {
        Random random = new Random(1713);
        double worst = 0;
        for (int i = 0; i < 500; i++) {
            double fixed = between(random, 560, 720);
            double chord = fixed + between(random, 600, 780);
            double sin = 50 / chord;
            double stiff = fixed * sin;
            worst = Math.max(worst, Math.abs(stiff - 50 * fixed / chord));
            // By the shackle itself: perpendicular, and as much longer as lets its eye up by 50 mm.
            Shackle was = Shackled.Measures.at(chord, 200, 0, false);
            double eye = Math.hypot(Math.sqrt(chord * chord - 2500) - was.hangerX(), 50 - was.hangerZ());
            worst = Math.max(worst, Math.abs(was.to(was.with(eye), fixed, 0).up() - 50 * fixed / chord));
        }
        assertTrue(worst < 1, worst + " mm");
    }
}
