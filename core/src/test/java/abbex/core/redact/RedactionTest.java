package abbex.core.redact;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A customer in free text; all people are invented. */
class RedactionTest {
    private final Redaction ymke = Redaction.of("Ymke van Dorn", "+49 171 5550199, ymke@dorn.example");

    @Test
    void each_word_of_a_name_is_found_and_what_stands_side_by_side_is_one_gap() {
        assertEquals("Call … before noon", ymke.without("Call Ymke Dorn before noon"));
        assertEquals("…: 40 mm at most", ymke.without("YMKE: 40 mm at most"));
        assertEquals("Key in … post box", ymke.without("Key in Dorn’s post box"));
        assertEquals("brought by …-Hansen", ymke.without("brought by Dorn-Hansen"));
    }

    @Test
    void a_word_within_another_and_a_particle_are_none() {
        for (String text : List.of("dornish red", "the van stands low", "a thorn in the tyre", "")) {
            assertFalse(ymke.in(text), text);
            assertEquals(text, ymke.without(text));
        }
    }

    @Test
    void a_number_is_found_however_it_is_grouped() {
        for (String number : List.of("+491715550199", "+49 (171) 555-0199", "49.171.555.0199", "+49 171/5550199")) {
            assertEquals("ring … first", ymke.without("ring " + number + " first"), number);
        }
        assertFalse(ymke.in("odometer 4917155501992"), "longer");
        assertFalse(Redaction.of("", "1/2").in("lower by 1/2"), "too short to be one");
    }

    @Test
    void an_address_goes_whole() {
        assertEquals("write to ….", ymke.without("write to YMKE@dorn.example."));
    }

    @Test
    void letters_in_two_parts_are_the_same_letters() {
        Redaction soren = Redaction.of("Søren Åkær", "");
        assertEquals("for … only", soren.without("for " + Normalizer.normalize("Åkær", Normalizer.Form.NFD) + " only"));
    }

    @Test
    void nobody_is_found_nowhere() {
        Redaction nobody = Redaction.of("", "");
        assertTrue(nobody.empty());
        assertFalse(nobody.in("Ymke Dorn"));
        assertTrue(Redaction.of("Bo", "").empty(), "two letters are in too much");
    }

    /** Names and texts that are drawn: what is left never holds the name, the rest stands, and once is enough. */
    @Test
    void what_is_left_never_holds_the_name_and_is_left_alone_the_second_time() {
        Random random = new Random(18);
        List<String> rest = List.of("lower", "front", "1 1/2 in", "no rub,", "(rear)", "as before.", "12 mm;", "–");
        for (int n = 0; n < 5000; n++) {
            String first = name(random);
            String last = name(random);
            StringBuilder text = new StringBuilder();
            int words = 1 + random.nextInt(8);
            int at = random.nextInt(words);
            for (int i = 0; i < words; i++) {
                text.append(rest.get(random.nextInt(rest.size()))).append(' ');
                if (i == at) {
                    String which = random.nextBoolean() ? first : last;
                    text.append(random.nextBoolean() ? which : which.toUpperCase(Locale.ROOT))
                            .append(' ');
                }
            }
            Redaction sought = Redaction.of(first + " " + last, "");
            assertTrue(sought.in(text.toString()));
            String left = sought.without(text.toString());
            assertFalse(sought.in(left), left);
            assertEquals(left, sought.without(left));
            for (String word : rest) {
                assertEquals(count(text.toString(), word), count(left, word), text + " / " + left);
            }
        }
    }

    private static int count(String text, String part) {
        return (text.length() - text.replace(part, "").length()) / part.length();
    }

    /** Letters that none of the other words has in this order. */
    private static String name(Random random) {
        StringBuilder name = new StringBuilder("Q");
        for (int i = 0; i < 2 + random.nextInt(8); i++) {
            name.append("aeiouykxzéłå".charAt(random.nextInt(12)));
        }
        return name.toString();
    }
}
