package abbex.core.settling;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.units.Distance;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What people write of an odometer. */
class OdometerTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "38,410 mi | 38410 | true",
                "61 820 km | 61820 | false",
                "61.820 | 61820 | true",
                "38410.5 miles | 38410.5 | true",
                "118'020 kilometres | 118020 | false",
                "7 | 7 | true"
            })
    void is_read_as_it_is_written(String text, double shows, boolean miles) {
        Odometer read = Odometer.parse(text, true).orElseThrow();
        assertEquals(shows, read.shows(), 1e-9);
        assertEquals(miles, read.miles());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "about 40k", "-5", "12,34", "1e5", "99999999", "40 leagues"})
    void is_not_guessed(String text) {
        assertTrue(Odometer.parse(text, true).isEmpty(), text);
    }

    /** International yard and pound agreement, 1959. */
    @Test
    void a_mile_is_exact() {
        assertEquals(1.609344, Distance.ofMiles(1).km());
        assertEquals(1000, Distance.ofMiles(1000).miles(), 1e-9);
    }

    @Test
    void one_that_ran_backwards_is_told_from_one_in_another_unit() {
        Odometer set = Odometer.parse("38,410 mi", true).orElseThrow();
        Odometer backwards = Odometer.parse("38,310 mi", true).orElseThrow();
        assertTrue(backwards.since(set) < 0);
        // Read as miles it would be less; set down in kilometres by mistake would make it 14,000 too much.
        Odometer km = Odometer.parse("62,500", false).orElseThrow();
        assertEquals(62_500 - 38_410 * 1.609344, km.since(set), 1e-6);
        Odometer first = Odometer.parse("61,820 mi", true).orElseThrow();
        Odometer later = Odometer.parse("39,100 mi", true).orElseThrow();
        assertTrue(later.unitsMixed(first), "61,820 was in km: 38,413 mi");
        assertFalse(km.unitsMixed(set));
        assertTrue(Odometer.parse("99,000 mi", true).orElseThrow().tooFar(set));
    }

    /** A kit that came back ten times narrows what is expected of it by a third and more, where kits differ most. */
    @Test
    void ten_returned_jobs_narrow_what_is_expected() {
        Settling.Prior usual = Settling.Prior.USUAL;
        Settling.Prior ten = usual.learned(10, 6, 0.6);
        assertTrue(ten.common() < 2 * usual.common() / 3, ten.common() + " of " + usual.common());
        assertEquals(6, ten.total(), 0.15);
        assertEquals(usual, usual.learned(0, 9, 1));
        double before = Double.POSITIVE_INFINITY;
        for (int n : List.of(1, 2, 5, 10, 100)) {
            double now = usual.learned(n, 6, 0.6).common();
            assertTrue(now < before);
            before = now;
        }
    }
}
