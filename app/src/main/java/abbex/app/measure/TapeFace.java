package abbex.app.measure;

import abbex.core.units.Length;

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

    static TapeFace of(SheetRow sheet) {
        boolean metric = sheet.tape().unit().metric();
        boolean bare = sheet.unit().metric() == metric;
        String suffix = bare ? "" : " " + sheet.tape().unit().symbol();
        return metric
                ? new TapeFace(10 * sheet.tape().perUnit(), CENTIMETRE, true, suffix)
                : new TapeFace(sheet.tape().perUnit(), INCH, false, suffix);
    }
}
