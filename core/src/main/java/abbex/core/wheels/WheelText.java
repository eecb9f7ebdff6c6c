package abbex.core.wheels;

import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.wheels.WheelParse.Refusal;
import abbex.core.wheels.WheelParse.Refused;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Wheels in text: {@code 8Jx17 ET45}, {@code 17x8 +45}, {@code 8x17 BS 6.27}. */
final class WheelText {
    private static final int LONGEST = 40;
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
            return new Refused(raw, Refusal.EMPTY, List.of("8Jx17 ET45"));
        }
        Matcher m = WHEEL.matcher(text);
        if (text.length() > LONGEST || !m.matches()) {
            return new Refused(raw, Refusal.NO_WHEEL, List.of("8Jx17 ET45"));
        }
        BigDecimal a = new BigDecimal(m.group("a"));
        BigDecimal b = new BigDecimal(m.group("b"));
        // The greater number is the diameter, whichever comes first.
        boolean turned = a.compareTo(b) > 0;
        return of(raw, turned ? b : a, turned ? a : b, m);
    }

    private static WheelParse of(String raw, BigDecimal width, BigDecimal rim, Matcher m) {
        String both = plain(width) + "Jx" + plain(rim);
        boolean quarters = width.remainder(new BigDecimal("0.25")).signum() == 0;
        if (!quarters || width.doubleValue() < 1.5 || width.doubleValue() > 16) {
            return new Refused(raw, Refusal.WIDTH, List.of("8Jx" + plain(rim) + " ET45"));
        }
        if (rim.doubleValue() < 8 || rim.doubleValue() > 30) {
            return new Refused(raw, Refusal.RIM, List.of(plain(width) + "Jx17 ET45"));
        }
        if (m.group("back") != null) {
            BigDecimal back = new BigDecimal(m.group("back"));
            if (back.compareTo(width.add(BigDecimal.ONE)) > 0) {
                return new Refused(raw, Refusal.OFFSET, List.of(both + " ET" + plain(back)));
            }
            return new WheelParse.Read(new Wheel(width, rim, Wheel.offset(width, back), Length.ZERO));
        }
        if (m.group("offset") == null) {
            return new Refused(raw, Refusal.NO_OFFSET, List.of(both + " ET45"));
        }
        BigDecimal offset = new BigDecimal(m.group("offset"));
        if (offset.scale() > 0 && offset.signum() > 0 && offset.compareTo(width.add(BigDecimal.ONE)) < 0) {
            return new Refused(
                    raw,
                    Refusal.LIKE_BACKSPACING,
                    List.of(both + " BS " + plain(offset), both + " ET" + offset.toBigInteger()));
        }
        if (offset.abs().doubleValue() > 150) {
            return new Refused(raw, Refusal.OFFSET, List.of(both + " ET45"));
        }
        return new WheelParse.Read(new Wheel(width, rim, Length.of(offset, LengthUnit.MILLIMETRE), Length.ZERO));
    }

    private static String plain(BigDecimal number) {
        return number.stripTrailingZeros().toPlainString();
    }
}
