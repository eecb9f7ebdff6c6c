package abbex.core.parts;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.springs.Coil;
import abbex.core.springs.Material;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A spring under the calliper. */
class CalliperTest {
    /** checks.csv spring-1: d 12, D 120, n 6, G 79,500: 19.875 N/mm (EN 13906-1). */
    @Test
    void the_rate_is_that_of_the_standards_formula() {
        assertEquals(19.875, Calliper.of(12, 132, 7.75, 1.75).rate(), 0.001);
    }

    @Test
    void no_spring_is_wider_in_wire_than_in_coil() {
        assertThrows(IllegalArgumentException.class, () -> Calliper.of(12, 20, 7, 1.75));
        assertThrows(IllegalArgumentException.class, () -> Calliper.of(12, 130, 1.5, 1.75));
    }

    /** Springs read with a calliper that is as good as believed, and half as good: how often the true rate lies within. */
    @Test
    void the_true_rate_lies_within_as_often_as_it_says() {
        Random random = new Random(21);
        for (double times : new double[] {1, 1.5}) {
            int within = 0;
            int all = 4000;
            for (int n = 0; n < all; n++) {
                double wire = 10 + 6 * random.nextDouble();
                double mean = 90 + 60 * random.nextDouble();
                double total = 6 + 4 * random.nextDouble();
                double resting = 1.75 + times * 0.12 / Math.sqrt(2) * random.nextGaussian();
                Coil coil = new Coil(wire, mean, total - resting, total, false, Material.OIL_TEMPERED);
                double truth = coil.rate() * (1 + times * 0.01 * random.nextGaussian());
                Calliper read = Calliper.of(
                        wire + times * 0.06 * random.nextGaussian(),
                        wire + mean + times * 0.4 * random.nextGaussian(),
                        total + times * 0.12 / Math.sqrt(2) * random.nextGaussian(),
                        Calliper.RESTING);
                within += read.agrees(truth) ? 1 : 0;
            }
            double share = (double) within / all;
            assertTrue(share > (times == 1 ? 0.93 : 0.78), times + ": " + share);
        }
    }

    /** A listing of another spring, a fifth softer, is told from one that is only printed roughly. */
    @Test
    void another_spring_is_told() {
        Calliper read = Calliper.of(12.5, 134, 7.5, 1.75);
        assertTrue(read.agrees(read.rate() * 1.03));
        assertTrue(!read.agrees(read.rate() * 0.8));
        assertTrue(read.standard() / read.rate() < 0.06, read.standard() / read.rate() + "");
    }
}
