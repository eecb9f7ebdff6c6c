package abbex.core.truck;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Trucks against statics, trigonometry and pressure times area. */
class TruckChecksTest {
    /** "leaf-1": statics, shape unchanged. */
    @Test
    void leaf() {
        LeafSpan span = new LeafSpan(650, 700);
        assertEquals(24.07, span.axle(0, 50), 0.02);
        assertEquals(2.122, span.turn(0, 50), 0.001);
        assertEquals(50, span.axle(50, 50), 1e-12, "both eyes alike, the axle goes along");
        assertEquals(0, span.turn(50, 50), 1e-12);
        assertEquals(650.0 / 1350, span.shackledShare(), 1e-12);
    }

    /** "bag-1": pressure times area. 1 lbf = 4.448 222 N (NIST SP 811). */
    @Test
    void bags() {
        double lbf = 4.4482216152605;
        HelperBags bags = HelperBags.pair(60 * 25.4 * 25.4);
        assertEquals(600, bags.load(5 * HelperBags.PSI) / lbf, 1e-6);
        assertEquals(5 * HelperBags.PSI, bags.carry(600 * lbf).pressure(), 1e-6);
        assertEquals(0, bags.carry(1000 * lbf).over(), 1e-9);
        HelperBags.Set light = bags.carry(100 * lbf);
        assertEquals(5 * HelperBags.PSI, light.pressure(), 1e-9, "never under the least");
        assertEquals(-500, light.over() / lbf, 1e-6);
        HelperBags.Set heavy = bags.carry(13000 * lbf);
        assertEquals(1000, heavy.over() / lbf, 1e-6, "never over the most");
        assertEquals(0, bags.roll(40, 900, true));
        assertTrue(bags.roll(40, 900, false) > 0);
    }

    private static Shackle drawn(Random random, boolean hangs) {
        double length = 80 + 60 * random.nextDouble();
        double lean = Math.toRadians(-30 + 60 * random.nextDouble());
        double chord = 1200 + 300 * random.nextDouble();
        double z = 40 * random.nextDouble();
        double x = Math.sqrt(chord * chord - z * z);
        // The hanger stands from the eye by the shackle's length, above it or under it.
        return new Shackle(
                chord, x - length * Math.sin(lean), z + (hangs ? 1 : -1) * length * Math.cos(lean), length, hangs);
    }

    /** Both lengths are kept; lean and hanging side come back; a longer shackle undone returns the axle. */
    @Test
    void shackles_close() {
        Random random = new Random(177);
        for (int i = 0; i < 10_000; i++) {
            boolean hangs = random.nextBoolean();
            Shackle one = drawn(random, hangs);
            Shackle.At at = one.at();
            assertEquals(one.chord(), Math.hypot(at.eyeX(), at.eyeZ()), 1e-9);
            assertEquals(one.length(), Math.hypot(at.eyeX() - one.hangerX(), at.eyeZ() - one.hangerZ()), 1e-9);
            assertEquals(hangs, at.eyeZ() < one.hangerZ() || !hangs && at.eyeZ() < one.hangerZ());
            Shackle other = one.with(one.length() + 30);
            Shackle.Move there = one.to(other, 600, 40);
            Shackle.Move back = other.to(one, 600, 40);
            assertEquals(0, there.up() + back.up(), 1e-9);
            assertEquals(0, there.turn() + back.turn(), 1e-12);
            // A longer shackle that is pulled lets the frame down; one that is pressed lifts it.
            assertEquals(hangs, there.up() < 0, one::toString);
        }
    }

    /** An eye moved by 50 mm: the stiff body against small-move statics within 1 mm at the axle. */
    @Test
    void stiff_body_against_small_moves() {
        Random random = new Random(178);
        double worst = 0;
        for (int i = 0; i < 10_000; i++) {
            double chord = 1200 + 300 * random.nextDouble();
            double fixed = chord * (0.4 + 0.15 * random.nextDouble());
            Shackle one = new Shackle(chord, chord, 100, 100, true);
            Shackle.At at = one.at();
            double by = 50 * (random.nextBoolean() ? 1 : -1);
            Shackle other = one.moved(0, by);
            double eye = other.at().eyeZ() - at.eyeZ();
            double exact = one.to(other, fixed, 0).up();
            worst = Math.max(worst, Math.abs(exact - new LeafSpan(fixed, chord - fixed).axle(0, eye)));
        }
        double most = worst;
        assertTrue(most < 1, () -> most + " mm");
    }

    @Test
    void a_shackle_that_turns_over_or_does_not_meet_is_told() {
        assertFalse(new Shackle(1300, 1300, 100, 100, true).at().turnsOver());
        Shackle flat = new Shackle(1300, 1203, 10, 100, true);
        assertTrue(flat.at().turnsOver(), () -> flat.at().toString());
        assertTrue(flat.growth() < 5);
        String far = assertThrows(IllegalArgumentException.class, () -> new Shackle(1300, 1500, 0, 100, true).at())
                .getMessage();
        assertTrue(far.contains("100"), far);
    }

    /** Working angles in one plane are differences; equal and opposite ones leave nothing; out of it they are by the dot product. */
    @Test
    void drivelines() {
        Driveline even = new Driveline(
                Driveline.Direction.down(4),
                Driveline.Direction.down(6.5),
                Optional.empty(),
                Driveline.Direction.down(4));
        assertEquals(2.5, even.joints().get(0), 1e-9);
        assertEquals(2.5, even.joints().get(1), 1e-9);
        assertEquals(0, even.uneven(), 1e-6);
        assertEquals(0, even.wedge(), 1e-12);
        Driveline turned = even.turned(2.122);
        assertEquals(-2.122, turned.wedge(), 1e-12);
        assertEquals(Math.sqrt(2.5 * 2.5 - 0.378 * 0.378), turned.uneven(), 1e-6);
        assertEquals(0, turned.turned(turned.wedge()).uneven(), 1e-5);
        Driveline.Direction aside = new Driveline.Direction(3, 4);
        double dot =
                1 / Math.sqrt(1 + Math.pow(Math.tan(Math.toRadians(3)), 2) + Math.pow(Math.tan(Math.toRadians(4)), 2));
        assertEquals(Math.toDegrees(Math.acos(dot)), aside.to(Driveline.Direction.down(0)), 1e-7);
        Driveline two = new Driveline(
                Driveline.Direction.down(3),
                Driveline.Direction.down(3.5),
                Optional.of(Driveline.Direction.down(6)),
                Driveline.Direction.down(3.5));
        assertEquals(3, two.joints().size());
        for (List<Double> row : List.of(List.of(1000.0, 11.5), List.of(3250.0, 5.415), List.of(9000.0, 3.25))) {
            assertEquals(row.get(1), Driveline.limit(row.get(0)), 1e-9);
        }
        assertEquals(0, Driveline.slip(1500, 200, 0, 0), 1e-9);
        assertTrue(Driveline.slip(1500, 200, 100, 0) < 0, "up towards level the joints come nearer in height");
    }
}
