package abbex.core.wheels;

import abbex.core.wheels.TyreParse.Refusal;
import abbex.core.wheels.TyreParse.Refused;
import abbex.core.wheels.TyreSize.Notation;
import abbex.core.wheels.TyreSize.Service;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Tyre sizes in and out of text: metric, flotation, alphanumeric and inch sizes. What is offered is made of what was typed and
 * of nothing else.
 */
final class TyreText {
    /** Longest text that is looked at. */
    private static final int LONGEST = 40;

    private static final String SERVICE =
            "(?:\\(?\\s*(?<li>\\d{1,3})(?:/(?<dual>\\d{1,3}))?\\s*(?<open>\\()?(?<speed>[A-Z]\\d?)\\s*(?<above>\\))?)?";
    private static final String MARKS = "\\s*(?<xl>XL|EL|REINF|REINFORCED|RF|EXTRA LOAD)?";

    private static final Pattern METRIC = Pattern.compile(
            "(?<prefix>P|LT|ST|T)?\\s*(?<width>\\d{2,3})\\s*/\\s*(?<aspect>\\d{2,3})\\s*(?<build>ZR|VR|HR|R|B|D|-)"
                    + "?\\s*(?<rim>\\d{1,2}(?:\\.5)?)?\\s*(?<after>C|LT)?\\s*(?<wet>M/C)?\\s*" + SERVICE + MARKS);
    private static final Pattern FULL = Pattern.compile(
            "(?<width>\\d{3})\\s*(?<build>R|B|D|-)\\s*(?<rim>\\d{2})\\s*(?<after>C|LT)?\\s*" + SERVICE + MARKS);

    /** A metric size that says no aspect is about 80 (ETRTO's diameters of such sizes, from memory). */
    private static final BigDecimal FULL_ASPECT = BigDecimal.valueOf(80);

    private static final Pattern FLOTATION = Pattern.compile(
            "(?<outside>\\d{2}(?:\\.\\d{1,2})?)\\s*[X×]\\s*(?<width>\\d{1,2}(?:\\.\\d{1,2})?)\\s*(?<build>R|B|D|-)"
                    + "?\\s*(?<rim>\\d{2}(?:\\.5)?)?\\s*(?<after>LT)?\\s*" + SERVICE + MARKS);
    private static final Pattern ALPHANUMERIC = Pattern.compile(
            "(?<letters>M[A-Z])(?<aspect>\\d{2})\\s*(?<build>R|B|-)?\\s*(?<rim>\\d{2})?\\s*" + SERVICE + MARKS);
    private static final Pattern INCH = Pattern.compile(
            "(?<width>\\d{1,2}\\.\\d{2})\\s*(?<build>R|B|D|-)\\s*(?<rim>\\d{2})?\\s*(?<after>P|C|LT)?\\s*" + SERVICE
                    + MARKS);

    /** Metric widths that alphanumeric sizes are taken for (the trade's tables, from memory). */
    private static final Map<String, Integer> LETTERS =
            Map.of("MH", 80, "MJ", 90, "MM", 100, "MN", 110, "MP", 120, "MR", 120, "MT", 130, "MU", 140, "MV", 150);

    /** No car's tyre is made diagonal at such a width any more (common practice): the R was meant. */
    private static final int CAR_WIDTH = 195;

    private TyreText() {}

    static TyreParse parse(String raw) {
        String text = raw.strip().toUpperCase(Locale.ROOT).replace(',', '.').replaceAll("\\s+", " ");
        if (text.isEmpty()) {
            return new Refused(raw, Refusal.EMPTY, List.of());
        }
        if (text.length() > LONGEST) {
            return new Refused(raw, Refusal.NO_SIZE, List.of());
        }
        Matcher metric = METRIC.matcher(text);
        Matcher flotation = FLOTATION.matcher(text);
        Matcher letters = ALPHANUMERIC.matcher(text);
        Matcher inch = INCH.matcher(text);
        if (metric.matches()) {
            return metric(raw, metric);
        }
        if (flotation.matches()) {
            return flotation(raw, flotation);
        }
        if (letters.matches() && LETTERS.containsKey(letters.group("letters"))) {
            return sized(
                    raw,
                    letters,
                    Notation.ALPHANUMERIC,
                    letters.group("letters"),
                    BigDecimal.valueOf(LETTERS.get(letters.group("letters"))),
                    number(letters, "aspect"),
                    BigDecimal.ZERO);
        }
        if (inch.matches()) {
            // Inch sizes are about as high as they are wide.
            return sized(raw, inch, Notation.INCH, "", number(inch, "width"), BigDecimal.valueOf(100), BigDecimal.ZERO);
        }
        Matcher full = FULL.matcher(text);
        if (full.matches()) {
            String after = full.group("after") == null ? "" : full.group("after");
            return sized(raw, full, Notation.FULL, after, number(full, "width"), FULL_ASPECT, BigDecimal.ZERO);
        }
        return new Refused(raw, Refusal.NO_SIZE, List.of());
    }

    private static TyreParse metric(String raw, Matcher m) {
        int width = Integer.parseInt(m.group("width"));
        int aspect = Integer.parseInt(m.group("aspect"));
        String build = m.group("build");
        if (width < 60 || width > 455) {
            return new Refused(raw, Refusal.WIDTH, List.of());
        }
        if (aspect < 20 || aspect > 100) {
            return new Refused(raw, Refusal.ASPECT, List.of());
        }
        boolean motorcycle = m.group("wet") != null;
        if ("-".equals(build) && width >= CAR_WIDTH && !motorcycle && m.group("rim") != null) {
            return new Refused(raw, Refusal.DIAGONAL_CAR, List.of(width + "/" + aspect + "R" + m.group("rim")));
        }
        String prefix =
                m.group("prefix") == null ? m.group("after") == null ? "" : m.group("after") : m.group("prefix");
        return sized(
                raw,
                m,
                Notation.METRIC,
                prefix.equals("C") ? "" : prefix,
                BigDecimal.valueOf(width),
                BigDecimal.valueOf(aspect),
                BigDecimal.ZERO);
    }

    private static TyreParse flotation(String raw, Matcher m) {
        BigDecimal outside = number(m, "outside");
        BigDecimal width = number(m, "width");
        if (m.group("rim") == null) {
            return new Refused(raw, Refusal.NO_RIM, List.of());
        }
        BigDecimal rim = number(m, "rim");
        if (outside.compareTo(rim.add(BigDecimal.valueOf(4))) < 0) {
            return new Refused(raw, Refusal.RIM, List.of());
        }
        BigDecimal height = outside.subtract(rim).divide(BigDecimal.valueOf(2));
        BigDecimal aspect = height.multiply(BigDecimal.valueOf(100)).divide(width, 3, java.math.RoundingMode.HALF_EVEN);
        return sized(
                raw, m, Notation.FLOTATION, m.group("after") == null ? "" : m.group("after"), width, aspect, outside);
    }

    private static TyreParse sized(
            String raw,
            Matcher m,
            Notation notation,
            String prefix,
            BigDecimal width,
            BigDecimal aspect,
            BigDecimal outside) {
        if (m.group("rim") == null) {
            return new Refused(raw, Refusal.NO_RIM, List.of());
        }
        BigDecimal rim = number(m, "rim");
        if (rim.doubleValue() < 8 || rim.doubleValue() > 30) {
            return new Refused(raw, Refusal.RIM, List.of());
        }
        Optional<Service> service = Optional.empty();
        if (m.group("li") != null) {
            int load = Integer.parseInt(m.group("li"));
            Optional<SpeedSymbol> speed = SpeedSymbol.of(m.group("speed"));
            if (LoadIndex.kg(load).isEmpty()) {
                return new Refused(raw, Refusal.LOAD, List.of());
            }
            if (speed.isEmpty()) {
                return new Refused(raw, Refusal.SPEED, List.of());
            }
            Optional<Integer> dual = Optional.ofNullable(m.group("dual")).map(Integer::valueOf);
            if (dual.isPresent() && LoadIndex.kg(dual.get()).isEmpty()) {
                return new Refused(raw, Refusal.LOAD, List.of());
            }
            service = Optional.of(new Service(load, dual, speed.get(), m.group("above") != null));
        }
        String build = m.group("build") == null ? "R" : m.group("build");
        return new TyreParse.Read(new TyreSize(
                notation,
                prefix,
                width,
                aspect,
                outside,
                build.endsWith("R") && build.length() > 1 ? build : build,
                rim,
                service,
                m.group("xl") != null));
    }

    private static BigDecimal number(Matcher m, String group) {
        return new BigDecimal(m.group(group));
    }
}
