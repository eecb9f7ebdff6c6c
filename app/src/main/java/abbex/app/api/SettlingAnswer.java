package abbex.app.api;

import abbex.core.settling.Settling;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** How far it still sinks, as the published interface answers it. */
final class SettlingAnswer {
    private static final List<String> KNOWN = List.of("sheets", "tapeMm", "scatterMm", "atKm");
    private static final List<String> SHEET = List.of("km", "heightsMm");
    private static final int MOST_SHEETS = 50;

    private SettlingAnswer() {}

    static Map<String, Object> of(JsonNode json) {
        Fields fields = new Fields("", json, KNOWN);
        Settling settling = new Settling(
                Settling.Prior.USUAL,
                KitAnswer.number(fields, "tapeMm", 0.01, 10, 0.46),
                KitAnswer.number(fields, "scatterMm", 0, 10, 0.5));
        List<Fields> sheets = fields.list("sheets", SHEET, MOST_SHEETS);
        if (sheets.isEmpty()) {
            throw ApiProblem.field(fields.at("sheets"), "", "api.field.array", "[{\"km\": 0, \"heightsMm\": {…}}]");
        }
        for (Fields sheet : sheets) {
            settling.add(new Settling.Sheet(
                    KitAnswer.needed(sheet, "km", 0, 1_000_000, "800"),
                    PerCorner.needed(sheet, "heightsMm", 0, 3000, "350")));
        }
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("settledMm", heights(settling, Double.POSITIVE_INFINITY));
        if (fields.has("atKm")) {
            answer.put("atMm", heights(settling, KitAnswer.number(fields, "atKm", 0, 1_000_000, 0)));
        }
        answer.put("distanceKm", TyreAnswer.round(settling.distance(), 0));
        settling.apart().ifPresent(apart -> {
            Map<String, Object> told = new LinkedHashMap<>();
            told.put("where", apart.where().name());
            told.put("byMm", TyreAnswer.round(apart.by(), 2));
            told.put("deviations", TyreAnswer.round(apart.times(), 2));
            answer.put("apart", told);
        });
        return answer;
    }

    private static Map<String, Object> heights(Settling settling, double km) {
        Map<String, Object> all = new LinkedHashMap<>();
        for (int c = 0; c < PerCorner.CORNERS.size(); c++) {
            Settling.Foreseen foreseen = settling.at(c, km);
            Map<String, Object> each = new LinkedHashMap<>();
            each.put("mean", TyreAnswer.round(foreseen.mean(), 2));
            each.put("least", TyreAnswer.round(foreseen.least(), 2));
            each.put("most", TyreAnswer.round(foreseen.most(), 2));
            all.put(PerCorner.CORNERS.get(c), each);
        }
        return all;
    }
}
