package abbex.core.wheels;

import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.wheels.WheelParse.Refusal;
import abbex.core.wheels.WheelParse.Refused;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Wheels in text: {@code 8Jx17 ET45}, {@code 17x8 +45}, {@code 8x17 BS 6.27}, {@code 11 3/4x20}. What is offered is made of
 * what was typed and of nothing else.
 */
final class WheelText {
    private static final int LONGEST = 40;

    /** Rim widths that are no quarters: of motorcycles (ETRTO, from memory). */
    private static final Set<BigDecimal> CYCLE = Stream.of("1.2", "1.35", "1.4", "1.6", "1.85", "2.15")
            .map(BigDecimal::new)
            .collect(Collectors.toUnmodifiableSet());

    /** A whole number and a tape's fraction, or the fraction alone. */
    private static final Pattern FRACTION =
            Pattern.compile("(?<![\\d.])(?:(\\d{1,2})[ -])?(\\d{1,2})/(2|4|8|16)(?!\\d)");

    /** A bare number behind the size: the offset, where no sign and no ET says so. */
    private static final Pattern BARE = Pattern.compile("(?<size>.*\\d) (?<offset>\\d{1,3})(?: ?MM)?");

    private static final Pattern WHEEL = Pattern.compile(
            "(?<a>\\d{1,2}(?:\\.\\d{1,2})?)\\s*(?:JJ|J|K)?\\s*[X×]\\s*(?<b>\\d{1,2}(?:\\.\\d{1,2})?)\\s*(?:JJ|J|K)?(?:H2|EH2)?\\s*"
                    + "(?:(?<et>ET|IS|OFFSET|(?=[+-]))\\s*(?<offset>[+-]?\\d{1,3}(?:\\.\\d{1,2})?)\\s*(?:MM)?"
                    + "|(?:BS|BACKSPACING)\\s*(?<back>\\d{1,2}(?:\\.\\d{1,3})?)\\s*(?:IN)?)?");

    private WheelText() {}

    static WheelParse parse(String raw) {
        String text = raw.strip()
                .toUpperCase(Locale.ROOT)
                .replace(',', '.')
                .replace('−', '-')
                .replaceAll("\\s+", " ");
        if (text.isEmpty()) {
            return new Refused(raw, Refusal.EMPTY, List.of());
        }
        Matcher m = WHEEL.matcher(decimals(text));
        if (text.length() > LONGEST || !m.matches()) {
            return new Refused(raw, Refusal.NO_WHEEL, text.length() > LONGEST ? List.of() : bare(decimals(text)));
        }
        BigDecimal a = new BigDecimal(m.group("a"));
        BigDecimal b = new BigDecimal(m.group("b"));
        // The greater number is the diameter, whichever comes first.
        boolean turned = a.compareTo(b) > 0;
        return of(raw, turned ? b : a, turned ? a : b, m);
    }

    /** Fractions of an inch as decimals, exactly. */
    private static String decimals(String text) {
        return FRACTION.matcher(text)
                .replaceAll(m -> new BigDecimal(m.group(1) == null ? "0" : m.group(1))
                        .add(new BigDecimal(m.group(2)).divide(new BigDecimal(m.group(3))))
                        .toPlainString());
    }

    /** The size as typed with the bare number as its offset, where that makes a wheel. */
    private static List<String> bare(String text) {
        Matcher bare = BARE.matcher(text);
        if (!bare.matches()) {
            return List.of();
        }
        return WheelText.parse(bare.group("size") + " ET" + bare.group("offset")) instanceof WheelParse.Read read
                ? List.of(read.wheel().text())
                : List.of();
    }

    private static WheelParse of(String raw, BigDecimal width, BigDecimal rim, Matcher m) {
        String both = plain(width) + "Jx" + plain(rim);
        boolean quarters = width.remainder(new BigDecimal("0.25")).signum() == 0;
        boolean made = quarters && width.doubleValue() >= 1.5 || CYCLE.contains(width.stripTrailingZeros());
        if (!made || width.doubleValue() > 16) {
            return new Refused(raw, Refusal.WIDTH, List.of());
        }
        if (rim.doubleValue() < 8 || rim.doubleValue() > 30) {
            return new Refused(raw, Refusal.RIM, List.of());
        }
        if (m.group("back") != null) {
            BigDecimal back = new BigDecimal(m.group("back"));
            if (back.compareTo(width.add(BigDecimal.ONE)) > 0) {
                return new Refused(raw, Refusal.OFFSET, List.of(both + " ET" + plain(back)));
            }
            return new WheelParse.Read(new Wheel(width, rim, Wheel.offset(width, back), Length.ZERO));
        }
        if (m.group("offset") == null) {
            return new Refused(raw, Refusal.NO_OFFSET, List.of());
        }
        BigDecimal offset = new BigDecimal(m.group("offset"));
        if (offset.scale() > 0 && offset.signum() > 0 && offset.compareTo(width.add(BigDecimal.ONE)) < 0) {
            return new Refused(
                    raw,
                    Refusal.LIKE_BACKSPACING,
                    List.of(both + " BS " + plain(offset), both + " ET" + offset.toBigInteger()));
        }
        if (offset.abs().doubleValue() > 150) {
            return new Refused(raw, Refusal.OFFSET, List.of());
        }
        return new WheelParse.Read(new Wheel(width, rim, Length.of(offset, LengthUnit.MILLIMETRE), Length.ZERO));
    }

    private static String plain(BigDecimal number) {
        return number.stripTrailingZeros().toPlainString();
    }
}
