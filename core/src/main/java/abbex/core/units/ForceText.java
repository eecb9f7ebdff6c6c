package abbex.core.units;

import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Forces and spring rates as people write them. What a scale shows in pounds or kilograms is the force that it weighs. */
public final class ForceText {
    private static final Pattern NUMBER = Pattern.compile("(\\d{1,6}(?:[.,]\\d{1,4})?)\\s*([A-Za-z/·* ]*)");

    private static final Map<String, ForceUnit> FORCES = Map.of(
            "n", ForceUnit.NEWTON,
            "lb", ForceUnit.POUND,
            "lbs", ForceUnit.POUND,
            "lbf", ForceUnit.POUND,
            "kg", ForceUnit.KILOGRAM,
            "kgf", ForceUnit.KILOGRAM);

    private static final Map<String, RateUnit> RATES = Map.ofEntries(
            Map.entry("n/mm", RateUnit.NEWTON_PER_MM),
            Map.entry("lb/in", RateUnit.POUND_PER_INCH),
            Map.entry("lbs/in", RateUnit.POUND_PER_INCH),
            Map.entry("lbf/in", RateUnit.POUND_PER_INCH),
            Map.entry("kg/mm", RateUnit.KILOGRAM_PER_MM),
            Map.entry("kgf/mm", RateUnit.KILOGRAM_PER_MM));

    private ForceText() {}

    /** A force in newtons, in a unit of its own or in the usual one; empty where it cannot be read. */
    public static OptionalDouble force(String text, ForceUnit usual) {
        Matcher read = NUMBER.matcher(text.strip());
        if (!read.matches()) {
            return OptionalDouble.empty();
        }
        ForceUnit unit = unit(read) == null ? usual : FORCES.get(unit(read));
        return unit == null ? OptionalDouble.empty() : OptionalDouble.of(unit.toNewtons(number(read)));
    }

    /** A rate in N/mm; the same. */
    public static OptionalDouble rate(String text, RateUnit usual) {
        Matcher read = NUMBER.matcher(text.strip());
        if (!read.matches()) {
            return OptionalDouble.empty();
        }
        RateUnit unit = unit(read) == null ? usual : RATES.get(unit(read));
        return unit == null ? OptionalDouble.empty() : OptionalDouble.of(unit.toNewtonsPerMm(number(read)));
    }

    private static double number(Matcher read) {
        return Double.parseDouble(read.group(1).replace(',', '.'));
    }

    private static @org.jspecify.annotations.Nullable String unit(Matcher read) {
        String unit = read.group(2).replace(" ", "").toLowerCase(Locale.ROOT);
        return unit.isEmpty() ? null : unit;
    }
}
