package abbex.app.drawing;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.drawing.Apart.At;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** No label of a drawing lies on another, however many places there are and wherever they are. */
class ApartTest {
    private final Random random = new Random(14);

    /** Three on one spot, gap 2: by least squares they stand at −2, 0 and 2 (hand arithmetic); a fourth far off stays. */
    @Test
    void on_a_line_by_as_little_as_can_be() {
        assertArrayEquals(new double[] {8, 10, 12, 50}, Apart.onLine(new double[] {10, 10, 10, 50}, 2), 1e-12);
        assertArrayEquals(new double[] {3, 1}, Apart.onLine(new double[] {3, 1}, 2), 1e-12);
    }

    @Test
    void round_a_wheel_with_twelve_probes_all_at_the_top() {
        double ring = 454;
        for (int draw = 0; draw < 200; draw++) {
            double narrow = draw % 4 == 0 ? 0.05 : 1 + random.nextInt(12);
            List<ClockDrawing.At> places = new ArrayList<>();
            for (int i = 0; i < 12; i++) {
                double hour = (11.9 + narrow * random.nextDouble()) % 12;
                places.add(new ClockDrawing.At(hour == 0 ? 12 : hour, 40 * random.nextDouble() - 5, 9.5, 20));
            }
            ClockDrawing clock = ClockDrawing.of(316, 229, places, List.of(9.5, 11.0), 0.66, 0.56, 0);
            List<At> numbers = clock.bars().stream()
                    .map(b -> new At(Double.parseDouble(b.x()), Double.parseDouble(b.y())))
                    .toList();
            assertApart(numbers, 56);
            numbers.forEach(n -> assertEquals(ring, Math.hypot(n.x(), n.y()), 20));
            // What nobody looked at is marked nearer to the tyre than any number.
            clock.open()
                    .forEach(o -> numbers.forEach(n ->
                            assertTrue(n.far(new At(Double.parseDouble(o.x()), Double.parseDouble(o.y()))) > 48)));
        }
    }

    @Test
    void in_a_picture_with_twelve_spots_in_one_corner_of_it() {
        Apart.Box box = new Apart.Box(-290, -440, 290, -90);
        for (int draw = 0; draw < 200; draw++) {
            List<At> spots = new ArrayList<>();
            List<At> wished = new ArrayList<>();
            for (int i = 0; i < 12; i++) {
                At spot = new At(-250 + 120 * random.nextDouble(), -420 + 150 * random.nextDouble());
                spots.add(spot);
                wished.add(new At(spot.x(), spot.y() - 34));
            }
            List<At> placed = Apart.inPlane(spots, wished, 30, box);
            assertApart(placed, 30);
            placed.forEach(p -> assertTrue(box.holds(p)));
            placed.forEach(p -> spots.forEach(s -> assertTrue(s.far(p) >= 15)));
        }
    }

    private static void assertApart(List<At> labels, double gap) {
        double[] least = labels.stream()
                .mapToDouble(a -> labels.stream()
                        .filter(b -> b != a)
                        .mapToDouble(a::far)
                        .min()
                        .orElseThrow())
                .toArray();
        assertTrue(Arrays.stream(least).min().orElseThrow() >= gap - 1, () -> Arrays.toString(least));
    }

    /** The texts of a rod stand beside their brackets, none on another, all in the picture. */
    @Test
    void limits_that_nearly_meet_are_named_one_below_the_other() {
        for (List<Double> up : List.of(
                List.of(70.0, 45.0, 0.0, -60.0),
                List.of(2.0, 1.0, 0.0, -120.0),
                List.of(0.0, 0.0, 0.0, 0.0),
                List.of(120.0, 0.0, 0.0, 0.0))) {
            double[] y = TravelDrawing.of(up).limits().stream()
                    .mapToDouble(l -> Double.parseDouble(l.text()))
                    .toArray();
            for (int i = 0; i < y.length; i++) {
                assertTrue(y[i] > 10 && y[i] < 290, () -> up + " " + Arrays.toString(y));
                assertTrue(i == 0 || y[i] - y[i - 1] >= 45, () -> up + " " + Arrays.toString(y));
            }
        }
    }
}
