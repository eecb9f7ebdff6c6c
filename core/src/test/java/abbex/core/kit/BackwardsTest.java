package abbex.core.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Back from a height to a figure: cosines turned back by arccosine, and what has no answer. */
class BackwardsTest {
    @Test
    void the_figure_that_gives_a_height_is_found_again() {
        Random random = new Random(37);
        for (int i = 0; i < 2000; i++) {
            double arm = 200 + random.nextInt(400);
            double start = random.nextDouble() * 60;
            double truth = random.nextDouble() * 120;
            // A body over an arm that is pushed by the figure along an arc: from level down it only falls.
            double wished = 800 - arm * Math.sin(truth / arm);
            OptionalDouble found = Backwards.figure(x -> 800 - arm * Math.sin(x / arm), wished, start, 0, 130);
            assertEquals(Math.asin((800 - wished) / arm) * arm, found.orElseThrow(), 0.06);
        }
    }

    @Test
    void what_no_figure_gives_is_said_so() {
        assertTrue(Backwards.figure(x -> 700 - x, 500, 0, -100, 100).isEmpty(), "beyond the limits");
        assertTrue(Backwards.figure(x -> 700, 690, 0, -100, 100).isEmpty(), "of no effect");
        // Parts that no longer meet from there on: a jump over the height is no answer.
        assertTrue(
                Backwards.figure(x -> x < 10 ? 700 - x : 600, 650, 0, -100, 100).isEmpty(), "a jump");
        assertTrue(Backwards.figure(x -> Double.NaN, 650, 0, -100, 100).isEmpty(), "nothing planned");
        assertEquals(100, Backwards.figure(x -> 700 - x, 600, 0, -100, 100).orElseThrow(), 0.06, "at its limit");
    }
}
