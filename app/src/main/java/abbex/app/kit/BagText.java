package abbex.app.kit;

import abbex.core.units.Pressure;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What makers write of air bags: areas and pressures, in the reader's unit where none is typed. */
public final class BagText {
    private static final Pattern AREA = Pattern.compile("(\\d{1,5}(?:[.]\\d{1,2})?)\\s*(in|cm|mm)?(?:2|²|\\^2)?");

    /** An inch is 25.4 mm exactly. */
    private static final double SQUARE_INCH = 25.4 * 25.4;

    private BagText() {}

    /** Reads {@code 60}, {@code 60 in2}, {@code 387 cm²}, in mm². */
    public static OptionalDouble area(String text, boolean metric) {
        Matcher m = AREA.matcher(text.strip().toLowerCase(Locale.ROOT));
        if (!m.matches()) {
            return OptionalDouble.empty();
        }
        String unit = m.group(2) != null ? m.group(2) : metric ? "cm" : "in";
        double by = unit.equals("in") ? SQUARE_INCH : unit.equals("cm") ? 100 : 1;
        return OptionalDouble.of(Double.parseDouble(m.group(1)) * by);
    }

    /** Reads {@code 5}, {@code 5 psi}, {@code 0.35 bar}, {@code 35 kPa}, in kPa. */
    public static OptionalDouble pressure(String text, boolean metric) {
        String whole = text.strip().matches("[\\d.]+") ? text.strip() + (metric ? " bar" : " psi") : text;
        return Pressure.parse(whole).map(p -> OptionalDouble.of(p.kPa())).orElseGet(OptionalDouble::empty);
    }
}
