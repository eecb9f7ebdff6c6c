package abbex.app.api;

import abbex.core.alignment.AxleToe;
import abbex.core.alignment.Toe;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Toe of an axle, as the published interface answers it. */
final class ToeAnswer {
    private static final List<String> KNOWN = List.of("left", "right", "diameterMm");
    private static final List<String> WHEEL = List.of("degrees", "distanceMm");
    private static final double MOST_DEGREES = 10;

    private ToeAnswer() {}

    static Map<String, Object> of(JsonNode json) {
        Fields fields = new Fields("", json, KNOWN);
        double diameter = KitAnswer.number(fields, "diameterMm", 100, 2000, 0);
        AxleToe axle = new AxleToe(toe(fields, "left", diameter), toe(fields, "right", diameter));
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("left", wheel(axle.left(), diameter));
        answer.put("right", wheel(axle.right(), diameter));
        answer.put("totalDegrees", TyreAnswer.round(axle.total(), 4));
        answer.put("thrustDegrees", TyreAnswer.round(axle.thrust(), 4));
        return answer;
    }

    private static Toe toe(Fields fields, String side, double diameter) {
        Fields wheel = fields.object(side, WHEEL)
                .orElseThrow(() -> ApiProblem.field(fields.at(side), "", "api.field.object", "{\"degrees\": 0.1}"));
        if (!wheel.has("distanceMm")) {
            return new Toe(KitAnswer.needed(wheel, "degrees", -MOST_DEGREES, MOST_DEGREES, "0.1"));
        }
        if (wheel.has("degrees")) {
            throw ApiProblem.field(wheel.at("distanceMm"), "", "api.field.one-of", "degrees");
        }
        if (diameter == 0) {
            throw ApiProblem.field(fields.at("diameterMm"), "", "api.field.diameter", "660.4");
        }
        return Toe.of(KitAnswer.number(wheel, "distanceMm", -80, 80, 0), diameter);
    }

    private static Map<String, Object> wheel(Toe toe, double diameter) {
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("degrees", TyreAnswer.round(toe.degrees(), 4));
        if (diameter > 0) {
            answer.put("distanceMm", TyreAnswer.round(toe.distance(diameter), 3));
        }
        answer.put("scrubMetresPerKm", TyreAnswer.round(toe.scrubMetresPerKilometre(), 3));
        return answer;
    }
}
