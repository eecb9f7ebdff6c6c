package abbex.core.setting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.vehicle.Corner;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Lips over a frame: plane geometry of a body that leans, with one lip moved or none. */
class PanelTest {
    private static final double[] FRAME = {180, 180, 194, 194};

    @Test
    void a_lip_that_stands_higher_over_a_level_frame_is_the_panels() {
        assertEquals(
                Optional.of(new Panel(Corner.RF, Corner.LF, 7)),
                Panel.find(new double[] {650, 657, 660, 660}, FRAME, 0.5));
        assertEquals(Optional.empty(), Panel.find(new double[] {650, 653, 660, 660}, FRAME, 0.5));
        assertEquals(Optional.empty(), Panel.find(new double[] {650, 657, 660, 660}, FRAME, 2), "read too coarsely");
    }

    /** Leaning by up to 15 mm at the lips, frame points at 0.65 to 1 of their width: nobody's panel, in 990 of 1,000 and more. */
    @Test
    void a_body_that_leans_has_no_panel_to_blame() {
        Random random = new Random(3814);
        int blamed = 0;
        for (int i = 0; i < 1000; i++) {
            double lean = 30 * random.nextDouble() - 15;
            double inward = 0.65 + 0.35 * random.nextDouble();
            double[] lips = new double[4];
            double[] frame = new double[4];
            for (Corner corner : Corner.WALK) {
                int c = corner.ordinal();
                double side = corner.isLeft() ? lean / 2 : -lean / 2;
                lips[c] = 650 + side + 0.6 * random.nextGaussian();
                frame[c] = FRAME[c] + inward * side + 0.6 * random.nextGaussian();
            }
            blamed += Panel.find(lips, frame, 0.6).isPresent() ? 1 : 0;
        }
        assertTrue(blamed <= 10, blamed + " of 1,000");
    }
}
