package abbex.core.units;

import abbex.core.units.TapeParse.Refusal;
import abbex.core.units.TapeParse.Refused;
import abbex.core.units.TapeParse.Taken;
import java.math.BigDecimal;
import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Tape text in and out, as the trade writes it: {@code 25 7/16}, {@code 25-7/16}, {@code 25 7/16"}, {@code 25.5},
 * {@code 2' 1 7/16"}, {@code 23 3/32+}, {@code 646 mm}, {@code 64.6 cm}. A comma is never a decimal point here: it is
 * refused and the point offered, because 26,5 and 26 5 and 265 are one slip apart.
 */
public final class TapeText {
    /** What the number may be. */
    public enum Allowed {
        POSITIVE,
        ZERO_OR_MORE,
        ANY
    }

    /** Longest text that is looked at. */
    public static final int MAX_CHARACTERS = 40;

    /** No height on a road vehicle that is lowered exceeds ten feet (ours: it catches a slipped decimal or unit). */
    public static final Length LARGEST_HEIGHT = Length.ofInches(120, 0, 1);

    private static final String UNIT = "(in|inch|inches|\"|mm|cm|m|ft|feet|foot|')?";
    private static final Pattern COMMA = Pattern.compile(".*\\d\\s*,\\s*\\d.*");
    private static final Pattern EXPONENT = Pattern.compile("(?i)[+-]?[\\d.]+\\s*e\\s*[+-]?\\d+.*");
    private static final Pattern BEFORE_FRACTION_SIGN = Pattern.compile("(?<=\\d)(?=[¼-¾⅐-⅞⁰¹²³⁴-⁹])(?<![⁰¹²³⁴-⁹])");
    private static final Pattern DOUBLE_PRIMES = Pattern.compile("[″“”„‟〃]");
    private static final Pattern PRIMES = Pattern.compile("[′‘’ʼ]");
    private static final Pattern DASHES = Pattern.compile("[−–—‐‑‒﹣－]");
    private static final Pattern SPACES = Pattern.compile("\\s+");
    private static final Pattern MARK_BEFORE_UNIT = Pattern.compile("([+-]) ?(in|inch|inches|\"|mm|cm)$");
    /** Nothing in it needs another writing: digits, spaces, a fraction stroke, a point, marks and plain letters. */
    private static final Pattern PLAIN =
            Pattern.compile("[+-]?[0-9]+(?:\\.[0-9]+|(?: [0-9]+)?/[0-9]+)?(?: (?:in|mm|cm))?[+-]?");

    private static final Pattern NUMBER = Pattern.compile("(\\d{1,9}(?:\\.\\d{0,9})?|\\.\\d{1,9})\\s*" + UNIT);
    private static final Pattern FRACTION =
            Pattern.compile("(?:(\\d{1,9})(?:\\s*-\\s*|\\s+))?(\\d{1,9})\\s*/\\s*(\\d{1,9})\\s*(in|inch|inches|\")?");
    private static final Pattern FEET = Pattern.compile("(\\d{1,5})\\s*(?:'|ft|feet|foot)\\s*-?\\s*(\\S.*)");
    private static final Pattern UNFINISHED =
            Pattern.compile("(?:(\\d{1,9})(?:\\s*-\\s*|\\s+))?(\\d{0,9})\\s*/\\s*(\\d{0,9})\\s*(?:in|\")?");
    private static final Pattern NO_SLASH = Pattern.compile("(\\d{1,9})(?:\\s+|-)(\\d{1,2})\\s*(?:in|\")?");

    private final LengthUnit bare;
    private final Graduation tape;
    private final Allowed allowed;
    private final Length largest;

    private TapeText(LengthUnit bare, Graduation tape, Allowed allowed, Length largest) {
        this.bare = bare;
        this.tape = tape;
        this.allowed = allowed;
        this.largest = largest;
    }

    /**
     * Reads one height.
     *
     * @param bare the unit of a number without one
     * @param tape the tape's marks; a finer denominator is taken and {@link TapeReading#finerThanTape()} says so
     */
    public static TapeParse parse(String raw, LengthUnit bare, Graduation tape, Allowed allowed) {
        return parse(raw, bare, tape, allowed, LARGEST_HEIGHT);
    }

    /** As {@link #parse(String, LengthUnit, Graduation, Allowed)} with another largest value, for wheelbases. */
    public static TapeParse parse(String raw, LengthUnit bare, Graduation tape, Allowed allowed, Length largest) {
        return new TapeText(bare, tape, allowed, largest).read(raw);
    }

    private TapeParse read(String raw) {
        boolean plain = raw.length() <= MAX_CHARACTERS && PLAIN.matcher(raw).matches();
        Optional<Refused> unfit = plain ? Optional.empty() : unfit(raw);
        if (unfit.isPresent()) {
            return unfit.get();
        }
        String text = plain ? raw : tidy(raw);
        boolean negative = text.startsWith("-");
        if (negative || text.startsWith("+")) {
            text = text.substring(1).strip();
        }
        Mark mark = text.endsWith("+") ? Mark.PAST : text.endsWith("-") ? Mark.SHORT : Mark.ON;
        if (mark != Mark.ON) {
            text = text.substring(0, text.length() - 1).strip();
        }
        Step step = amount(text);
        if (step.refusal() != null) {
            return new Refused(raw, step.refusal(), step.values(), offers(step.offer(), mark, negative));
        }
        return judge(raw, text, step, mark, negative);
    }

    private TapeParse judge(String raw, String text, Step step, Mark mark, boolean negative) {
        Length size = step.size();
        if (negative && size.sign() > 0 && allowed != Allowed.ANY) {
            return refused(raw, Refusal.MINUS, text, text + mark.sign());
        }
        // Past 3/8 of tuck is more tuck: the mark counts from nought outwards, on either side of it.
        boolean below = negative && size.sign() > 0;
        Mark side = negative && !below ? mark.opposite() : mark;
        Length from = TapeReading.shifted(size, step.graduation(), side);
        Length value = below ? from.negate() : from;
        if (allowed == Allowed.POSITIVE && value.sign() <= 0) {
            return refused(raw, Refusal.ZERO, text, null);
        }
        if (allowed == Allowed.ZERO_OR_MORE && value.sign() < 0) {
            return refused(raw, Refusal.MINUS, text + mark.sign(), text);
        }
        if (size.compareTo(largest) > 0) {
            String other = step.bareUnit() ? text + (bare.metric() ? " in" : " mm") : null;
            boolean fits = other != null && parse(other, bare, tape, allowed, largest) instanceof Taken;
            return new Refused(
                    raw,
                    Refusal.TOO_LARGE,
                    List.of(print(size, tape), print(largest, tape)),
                    fits ? List.of(other) : List.of());
        }
        boolean finer = step.graduation().finerThan(tape) && step.graduation().unit() == tape.unit();
        return new Taken(new TapeReading(raw, value, step.graduation(), side, step.bareUnit(), finer));
    }

    /** What cannot be looked into at all, or is told from its characters alone. */
    private Optional<Refused> unfit(String raw) {
        if (raw.length() > MAX_CHARACTERS) {
            return Optional.of(refused(raw, Refusal.TOO_LONG, String.valueOf(raw.length()), null));
        }
        String text = raw.strip();
        if (text.isEmpty()) {
            return Optional.of(new Refused(raw, Refusal.EMPTY, List.of(), List.of()));
        }
        if (text.chars().anyMatch(c -> Character.isISOControl(c) && c != '\t')) {
            return Optional.of(refused(raw, Refusal.NOT_PRINTABLE, text.replaceAll("\\p{Cntrl}", "·"), null));
        }
        if (text.codePoints().anyMatch(c -> Character.isDigit(c) && c > '9')) {
            StringBuilder plain = new StringBuilder();
            text.codePoints()
                    .forEach(c -> plain.append(
                            Character.isDigit(c) ? String.valueOf(Character.digit(c, 10)) : Character.toString(c)));
            return Optional.of(refused(raw, Refusal.OTHER_DIGITS, text, plain.toString()));
        }
        if (COMMA.matcher(text).matches()) {
            return Optional.of(refused(raw, Refusal.COMMA, text, text.replaceAll("\\s*,\\s*", ".")));
        }
        if (EXPONENT.matcher(text).matches()) {
            return Optional.of(refused(raw, Refusal.EXPONENT, text, null));
        }
        return Optional.empty();
    }

    private Refused refused(String raw, Refusal why, String read, @Nullable String offer) {
        return new Refused(raw, why, List.of(read), offer == null ? List.of() : offers(offer, Mark.ON, false));
    }

    /** An offer is only made when it would be taken. */
    private List<String> offers(@Nullable String offer, Mark mark, boolean negative) {
        if (offer == null) {
            return List.of();
        }
        String whole = (negative ? "-" : "") + offer + mark.sign();
        return read(whole) instanceof Taken ? List.of(whole) : List.of();
    }

    /** One writing for each character that a keyboard, a phone or a print shop may have used for it. */
    private static String tidy(String raw) {
        String text = raw.strip();
        text = BEFORE_FRACTION_SIGN.matcher(text).replaceAll(" ");
        text = DOUBLE_PRIMES.matcher(text).replaceAll("\"");
        text = PRIMES.matcher(text).replaceAll("'");
        text = DASHES.matcher(text).replaceAll("-");
        text = Normalizer.normalize(text, Normalizer.Form.NFKC)
                .replace('⁄', '/')
                .replace('∕', '/');
        text = SPACES.matcher(text.replace("''", "\"")).replaceAll(" ").strip().toLowerCase(Locale.ROOT);
        return MARK_BEFORE_UNIT.matcher(text).replaceFirst(" $2$1");
    }

    private record Step(
            Length size,
            Graduation graduation,
            boolean bareUnit,
            @Nullable Refusal refusal,
            List<String> values,
            @Nullable String offer) {
        static Step of(Length size, Graduation graduation, boolean bareUnit) {
            return new Step(size, graduation, bareUnit, null, List.of(), null);
        }

        static Step no(Refusal refusal, @Nullable String offer, String... values) {
            return new Step(Length.ZERO, Graduation.MILLIMETRE, false, refusal, List.of(values), offer);
        }
    }

    private Step amount(String text) {
        Matcher feet = FEET.matcher(text);
        if (feet.matches()) {
            return feet(feet.group(1), feet.group(2), text);
        }
        Matcher fraction = FRACTION.matcher(text);
        if (fraction.matches()) {
            return fraction(fraction);
        }
        Matcher number = NUMBER.matcher(text);
        if (number.matches()) {
            return number(decimal(number.group(1)), number.group(2));
        }
        return mended(text);
    }

    /** Feet are followed by inches, whatever the unit of a bare number. */
    private Step feet(String feet, String rest, String text) {
        Matcher fraction = FRACTION.matcher(rest);
        Matcher number = NUMBER.matcher(rest);
        Step inches = fraction.matches() ? fraction(fraction) : Step.no(Refusal.NOT_READABLE, null, text);
        if (number.matches() && (number.group(2) == null || number.group(2).matches("in|inch|inches|\""))) {
            inches = number(decimal(number.group(1)), "in");
        }
        if (inches.refusal() != null) {
            String offer = inches.offer() == null ? null : feet + "' " + inches.offer();
            return Step.no(inches.refusal(), offer, text);
        }
        Length whole = Length.of(new BigDecimal(feet), LengthUnit.FOOT);
        return Step.of(whole.plus(inches.size()), inches.graduation(), false);
    }

    /** What a text that is no reading was probably meant to be. */
    private Step mended(String text) {
        Matcher unfinished = UNFINISHED.matcher(text);
        if (unfinished.matches()) {
            String whole = unfinished.group(1) == null ? "" : unfinished.group(1) + " ";
            String top = unfinished.group(2);
            int over = tape.unit() == LengthUnit.INCH ? tape.perUnit() : 16;
            boolean fits = !top.isEmpty() && unfinished.group(3).isEmpty() && Long.parseLong(top) < over;
            return Step.no(Refusal.UNFINISHED_FRACTION, fits ? whole + top + "/" + over : null, text);
        }
        Matcher noSlash = NO_SLASH.matcher(text);
        if (noSlash.matches()) {
            int over = tape.unit() == LengthUnit.INCH ? tape.perUnit() : 16;
            boolean fits = Long.parseLong(noSlash.group(2)) < over;
            return Step.no(
                    Refusal.MISSING_SLASH, fits ? noSlash.group(1) + " " + noSlash.group(2) + "/" + over : null, text);
        }
        return Step.no(Refusal.NOT_READABLE, null, text);
    }

    private Step fraction(Matcher m) {
        long whole = m.group(1) == null ? 0 : Long.parseLong(m.group(1));
        long top = Long.parseLong(m.group(2));
        long over = Long.parseLong(m.group(3));
        String read = (m.group(1) == null ? "" : whole + " ") + top + "/" + over;
        if (over < 2 || over > 64 || Long.bitCount(over) != 1) {
            return Step.no(Refusal.NOT_ON_A_TAPE, over > 1 && top < over ? nearest(whole, top, over) : null, read);
        }
        if (top >= over) {
            Length size = Length.ofNm(whole * Length.NM_PER_INCH + top * (Length.NM_PER_INCH / over));
            return Step.no(
                    Refusal.IMPROPER, top < 2 * over && m.group(1) != null ? inchesOver(size, (int) over) : null, read);
        }
        Length size = Length.ofNm(whole * Length.NM_PER_INCH + top * (Length.NM_PER_INCH / over));
        Graduation written = new Graduation(LengthUnit.INCH, (int) over);
        Graduation marks = tape.unit() == LengthUnit.INCH ? tape : Graduation.SIXTEENTH_INCH;
        return Step.of(size, written.finerThan(marks) ? written : marks, false);
    }

    private String nearest(long whole, long top, long over) {
        int marks = tape.unit() == LengthUnit.INCH ? tape.perUnit() : 16;
        long n = Math.round(top * (double) marks / over);
        return inchesOver(Length.ofNm(whole * Length.NM_PER_INCH + n * (Length.NM_PER_INCH / marks)), marks);
    }

    private static BigDecimal decimal(String digits) {
        return new BigDecimal(digits.endsWith(".") ? digits + "0" : digits);
    }

    private Step number(BigDecimal amount, String written) {
        LengthUnit unit = written == null
                ? bare
                : switch (written) {
                    case "mm" -> LengthUnit.MILLIMETRE;
                    case "cm" -> LengthUnit.CENTIMETRE;
                    case "m" -> LengthUnit.METRE;
                    case "'", "ft", "foot", "feet" -> LengthUnit.FOOT;
                    default -> LengthUnit.INCH;
                };
        Length size = Length.of(amount, unit);
        return Step.of(size, graduationOf(size, unit), written == null);
    }

    /** A value on a mark of the tape keeps the tape's graduation, however it is written. */
    private Graduation graduationOf(Length size, LengthUnit unit) {
        if (tape.marks(size)) {
            return tape;
        }
        if (!unit.metric()) {
            // A decimal inch between the marks claims no more than the tape; on a finer mark it was read on one.
            Graduation marks = tape.unit() == LengthUnit.INCH ? tape : Graduation.SIXTEENTH_INCH;
            for (int per = marks.perUnit(); per <= 64; per *= 2) {
                Graduation finer = new Graduation(LengthUnit.INCH, per);
                if (finer.marks(size)) {
                    return finer;
                }
            }
            return marks;
        }
        Graduation marks = tape.unit().metric() ? tape : Graduation.MILLIMETRE;
        for (int per : new int[] {1, 2, 10}) {
            Graduation finer = new Graduation(LengthUnit.MILLIMETRE, per);
            if (per >= marks.perUnit() && finer.marks(size)) {
                return finer;
            }
        }
        return marks;
    }

    /** A kept text read again: its kept value wins over today's way of reading, should the two ever differ. */
    public static TapeReading stored(String raw, LengthUnit bare, Graduation tape, Allowed allowed, Length value) {
        return parse(raw, bare, tape, allowed)
                .asReading()
                .filter(read -> read.value().equals(value))
                .orElseGet(() -> TapeReading.of(value, tape));
    }

    /** The length in the unit of the graduation with its unit, exact: {@code 25 7/16 in}, {@code 646 mm}. */
    public static String print(Length length, Graduation graduation) {
        return number(length, graduation.unit()) + " " + graduation.unit().symbol();
    }

    /**
     * The exact number without unit: inches as a true fraction in lowest terms when the length stands on a 64th, else
     * decimal; millimetres decimal. Sign: a leading hyphen-minus when negative.
     */
    public static String number(Length length, LengthUnit unit) {
        return unit == LengthUnit.INCH && length.onInchMarks()
                ? inchesOver(length, 0)
                : length.in(unit).toPlainString();
    }

    /** Inches as a fraction over the given denominator, or in lowest terms for 0; the length must stand on the mark. */
    static String inchesOver(Length length, int over) {
        long sixtyFourths = length.abs().nm() / Length.NM_PER_64TH;
        long whole = sixtyFourths / 64;
        long top = sixtyFourths % 64;
        long bottom = 64;
        while (bottom > 1 && top % 2 == 0 && bottom != over) {
            top /= 2;
            bottom /= 2;
        }
        String sign = length.sign() < 0 ? "-" : "";
        return top == 0 && over == 0 || bottom == 1 || top == 0
                ? sign + whole
                : sign + (whole == 0 ? "" : whole + " ") + top + "/" + bottom;
    }

    /** A computed length as it is shown: the text without unit and whether it is exact or rounded. */
    public record Shown(String text, boolean exact) {}

    /**
     * A result in a person's unit: inches exactly when the length stands on a 64th, else rounded half to even to the
     * graduation; millimetres to 0.1. Sign: a leading hyphen-minus when negative.
     */
    public static Shown result(Length length, Graduation graduation) {
        long step = graduation.unit() == LengthUnit.INCH
                ? length.onInchMarks() ? Length.NM_PER_64TH : graduation.step().nm()
                : Length.NM_PER_MM / 10;
        Length rounded = Length.ofNm(Length.divideHalfEven(length.nm(), step) * step);
        return new Shown(number(rounded, graduation.unit()), rounded.equals(length));
    }

    /** An uncertainty in a person's unit, rounded up (JCGM 100, 7.2.6): inches to the next 64th, millimetres to 0.1. */
    public static String expanded(Length uncertainty, LengthUnit unit) {
        long step = unit == LengthUnit.INCH ? Length.NM_PER_64TH : Length.NM_PER_MM / 10;
        return number(Length.ofNm(-Math.floorDiv(-uncertainty.nm(), step) * step), unit);
    }

    /**
     * The step to which a value is known that is uncertain by so much: half of it at most, in halves of halves of an inch or in whole
     * millimetres from 5 on; empty where results are shown no finer anyhow.
     */
    public static Optional<Length> stepOf(Length expanded, LengthUnit unit) {
        if (unit.metric()) {
            return expanded.compareTo(Length.ofMm(5)) < 0 ? Optional.empty() : Optional.of(Length.ofMm(1));
        }
        int perInch = 1;
        while (perInch < 32 && 2 * (Length.NM_PER_INCH / perInch) > expanded.nm()) {
            perInch *= 2;
        }
        return perInch == 32 ? Optional.empty() : Optional.of(Length.ofNm(Length.NM_PER_INCH / perInch));
    }
}
