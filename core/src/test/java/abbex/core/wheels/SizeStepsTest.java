package abbex.core.wheels;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.wheels.SizeSteps.Pair;
import abbex.core.wheels.SizeSteps.Part;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One number a step, in the notation that was typed. */
class SizeStepsTest {
    private static Pair pair(String tyre, String wheel) {
        return SizeSteps.read(tyre, wheel).orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "225/45R17, WIDTH, 1, 235/45R17",
        "225/45R17, ASPECT, -1, 225/40R17",
        "225/45R17, RIM, 1, 225/45R18",
        // Was overwritten by 205/55R16.
        "33x12.50R15, WIDTH, 1, 33x13.00R15",
        "33x12.50R15, ASPECT, 1, 34x12.50R15",
        "33x12.50R15, RIM, 1, 33x12.50R16",
        "120/70ZR17 58W, WIDTH, 1, 130/70ZR17 58W",
        "130/90B16, ASPECT, -1, 130/85B16"
    })
    void each_notation_steps_in_its_own_numbers(String from, Part part, int by, String to) {
        Pair start = pair(from, "8Jx17 ET45");
        Pair next = SizeSteps.step(start, part, by).orElseThrow();
        assertEquals(
                TyreSize.parse(to).asSize().orElseThrow().text(), next.tyre().text());
        // And back again.
        assertEquals(start, SizeSteps.step(next, part, -by).orElseThrow());
    }

    @Test
    void the_wheel_steps_by_itself_and_its_rim_with_the_tyre() {
        Pair start = pair("225/45R17", "8Jx17 ET45");
        assertEquals(
                "8.5Jx17 ET45",
                SizeSteps.step(start, Part.RIMWIDTH, 1)
                        .orElseThrow()
                        .wheel()
                        .orElseThrow()
                        .text());
        assertEquals(
                "8Jx17 ET44",
                SizeSteps.step(start, Part.OFFSET, -1)
                        .orElseThrow()
                        .wheel()
                        .orElseThrow()
                        .text());
        Pair wider = SizeSteps.step(start, Part.RIM, 1).orElseThrow();
        assertEquals("8Jx18 ET45", wider.wheel().orElseThrow().text());
        assertEquals(Optional.empty(), SizeSteps.read("anything", "8Jx17 ET45"));
        assertEquals(Optional.empty(), SizeSteps.step(pair("225/45R17", ""), Part.OFFSET, 1));
        for (Part part : List.of(Part.WIDTH, Part.ASPECT, Part.RIM)) {
            assertTrue(SizeSteps.step(pair("225/45R17", ""), part, 1).isPresent());
        }
    }
}
