package abbex.core.springs;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.Checks;
import abbex.core.springs.SpringLaw.Dual;
import abbex.core.springs.SpringLaw.Linear;
import abbex.core.springs.SpringLaw.Measured;
import abbex.core.springs.SpringLaw.Point;
import abbex.core.springs.SpringLaw.Progressive;
import java.util.List;
import java.util.regex.Pattern;
import org.hipparchus.analysis.integration.RombergIntegrator;
import org.junit.jupiter.api.Test;

/** Springs against rows of checks.csv by id, against a general library's quadrature, and bad input. */
class SpringChecksTest {
    /** The numbers of a row's expectation, in their order. */
    private static double[] expected(String id) {
        return Pattern.compile("-?\\d+(?:\\.\\d+)?")
                .matcher(Checks.row(id).expected())
                .results()
                .mapToDouble(m -> Double.parseDouble(m.group()))
                .toArray();
    }

    @Test
    void spring_1_rate_by_wire_diameter_and_coils() {
        Material[] materials = {Material.PATENTED, Material.OIL_TEMPERED, Material.HOT_FORMED};
        double[] rates = expected("spring-1");
        for (int i = 0; i < materials.length; i++) {
            assertEquals(rates[i], new Coil(12, 120, 6, 7.5, true, materials[i]).rate(), 0.001);
        }
    }

    /** Until the soft one is solid, then the stiff one alone. */
    @Test
    void spring_2_two_in_series() {
        Dual dual = new Dual(40, 30, 120, 60);
        assertEquals(expected("spring-2")[0], dual.together(), 1e-12);
        assertEquals(30, dual.rate(10), 1e-12);
        assertEquals(40, dual.lockOut(), 1e-12);
        assertEquals(1200, dual.force(40), 1e-9);
        assertEquals(1200 + 120 * 5, dual.force(45), 1e-9);
        assertEquals(120, dual.rate(45), 1e-12);
        assertEquals(90, dual.solid(), 1e-12);
    }

    @Test
    void spring_3_and_4_frequency() {
        assertEquals(expected("spring-3")[0], Ride.deflection(1), 0.1);
        assertEquals(expected("spring-4")[0], Ride.frequency(30, 350), 0.001);
        assertEquals(1, Ride.frequency(350 * 9.80665 / Ride.deflection(1), 350), 1e-12);
    }

    @Test
    void spring_5_stress() {
        Coil coil = new Coil(12, 120, 6, 7.5, true, Material.OIL_TEMPERED);
        double[] row = expected("spring-5");
        assertEquals(row[0], coil.stress(4000), 0.01);
        assertEquals(1.13514, coil.curvature(), 0.00001);
        assertEquals(row[row.length - 1], coil.corrected(4000), 0.01);
        assertEquals(90, coil.solidLength(), 1e-12);
        assertEquals(108, new Coil(12, 120, 6, 7.5, false, Material.OIL_TEMPERED).solidLength(), 1e-12);
    }

    /** Coaxial 150 N on 30 N/mm at a motion ratio of 0.6. */
    @Test
    void gas_1_lifts_the_wheel() {
        double without =
                CornerRestTest.corner(3000, 0.6, new Linear(30, 250), 0).solve().travel();
        double with = CornerRestTest.corner(3000, 0.6, new Linear(30, 250), 150)
                .solve()
                .travel();
        assertEquals(expected("gas-1")[0], without - with, 0.001);
    }

    /** The handbook's worked example: 4,000 N at 200 mm take 360 mm of 25 N/mm and 300 of 40: sixty shorter, no drop. */
    @Test
    void a_shorter_stiffer_spring_may_drop_nothing() {
        CornerRest soft = CornerRestTest.corner(4000, 1, new Linear(25, 250), 0);
        assertEquals(360, soft.freeFor(25, 0), 1e-9);
        assertEquals(300, soft.freeFor(40, 0), 1e-9);
    }

    /** A progressive spring's force is the integral of its rate: against Romberg's quadrature of a general library. */
    @Test
    void a_progressive_spring_against_quadrature() {
        Progressive law = Progressive.of(List.of(
                new Point(0, 18), new Point(40, 22), new Point(70, 41), new Point(120, 55), new Point(150, 90)));
        for (double to : new double[] {0.5, 39.9, 40, 66.6, 70, 99, 120, 149, 150}) {
            double sum = 0;
            double[] knots = {0, 40, 70, 120, 150};
            for (int i = 1; i < knots.length && knots[i - 1] < to; i++) {
                sum += new RombergIntegrator(1e-12, 1e-10, 4, 20)
                        .integrate(10_000, law::rate, knots[i - 1], Math.min(knots[i], to) - 1e-13);
            }
            assertEquals(sum, law.force(to), 1e-6, "at " + to);
        }
    }

    @Test
    void a_table_of_forces_is_met_at_its_points() {
        Measured law = new Measured(List.of(new Point(0, 0), new Point(10, 100), new Point(20, 300)));
        assertEquals(100, law.force(10), 1e-12);
        assertEquals(200, law.force(15), 1e-12);
        assertEquals(20, law.rate(15), 1e-12);
        assertEquals(400, law.force(25), 1e-12, "beyond its end it goes on as it ended");
    }

    /** Three rings crush three times as far as one under the same force; what is cut off is missing from the height. */
    @Test
    void a_stop_of_rings() {
        Measured ring = new Measured(List.of(new Point(0, 0), new Point(5, 300), new Point(12, 3000)));
        BumpStop three = new BumpStop(ring, 3, 20);
        assertEquals(60, three.height(), 1e-12);
        assertEquals(ring.force(4), three.force(12), 1e-9);
        BumpStop two = three.trimmed(1);
        assertEquals(40, two.height(), 1e-12);
        assertTrue(two.force(12) > three.force(12));
        assertEquals(two.rate(9), ring.rate(4.5) / 2, 1e-12);
        assertThrows(IllegalArgumentException.class, () -> three.trimmed(3));
    }

    @Test
    void what_cannot_be_a_spring_is_refused_by_name() {
        assertThrows(IllegalArgumentException.class, () -> new Linear(0, 100));
        assertThrows(IllegalArgumentException.class, () -> new Spring(new Linear(25, 200), 199));
        assertThrows(IllegalArgumentException.class, () -> new Coil(12, 11, 6, 7, true, Material.PATENTED));
        assertThrows(IllegalArgumentException.class, () -> new Coil(12, 120, 8, 7, true, Material.PATENTED));
        assertThrows(
                IllegalArgumentException.class,
                () -> new Measured(List.of(new Point(0, 0), new Point(10, 100), new Point(20, 90))));
        assertThrows(IllegalArgumentException.class, () -> Progressive.of(List.of(new Point(0, 20), new Point(0, 30))));
        assertThrows(IllegalArgumentException.class, () -> new Dual(40, 30, 10, 60));
        assertThrows(IllegalArgumentException.class, () -> new Damper(3, 10, 10, 0));
        assertThrows(IllegalArgumentException.class, () -> CornerRestTest.corner(-5, 1, new Linear(25, 200), 0));
    }
}
