package abbex.core.motorcycle;

import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.motorcycle.RearLinkage.Point;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * A rest is one that something holds: the wheel's load grows as it goes up (the second derivative of the potential energy, by
 * differences of the energy itself and not by the solver's own slope).
 */
class RestsTest {
    /** Work of the spring less that of the load up to a travel, N·mm. */
    private static double energy(RearLinkage at, double travel, double rate, double free, double load) {
        double pressed = free - at.spring(travel);
        return rate * pressed * pressed / 2 - load * travel;
    }

    @Test
    void every_rest_that_is_told_is_held() {
        Random random = new Random(3811);
        int told = 0;
        int refused = 0;
        int says = 0;
        for (int i = 0; i < 4000; i++) {
            RearLinkage was = RearLinkage.direct(
                    new Point(0, 0),
                    new Point(-350 - random.nextInt(350), -random.nextInt(140) + 30),
                    new Point(-60 - random.nextInt(240), -100 + random.nextInt(160)),
                    new Point(-200 + random.nextInt(320), 80 + random.nextInt(280)));
            double rate = 20 + random.nextInt(180);
            double load = 600 + random.nextInt(2600);
            double shorter = random.nextInt(60) - 20;
            if (!(was.ratio(0) > 0)) {
                continue;
            }
            double free = was.spring(0) + load / was.ratio(0) / rate;
            double drop;
            try {
                drop = was.drop(was, shorter, rate, load);
            } catch (IllegalArgumentException nowhere) {
                refused++;
                says += String.valueOf(nowhere.getMessage()).contains("easure") ? 1 : 0;
                continue;
            }
            told++;
            double step = 0.05;
            double bend = (energy(was, drop + step, rate, free - shorter, load)
                            - 2 * energy(was, drop, rate, free - shorter, load)
                            + energy(was, drop - step, rate, free - shorter, load))
                    / (step * step);
            assertTrue(bend > -1e-3, was + " " + rate + " " + load + ": " + drop + ", " + bend);
            assertTrue(Math.abs(drop) <= 150, drop + " mm");
        }
        assertTrue(told > 2000 && refused > 20 && says > 10, told + " told, " + refused + " refused, " + says + " say");
    }
}
