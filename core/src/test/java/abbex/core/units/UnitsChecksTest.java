package abbex.core.units;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.Checks;
import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Published and derived values of lengths and uncertainties, by the id of their row in checks.csv. */
class UnitsChecksTest {
    @Test
    void len1_an_inch_is_25_4_mm() {
        assertEquals("25.4 mm", Checks.row("len-1").expected());
        assertEquals(Length.of(new BigDecimal("25.4"), LengthUnit.MILLIMETRE), Length.ofInches(1, 0, 1));
    }

    @Test
    void len2_a_sixty_fourth_is_396_875_nm() {
        assertEquals(Checks.row("len-2").expected(), Length.ofInches(0, 1, 64).toString());
    }

    @Test
    void len3_a_mean_of_27_and_28_sixty_fourths_is_rounded_half_to_even_once() {
        assertTrue(Checks.row("len-3").expected().contains("10914062.5 nm"));
        Length sum = Length.ofInches(0, 27, 64).plus(Length.ofInches(0, 28, 64));
        assertEquals(2 * 10_914_062L + 1, sum.nm());
        assertEquals(10_914_062L, sum.dividedBy(2).nm());
        assertEquals(-10_914_062L, sum.negate().dividedBy(2).nm());
    }

    @Test
    void pres1_a_psi_in_kilopascals() {
        String published = Checks.row("pres-1").expected().split(" ")[0];
        assertEquals(Double.parseDouble(published), Pressure.ofPsi(1).kPa(), 1e-8);
    }

    @Test
    void force1_and_rate1_and_rate2_by_their_definitions() {
        assertEquals(first("force-1"), ForceUnit.POUND.toNewtons(1), 0);
        assertEquals(1, ForceUnit.POUND.fromNewtons(first("force-1")), 1e-15);
        assertEquals(first("rate-1"), RateUnit.POUND_PER_INCH.toNewtonsPerMm(1), 1e-9);
        assertEquals(first("rate-2"), RateUnit.KILOGRAM_PER_MM.toNewtonsPerMm(1), 1e-5);
        double inPounds = RateUnit.POUND_PER_INCH.fromNewtonsPerMm(RateUnit.KILOGRAM_PER_MM.toNewtonsPerMm(1));
        assertTrue(Checks.row("rate-2").expected().contains("55.99741"));
        assertEquals(55.99741, inPounds, 1e-5);
    }

    private static double first(String row) {
        return Double.parseDouble(Checks.row(row).expected().split(" ")[0]);
    }

    @Test
    void gum1_end_gauge_calibration() {
        assertEquals("JCGM 100:2008 H.1", Checks.row("gum-1").source());
        // JCGM 100:2008, H.1: four contributions in nanometres with their degrees of freedom (table H.1; from memory).
        Uncertainty combined = Uncertainty.combine(List.of(
                new Uncertainty(25, 18),
                new Uncertainty(9.7, 25.6),
                new Uncertainty(2.9, 50),
                new Uncertainty(16.6, 2)));
        assertEquals(32, Math.round(combined.standard()));
        assertEquals(16, (int) combined.degreesOfFreedom());
        assertEquals(2.92, combined.coverageFactor(0.99), 0.005);
        assertEquals(93, Math.ceil(combined.coverageFactor(0.99) * combined.standard()));
    }

    @Test
    void stat1_students_t() {
        assertEquals("2.776; 2.571", Checks.row("stat-1").expected());
        assertEquals(2.776, new Uncertainty(1, 4).coverageFactor(0.95), 0.0005);
        assertEquals(2.571, new Uncertainty(1, 5).coverageFactor(0.95), 0.0005);
    }

    @Test
    void read1_past_the_mark() {
        assertTrue(Checks.row("read-1").expected().contains("u 0.1146 mm"));
        Graduation tape = new Graduation(LengthUnit.INCH, 32);
        TapeReading past = TapeText.parse("23 3/32+", LengthUnit.INCH, tape, TapeText.Allowed.POSITIVE)
                .asReading()
                .orElseThrow();
        // 23 13/128 in = 586 779 687.5 nm, to even: …688
        assertEquals(586_779_688L, past.value().nm());
        assertEquals(0.1146, past.standardMm(), 0.0001);
        TapeReading plain = TapeText.parse("23 3/32", LengthUnit.INCH, tape, TapeText.Allowed.POSITIVE)
                .asReading()
                .orElseThrow();
        assertEquals(0.2291, plain.standardMm(), 0.0001);
        assertFalse(plain.finerThanTape());
    }
}
