package abbex.core.setting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What was typed after a turn, against what the turn was to do. */
class ForecastTest {
    private static final double[] WIDTH = {1.5, 1.5, 1.5, 1.5};

    /** By hand: left turned up by 12 mm, typed on the right; front and rear 9 mm apart, typed into each other. */
    @Test
    void exchanged_sides_and_ends_are_seen() {
        Forecast left = new Forecast(new double[] {352, 340, 345, 357}, WIDTH);
        assertEquals(Optional.of(Forecast.Exchanged.SIDES), left.typed(new double[] {340, 352, 357, 345}));
        assertEquals(Optional.empty(), left.typed(new double[] {352, 341, 345, 356}));
        Forecast raked = new Forecast(new double[] {340, 340, 349, 349}, WIDTH);
        assertEquals(Optional.of(Forecast.Exchanged.ENDS), raked.typed(new double[] {349, 349, 340, 341}));
        // It moved otherwise than expected: that is no exchange.
        assertEquals(Optional.empty(), left.typed(new double[] {340, 340, 345, 345}));
    }

    /** Turns that answered as the widths allow, half as wide again: hardly one in a hundred is called exchanged. */
    @Test
    void an_honest_answer_is_not_accused() {
        Random random = new Random(77);
        int accused = 0;
        for (int i = 0; i < 2000; i++) {
            double[] expected = new double[4];
            double[] typed = new double[4];
            for (int c = 0; c < 4; c++) {
                expected[c] = 345 + 5 * random.nextGaussian();
                typed[c] = expected[c] + 1.5 * WIDTH[c] * random.nextGaussian();
            }
            accused += new Forecast(expected, WIDTH).typed(typed).isPresent() ? 1 : 0;
        }
        assertTrue(accused <= 20, accused + " of 2000");
    }
}
