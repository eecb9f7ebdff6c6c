package abbex.core.alignment;

import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.SidedText;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Angles as an alignment sheet gives them: decimal degrees, degrees and minutes, and toe also as a distance at a diameter. A
 * bare number is degrees. Toe is in positive; {@code out} before or behind it turns its sign.
 */
public final class AngleText {
    /** No wheel stands steeper, degrees. */
    private static final double MOST = 30;

    private static final int MINUTES = 60;

    private static final Pattern DEGREES =
            Pattern.compile("([+-]?)\\s*(\\d{1,2}(?:\\.\\d{1,3})?|\\.\\d{1,3})\\s*(?:°|deg|degrees)?");
    private static final Pattern BOTH =
            Pattern.compile("([+-]?)\\s*(?:(\\d{1,2})\\s*(?:°|deg)\\s*)?(\\d{1,2}(?:\\.\\d)?)\\s*(?:'|min|minutes)");
    private static final Pattern DISTANCE = Pattern.compile(".*\\d\\s*(?:mm|in|inch|inches|\").*");

    private AngleText() {}

    private static String tidy(String text) {
        return text.strip()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[−–—]", "-")
                .replaceAll("[′’‘]", "'")
                .replaceAll("[″”“]", "\"");
    }

    /** An angle in degrees; empty when the text is none. */
    public static Optional<Double> degrees(String text) {
        String tidy = tidy(text);
        Matcher both = BOTH.matcher(tidy);
        Matcher one = DEGREES.matcher(tidy);
        double value;
        if (both.matches()) {
            double minutes = Double.parseDouble(both.group(3));
            if (minutes >= MINUTES && both.group(2) != null) {
                return Optional.empty();
            }
            value = (both.group(2) == null ? 0 : Integer.parseInt(both.group(2))) + minutes / MINUTES;
            value = both.group(1).equals("-") ? -value : value;
        } else if (one.matches()) {
            value = Double.parseDouble(one.group(2));
            value = one.group(1).equals("-") ? -value : value;
        } else {
            return Optional.empty();
        }
        return Math.abs(value) > MOST ? Optional.empty() : Optional.of(value);
    }

    /** What a text says of toe. */
    public sealed interface Read {
        record Angle(Toe toe) implements Read {}

        /** A distance, and nobody said at which diameter. */
        record NeedsDiameter() implements Read {}

        record Not() implements Read {}
    }

    /** @param diameter at which a distance is read; empty where nobody said */
    public static Read toe(String text, Optional<Length> diameter) {
        Optional<SidedText> sided = SidedText.read(tidy(text), SidedText.Sides.TOE);
        if (sided.isEmpty()) {
            return new Read.Not();
        }
        String rest = sided.get().figure();
        double sign = sided.get().sign();
        if (DISTANCE.matcher(rest).matches()) {
            return distance(rest, diameter, sign);
        }
        return degrees(rest)
                .<Read>map(value -> new Read.Angle(new Toe(sign * value)))
                .orElseGet(Read.Not::new);
    }

    private static Read distance(String text, Optional<Length> diameter, double sign) {
        Optional<Length> read = TapeText.parse(
                        text, LengthUnit.MILLIMETRE, Graduation.MILLIMETRE, TapeText.Allowed.ANY, Length.ofMm(200))
                .asReading()
                .map(TapeReading::value);
        if (read.isEmpty()) {
            return new Read.Not();
        }
        if (diameter.isEmpty()) {
            return new Read.NeedsDiameter();
        }
        return Math.abs(read.get().mm()) < diameter.get().mm() / 2
                ? new Read.Angle(Toe.of(sign * read.get().mm(), diameter.get().mm()))
                : new Read.Not();
    }
}
