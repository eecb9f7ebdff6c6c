package abbex.core.units;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Torques as people write them: a number or a range, always with its unit. A number alone is refused: 90 N·m and 90 lbf·ft are a
 * third apart, and nobody can tell which was meant.
 */
public final class TorqueText {
    private static final Pattern TEXT = Pattern.compile(
            "(\\d{1,5}(?:[.,]\\d{1,3})?)(?:\\s*(?:-|–|to)\\s*(\\d{1,5}(?:[.,]\\d{1,3})?))?\\s*([A-Za-z·.\\- ]*)");

    private static final Map<String, TorqueUnit> UNITS = Map.ofEntries(
            Map.entry("nm", TorqueUnit.NEWTON_METRE),
            Map.entry("lbft", TorqueUnit.POUND_FOOT),
            Map.entry("lbsft", TorqueUnit.POUND_FOOT),
            Map.entry("lbfft", TorqueUnit.POUND_FOOT),
            Map.entry("ftlb", TorqueUnit.POUND_FOOT),
            Map.entry("ftlbs", TorqueUnit.POUND_FOOT),
            Map.entry("ftlbf", TorqueUnit.POUND_FOOT),
            Map.entry("lbin", TorqueUnit.POUND_INCH),
            Map.entry("lbfin", TorqueUnit.POUND_INCH),
            Map.entry("inlb", TorqueUnit.POUND_INCH),
            Map.entry("inlbs", TorqueUnit.POUND_INCH),
            Map.entry("kgm", TorqueUnit.KILOGRAM_METRE),
            Map.entry("kgfm", TorqueUnit.KILOGRAM_METRE));

    private TorqueText() {}

    /** What became of a text. */
    public sealed interface Parsed {
        /**
         * It was read.
         *
         * @param most not less than {@code least}; the same where one number was written
         */
        record Taken(Torque least, Torque most, TorqueUnit unit) implements Parsed {}

        /** Numbers without a unit. */
        record NoUnit(String number) implements Parsed {}

        /** No torque, none at all, or a range that runs backwards. */
        record Unreadable() implements Parsed {}
    }

    public static Parsed parse(String text) {
        Matcher read = TEXT.matcher(text.strip());
        if (!read.matches()) {
            return new Parsed.Unreadable();
        }
        double least = number(read.group(1));
        double most = read.group(2) == null ? least : number(read.group(2));
        if (least <= 0 || most < least) {
            return new Parsed.Unreadable();
        }
        String name = read.group(3).replaceAll("[^A-Za-z]", "").toLowerCase(Locale.ROOT);
        if (name.isEmpty()) {
            return new Parsed.NoUnit(read.group(1));
        }
        @Nullable TorqueUnit unit = UNITS.get(name);
        return unit == null
                ? new Parsed.Unreadable()
                : new Parsed.Taken(Torque.of(least, unit), Torque.of(most, unit), unit);
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }
}
