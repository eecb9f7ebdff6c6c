package abbex.app.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.kit.Stacks.Size;
import abbex.core.units.Length;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Lists of rings and shims as people write them. */
class StackSizesTest {
    private static List<Size> read(String text, boolean metric) {
        return StackSizes.read(StackSizes.withUnits(text, metric)).orElseThrow();
    }

    @Test
    void how_many_stands_before_or_behind() {
        List<Size> four = List.of(new Size(Length.ofInches(0, 1, 4), 4));
        for (String text :
                List.of("4x1/4", "4 x 1/4", "4×1/4 in", "4 of 1/4", "1/4 4 pieces", "1/4 (4 pcs)", "1/4 in 4x")) {
            assertEquals(four, read(text, false), text);
        }
        assertEquals(List.of(new Size(Length.ofMm(5), 2), new Size(Length.ofMm(10), 1)), read("2x5, 10", true));
        assertEquals(
                List.of(new Size(Length.ofMm(5), 2), new Size(Length.ofMm(10), 1)),
                read("5 mm 2 pieces; 10 mm", false));
        assertEquals("4x1/4 in", StackSizes.withUnits("1/4 4 pieces", false));
        assertEquals("4x1/4 in", StackSizes.withUnits(StackSizes.withUnits("4x1/4", false), true));
    }

    /** "2,5 mm" was read as 2 and 5. */
    @Test
    void a_comma_that_may_be_a_decimal_one_is_asked_about() {
        for (String text : List.of("2,5 mm", "2x2,5 mm", "5,10")) {
            assertEquals(Optional.empty(), StackSizes.read(StackSizes.withUnits(text, true)), text);
        }
        assertTrue(StackSizes.read("2 mm, 5 mm").isPresent());
    }

    @Test
    void how_many_there_are_is_asked() {
        assertTrue(StackSizes.uncounted("1/4"));
        assertTrue(StackSizes.uncounted("5 mm, 10 mm"));
        assertFalse(StackSizes.uncounted("2x5 mm, 10 mm"));
        assertFalse(StackSizes.uncounted("1/4 4 pieces"));
    }
}
