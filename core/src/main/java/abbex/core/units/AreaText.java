package abbex.core.units;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Areas as makers write them, in mm². */
public final class AreaText {
    private static final Pattern AREA = Pattern.compile("(\\d{1,5}(?:[.]\\d{1,2})?)\\s*(in|cm|mm)?(?:2|²|\\^2)?");

    /** An inch is 25.4 mm exactly. */
    private static final double SQUARE_INCH = 25.4 * 25.4;

    private AreaText() {}

    /** Reads {@code 60}, {@code 60 in2}, {@code 387 cm²}; a bare number is in square inches, or in cm². */
    public static OptionalDouble area(String text, boolean metric) {
        Matcher m = AREA.matcher(text.strip().toLowerCase(Locale.ROOT));
        if (!m.matches()) {
            return OptionalDouble.empty();
        }
        String unit = m.group(2) != null ? m.group(2) : metric ? "cm" : "in";
        double by = unit.equals("in") ? SQUARE_INCH : unit.equals("cm") ? 100 : 1;
        return OptionalDouble.of(Double.parseDouble(m.group(1)) * by);
    }
}
