package abbex.app.page;

import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;

/**
 * The face of the enlarged tape: one inch or one centimetre of it.
 *
 * @param marks how many marks the unit is divided into
 * @param unitNm the unit in nanometres
 * @param suffix what has to stand behind a number for it to be read in this unit; empty when a bare one is
 */
public record TapeFace(int marks, long unitNm, boolean metric, String suffix) {
    private static final long INCH = Length.NM_PER_INCH;
    private static final long CENTIMETRE = 10_000_000;

    /** A tape for somebody whose bare numbers are of a unit. */
    public static TapeFace of(Graduation tape, LengthUnit bare) {
        boolean metric = tape.unit().metric();
        String suffix = bare.metric() == metric ? "" : " " + tape.unit().symbol();
        return metric
                ? new TapeFace(10 * tape.perUnit(), CENTIMETRE, true, suffix)
                : new TapeFace(tape.perUnit(), INCH, false, suffix);
    }
}
