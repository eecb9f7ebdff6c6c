package abbex.app.api;

import abbex.core.balance.WheelLoads;
import abbex.core.stance.Stance;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Corner weights, as the published interface answers them. */
final class BalanceAnswer {
    private static final List<String> KNOWN = List.of("loadsN", "wantedCrossPercent", "ratesNPerMm", "tyreNPerMm");

    private BalanceAnswer() {}

    static Map<String, Object> of(JsonNode json) {
        Fields fields = new Fields("", json, KNOWN);
        double[] loads = PerCorner.needed(fields, "loadsN", 1, 100_000, "3650");
        WheelLoads scales = new WheelLoads(loads[0], loads[1], loads[2], loads[3]);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("totalN", TyreAnswer.round(scales.total(), 1));
        answer.put("crossPercent", TyreAnswer.round(scales.cross(), 2));
        answer.put("leftPercent", TyreAnswer.round(scales.left(), 2));
        answer.put("rearPercent", TyreAnswer.round(scales.rear(), 2));
        if (fields.has("wantedCrossPercent")) {
            double[] more = scales.shift(KitAnswer.number(fields, "wantedCrossPercent", 30, 70, 50));
            double tyre = KitAnswer.number(fields, "tyreNPerMm", 20, 5000, Stance.USUAL_TYRE_RATE);
            double[] rates = PerCorner.needed(fields, "ratesNPerMm", 1, 1000, "30");
            answer.put("moreN", PerCorner.rounded(more, 1));
            answer.put(
                    "movesMm",
                    PerCorner.rounded(WheelLoads.moves(more, rates, new double[] {tyre, tyre, tyre, tyre}), 2));
        }
        return answer;
    }
}
