package abbex.app.parts;

import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.parts.OldNew;
import abbex.core.parts.PartFigures;
import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The part that comes off over the one that goes on, lengths to one scale and diameters to another, and what is said of them.
 *
 * @param rows what can be measured, old and new
 * @param says what was compared, in words
 */
public record BesideView(List<Drawn> parts, List<Row> rows, List<Says> says) {
    private static final double LEFT = 90;
    private static final double WIDE = 450;
    private static final double SUPPOSED = 300;
    private static final double ACROSS = 2.4;
    private static final double MOST_ACROSS = 36;

    /**
     * A part as drawn, in pixels.
     *
     * @param y its axis
     * @param end where it ends
     * @param bore radius of the hole
     * @param bar half of the bar's thickness
     * @param unlike names of the features that differ, as classes
     */
    public record Drawn(boolean fresh, int y, int end, int bore, int bar, String unlike, Map<String, String> texts) {
        public int eye() {
            return bore + 9;
        }

        /** Four strokes across the end of the bar. */
        public String threads() {
            return IntStream.range(0, 4)
                    .mapToObj(n -> "M" + (end - 44 + 12 * n) + " " + (y - bar) + "l6 " + 2 * bar)
                    .collect(Collectors.joining());
        }

        /** Where the body ends and the bar begins. */
        public int shoulder() {
            return end - 110;
        }
    }

    /** A feature with its two fields. */
    public record Row(String feature, String old, String fresh, boolean unlike) {
        /** The end of its fields' names. */
        public String field() {
            return feature.charAt(0) + feature.substring(1).toLowerCase(Locale.ROOT);
        }
    }

    /** A line of what was found. */
    public record Says(String mark, String word, String text) {}

    static BesideView of(OldNew pair, Map<OldNewLog.Figure, OldNewLog.Told> told, Words words, Reader reader) {
        List<OldNew.Feature> unlike = pair.compared().stream()
                .filter(one -> !one.alike())
                .map(OldNew.Compared::feature)
                .toList();
        double longest = Stream.of(pair.old().length(), pair.fresh().length())
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .max()
                .orElse(SUPPOSED);
        List<Row> rows = Stream.of(OldNew.Feature.values())
                .map(f -> new Row(f.name(), raw(told, f, false), raw(told, f, true), unlike.contains(f)))
                .toList();
        return new BesideView(
                List.of(
                        drawn(pair.old(), false, longest, told, unlike),
                        drawn(pair.fresh(), true, longest, told, unlike)),
                rows,
                said(pair, words, reader));
    }

    private static String raw(Map<OldNewLog.Figure, OldNewLog.Told> told, OldNew.Feature feature, boolean fresh) {
        OldNewLog.Told one = told.get(OldNewLog.Figure.of(feature, fresh));
        return one == null ? "" : one.raw();
    }

    private static Drawn drawn(
            PartFigures part,
            boolean fresh,
            double longest,
            Map<OldNewLog.Figure, OldNewLog.Told> told,
            List<OldNew.Feature> unlike) {
        double length = part.length().orElse(longest);
        return new Drawn(
                fresh,
                fresh ? 190 : 75,
                (int) Math.round(LEFT + Math.max(0.35, length / longest) * WIDE),
                across(part.bore()),
                across(part.bar()),
                unlike.stream()
                        .map(f -> "unlike-" + f.name().toLowerCase(Locale.ROOT))
                        .collect(Collectors.joining(" ")),
                Stream.of(OldNew.Feature.values())
                        .collect(Collectors.toMap(OldNew.Feature::name, f -> raw(told, f, fresh))));
    }

    private static int across(OptionalDouble diameter) {
        return (int) Math.round(Math.min(MOST_ACROSS, ACROSS * diameter.orElse(12) / 2));
    }

    private static List<Says> said(OldNew pair, Words words, Reader reader) {
        List<Says> says = new ArrayList<>();
        for (OldNew.Compared one : pair.compared()) {
            boolean meant = one.feature() == OldNew.Feature.LENGTH && pair.lengthIsMeant();
            String mark = one.alike() ? "CLEAR" : meant || !pair.because().isEmpty() ? "NOTE" : "LOOK";
            String key = one.alike() ? "alike" : one.by().isEmpty() ? "other" : more(one) ? "more" : "less";
            says.add(new Says(
                    mark.toLowerCase(Locale.ROOT),
                    words.say("severity." + mark, reader),
                    Numerals.html(words.say(
                            "parts.beside." + key,
                            reader,
                            "feature",
                            words.say("parts.feature." + one.feature(), reader),
                            "by",
                            Length.ofRoundedMm(Math.abs(one.by().orElse(0)))))));
        }
        return says;
    }

    private static boolean more(OldNew.Compared one) {
        return one.by().orElse(0) > 0;
    }
}
