package abbex.app.api;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.figure.Figure;
import abbex.core.heights.Adjustment;
import abbex.core.heights.Assessment;
import abbex.core.heights.BeforeAfter;
import abbex.core.heights.CornerDrop;
import abbex.core.heights.DropSheet;
import abbex.core.heights.Outlier;
import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** The drop sheet as the published interface answers it: exact nanometres, a text, an uncertainty with its factor. */
final class DropAnswer {
    private final Reader reader;

    private DropAnswer(Reader reader) {
        this.reader = reader;
    }

    static Map<String, Object> of(Assessment judged, Reader reader, Words words) {
        DropSheet sheet = judged.drops();
        DropAnswer make = new DropAnswer(reader);
        Map<String, Object> answer = new LinkedHashMap<>();
        Map<String, Object> corners = new LinkedHashMap<>();
        for (Corner corner : Corner.WALK) {
            CornerDrop drop = sheet.corners().get(corner);
            if (!drop.byMethod().isEmpty()) {
                corners.put(corner.name(), make.corner(drop, judged));
            }
        }
        answer.put("corners", corners);
        Map<String, Object> ends = new LinkedHashMap<>();
        sheet.ends().forEach((end, drop) -> {
            Map<String, Object> one = new LinkedHashMap<>();
            drop.drop().ifPresent(f -> one.put("drop", make.length(f.value())));
            if (drop.uneven()) {
                one.put("uneven", true);
            }
            Map<String, Object> sides = new LinkedHashMap<>();
            drop.leftRight().forEach((method, both) -> sides.put(method.code(), make.both(both)));
            one.put("leftRight", Map.of("byMethod", sides));
            ends.put(end.code(), one);
        });
        answer.put("ends", ends);
        Map<String, Object> diagonals = new LinkedHashMap<>();
        sheet.diagonals().forEach((method, both) -> diagonals.put(method.name(), make.both(both)));
        answer.put("diagonal", Map.of("byMethod", diagonals));
        Map<String, Object> rake = new LinkedHashMap<>();
        make.rake(rake, "before", sheet.rake().height().before(), sheet.rake().before());
        make.rake(rake, "after", sheet.rake().height().after(), sheet.rake().after());
        answer.put("rake", rake);
        Map<String, Object> rakes = new LinkedHashMap<>();
        sheet.rakes().forEach((way, both) -> rakes.put(way.code(), make.both(both)));
        if (!rakes.isEmpty()) {
            answer.put("rakes", rakes);
        }
        Map<String, Map<String, Object>> points = new LinkedHashMap<>();
        sheet.points()
                .forEach((spot, drop) -> points.computeIfAbsent(spot.way().code(), w -> new LinkedHashMap<>())
                        .put(spot.place().code(), make.length(drop.value())));
        answer.put("points", points);
        if (!sheet.sag().isEmpty()) {
            Map<String, Object> sags = new LinkedHashMap<>();
            sheet.sag()
                    .forEach((end, sag) -> sags.put(
                            end.code(), Map.of("own", make.both(sag.own()), "ridden", make.both(sag.ridden()))));
            answer.put("sag", sags);
        }
        answer.put("findings", FindingsAnswer.of(sheet.findings(), words, reader));
        answer.put(
                "suspects",
                judged.suspects().stream()
                        .map(s -> make.suspect(s, judged.compared().after()))
                        .toList());
        answer.put("fit", fit(judged.adjustment()));
        return answer;
    }

    /** A reading that does not go with the others, and what they say it should be. */
    private Map<String, Object> suspect(Outlier suspect, int last) {
        Map<String, Object> one = new LinkedHashMap<>();
        one.put("sheet", sheet(suspect.sheet(), last));
        one.put("place", suspect.spot().code());
        one.put("read", suspect.reading().tape().raw());
        one.put("probable", length(suspect.probable()));
        return one;
    }

    /** A sheet by the name of its field. */
    private static String sheet(int index, int last) {
        return index == 0 ? "before" : index == last ? "after" : "between[" + (index - 1) + "]";
    }

    private static Map<String, Object> fit(Adjustment all) {
        Map<String, Object> fit = new LinkedHashMap<>();
        fit.put("readings", all.readings());
        fit.put("chiSquare", rounded(all.chiSquare(), 3));
        fit.put("spare", rounded(all.redundancy(), 3));
        fit.put("probability", rounded(all.probability(), 4));
        return fit;
    }

    /** No further than an answer is alike on every machine. */
    private static BigDecimal rounded(double value, int decimals) {
        return BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_EVEN);
    }

    private Map<String, Object> corner(CornerDrop drop, Assessment judged) {
        Map<String, Object> one = new LinkedHashMap<>();
        drop.best().ifPresent(f -> one.put("drop", length(f.value())));
        drop.bestMethod().ifPresent(m -> one.put("method", m.name()));
        Map<String, Object> byMethod = new LinkedHashMap<>();
        drop.byMethod().forEach((method, f) -> byMethod.put(method.name(), length(f.value())));
        one.put("byMethod", byMethod);
        Map<String, Object> adjusted = new LinkedHashMap<>();
        drop.byMethod()
                .keySet()
                .forEach(method -> judged.adjusted(drop.corner(), method)
                        .ifPresent(all -> adjusted.put(method.name(), length(all))));
        one.put("adjusted", adjusted);
        return one;
    }

    private Map<String, Object> both(BeforeAfter both) {
        Map<String, Object> one = new LinkedHashMap<>();
        both.before().ifPresent(f -> one.put("before", length(f.value())));
        both.after().ifPresent(f -> one.put("after", length(f.value())));
        both.change().ifPresent(f -> one.put("change", length(f.value())));
        return one;
    }

    private void rake(
            Map<String, Object> rake, String when, Optional<Figure<Estimate>> height, Optional<Figure<Angle>> angle) {
        height.ifPresent(f -> {
            Map<String, Object> one = length(f.value());
            angle.ifPresent(a -> one.put("degrees", a.value().degrees()));
            rake.put(when, one);
        });
    }

    private Map<String, Object> length(Estimate estimate) {
        Map<String, Object> one = new LinkedHashMap<>();
        one.put("nanometres", estimate.value().nm());
        one.put(
                "text",
                TapeText.result(estimate.value(), reader.shown()).text() + " "
                        + reader.unit().symbol());
        one.put(
                "uncertainty",
                Map.of(
                        "nanometres",
                        estimate.expanded().nm(),
                        "coverageFactor",
                        estimate.uncertainty().coverageFactor(0.95)));
        return one;
    }
}
