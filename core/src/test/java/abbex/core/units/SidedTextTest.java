package abbex.core.units;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.units.SidedText.Sides;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Every way in which people write a side, drawn: word before or behind, with noun, hyphen, blanks, capitals, unit. */
class SidedTextTest {
    private static final List<String> FIGURES =
            List.of("2", "0.35", ".5", "1 1/4", "0°06'", "1/8 in", "2 mm", "0.125\"", "1.5°", "20 min");

    @Test
    void every_form_says_the_same() {
        Random random = new Random(38);
        for (int i = 0; i < 5000; i++) {
            Sides sides = List.of(Sides.TOE, Sides.NOSE, Sides.DOWN, Sides.UP).get(random.nextInt(4));
            boolean plus = random.nextBoolean();
            String word = plus ? sides.plus() : sides.minus();
            String figure = FIGURES.get(random.nextInt(FIGURES.size()));
            boolean before = random.nextBoolean();
            boolean noun = !sides.noun().isEmpty() && (random.nextBoolean() || !before && word.equals("in"));
            String side = (noun ? sides.noun() + List.of(" ", "-", "").get(random.nextInt(3)) : "") + word;
            String text = before ? side + " " + figure : figure + " " + side;
            if (random.nextInt(3) == 0) {
                text = text.toUpperCase(java.util.Locale.ROOT);
            }
            SidedText read = SidedText.read(" " + text + " ", sides).orElseThrow();
            assertTrue(read.said(), text);
            assertEquals(plus ? 1 : -1, read.sign(), text);
            assertEquals(figure, read.figure(), text);
        }
    }

    @Test
    void what_says_no_side_stays_and_what_says_two_is_none() {
        for (String text : List.of("2 in", "1/8 in", "-0.1", "−2", "some", "", "in", "0.5")) {
            SidedText read = SidedText.read(text, Sides.TOE).orElseThrow();
            assertFalse(read.said(), text);
            assertEquals(text, read.figure());
        }
        for (String text : List.of("out -0.1", "-0.1 out", "out 2 mm out", "toe-out -0.35")) {
            assertEquals(Optional.empty(), SidedText.read(text, Sides.TOE), text);
        }
        assertEquals(Optional.empty(), SidedText.read("down 2 in up", Sides.DOWN));
    }
}
