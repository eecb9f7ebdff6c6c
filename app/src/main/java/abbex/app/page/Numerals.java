package abbex.app.page;

import abbex.core.heights.PointMethod;
import abbex.core.heights.Way;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeText;
import java.util.regex.Pattern;
import org.springframework.web.util.HtmlUtils;

/** Lengths as they are written on a page: true fractions, the unit small behind, words for those who listen. */
public final class Numerals {
    private static final Pattern FRACTION = Pattern.compile("(\\d++)⁄(\\d++)");
    private static final Pattern MIXED = Pattern.compile("(\\d) (\\d+)/(\\d+)");
    private static final String UP = "⁰¹²³⁴⁵⁶⁷⁸⁹";
    private static final String DOWN = "₀₁₂₃₄₅₆₇₈₉";

    private Numerals() {}

    /** A result in plain text: {@code 1 3⁄16″}, {@code −20.6 mm}. */
    public static String text(Length length, Reader reader) {
        return typographic(TapeText.result(length, reader.shown()).text()) + unit(reader);
    }

    /** The same without the unit. */
    public static String bare(Length length, Reader reader) {
        return typographic(TapeText.result(length, reader.shown()).text());
    }

    /** An uncertainty, rounded up. */
    public static String uncertainty(Length expanded, Reader reader) {
        return typographic(TapeText.expanded(expanded, reader.unit())) + unit(reader);
    }

    /** To the nearest eighth of an inch, without the unit: what is set by hand. */
    public static String eighths(Length length) {
        return typographic(TapeText.number(length.toNearest(EIGHTH.step()), LengthUnit.INCH));
    }

    /** Uncertainties are rounded up (JCGM 100, 7.2.6), to a mark finer than what they belong to where there is one. */
    private static Length upTo(Length expanded, Length step) {
        long mark = Math.max(1, step.equals(Length.ofMm(1)) ? step.nm() : step.nm() / 2);
        return Length.ofNm(-Math.floorDiv(-expanded.nm(), mark) * mark);
    }

    private static final Graduation EIGHTH = new Graduation(LengthUnit.INCH, 8);

    /**
     * A value beside its uncertainty, neither finer than that tells: steps of at most half of it, where those are coarser than what
     * is shown anyhow.
     */
    public static String known(Length value, Length expanded, Reader reader) {
        return value(value, expanded, reader) + " ± " + width(expanded, reader);
    }

    /** The value alone. */
    public static String value(Length value, Length expanded, Reader reader) {
        return TapeText.stepOf(expanded, reader.unit())
                .map(step -> typographic(TapeText.number(value.toNearest(step), reader.unit())) + unit(reader))
                .orElseGet(() -> text(value, reader));
    }

    /** Its uncertainty alone. */
    public static String width(Length expanded, Reader reader) {
        return TapeText.stepOf(expanded, reader.unit())
                .map(step -> typographic(TapeText.number(upTo(expanded, step), reader.unit())) + unit(reader))
                .orElseGet(() -> uncertainty(expanded, reader));
    }

    /** A reading as it was read, such as {@code 23 3⁄32+}; metric ones with their unit. */
    public static String reading(abbex.core.units.TapeReading reading) {
        String text = reading.text();
        boolean inch = reading.graduation().unit() == LengthUnit.INCH;
        return typographic(inch ? text.replace(" in", "") : text);
    }

    private static String unit(Reader reader) {
        return reader.unit().metric() ? "\u00a0mm" : "″";
    }

    /** What somebody typed, its fraction as a fraction. */
    public static String typed(String raw) {
        return typographic(raw);
    }

    private static String typographic(String plain) {
        return MIXED.matcher(plain.replace('-', '−'))
                .replaceFirst("$1\u202f$2⁄$3")
                .replace('/', '⁄');
    }

    /** Text made safe for a page, its fractions drawn as fractions. */
    public static String html(String text) {
        if (text.isEmpty()) {
            return text;
        }
        String safe = HtmlUtils.htmlEscape(text, "UTF-8");
        return safe.indexOf('⁄') < 0 ? safe : FRACTION.matcher(safe).replaceAll("<span class=\"frac\">$1⁄$2</span>");
    }

    /** The same for the text of a drawing. */
    public static String drawn(String text) {
        return inDrawing(html(text));
    }

    /** Text that is safe for a page, for a drawing of it. */
    public static String inDrawing(String html) {
        return html.replace("span", "tspan");
    }

    /** A drop: ↓ or ↑ with an unsigned length. */
    public static String drop(Length drop, Reader reader) {
        return (drop.sign() < 0 ? "↑\u00a0" : drop.sign() > 0 ? "↓\u00a0" : "") + text(drop.abs(), reader);
    }

    /** The same no finer than its uncertainty tells. */
    public static String drop(Length drop, Length expanded, Reader reader) {
        return (drop.sign() < 0 ? "↑\u00a0" : drop.sign() > 0 ? "↓\u00a0" : "") + value(drop.abs(), expanded, reader);
    }

    /** A move across the vehicle, positive to the right: ← or → with an unsigned length. */
    public static String sideways(Length right, Reader reader) {
        return (right.sign() < 0 ? "←\u00a0" : right.sign() > 0 ? "→\u00a0" : "") + text(right.abs(), reader);
    }

    /** What a way did between two sheets: a drop, or a move across the vehicle. */
    public static String moved(Way way, Length by, Reader reader) {
        return way instanceof PointMethod point && point.across() ? sideways(by, reader) : drop(by, reader);
    }

    /** Fractions by raised and lowered digits, for print where no font feature is applied. */
    public static String printable(String text) {
        return FRACTION.matcher(text).replaceAll(m -> shift(m.group(1), UP) + "⁄" + shift(m.group(2), DOWN));
    }

    private static String shift(String digits, String to) {
        StringBuilder out = new StringBuilder();
        digits.chars().forEach(c -> out.append(to.charAt(c - '0')));
        return out.toString();
    }
}
