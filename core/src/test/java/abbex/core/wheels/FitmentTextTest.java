package abbex.core.wheels;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Tyre and wheel in one line; sizes as in the handbook's examples. */
class FitmentTextTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "225/40R18 92Y 8Jx18 ET45 +5 mm|225/40R18 92Y|8Jx18 ET45|5 mm",
                "225/45R17 91W, 7.5Jx17 ET49|225/45R17 91W|7.5Jx17 ET49|''",
                "33x12.50R15 10x15 BS 4|33x12.50R15|10x15 BS 4|''",
                "130/80B17 65H 3.5x17 ET0|130/80B17 65H|3.5x17 ET0|''",
                "225/45R17 91W  9.5x17 ET-12 + 12|225/45R17 91W|9.5x17 ET-12|12",
                "225/45R17 7.5Jx17|225/45R17|7.5Jx17|''"
            })
    void is_cut_between_the_two(String text, String tyre, String wheel, String spacer) {
        assertEquals(Optional.of(new FitmentText(tyre, wheel, spacer)), FitmentText.of(text));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "225/45R17 91W", "8Jx17 ET45", "8Jx17 ET45 225/45R17", "anything at all", "+5 mm", "'%_\\"})
    void what_is_not_both_is_left_alone(String text) {
        assertEquals(Optional.empty(), FitmentText.of(text));
    }

    @Test
    void a_very_long_text_is_no_trouble() {
        assertEquals(Optional.empty(), FitmentText.of("2 ".repeat(500)));
    }
}
