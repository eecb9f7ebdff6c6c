package abbex.app.api;

import abbex.core.springs.Coil;
import abbex.core.springs.Material;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** A coil spring by its wire, as the published interface answers it. */
final class SpringAnswer {
    private static final List<String> FIELDS =
            List.of("wireMm", "meanDiameterMm", "activeCoils", "totalCoils", "groundEnds", "shearModulusMPa", "forceN");

    /** Two end coils that lie on their seats (common practice). */
    private static final double ENDS = 1.5;

    private SpringAnswer() {}

    static Map<String, Object> of(JsonNode json) {
        Fields fields = new Fields("", json, FIELDS);
        double wire = KitAnswer.needed(fields, "wireMm", 1, 60, "12");
        double mean = KitAnswer.needed(fields, "meanDiameterMm", 5, 600, "120");
        double active = KitAnswer.needed(fields, "activeCoils", 0.5, 60, "6");
        double total = KitAnswer.number(fields, "totalCoils", 0.5, 80, active + ENDS);
        double modulus =
                KitAnswer.number(fields, "shearModulusMPa", 10_000, 200_000, Material.OIL_TEMPERED.shearModulus());
        if (mean <= wire || total < active) {
            throw ApiProblem.of(422, "api.spring", "wire", wire, "mean", mean, "active", active, "total", total);
        }
        Coil coil =
                new Coil(wire, mean, active, total, fields.bool("groundEnds").orElse(true), Material.OIL_TEMPERED);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("rateNPerMm", TyreAnswer.round(coil.rate() * modulus / Material.OIL_TEMPERED.shearModulus(), 4));
        answer.put("solidLengthMm", TyreAnswer.round(coil.solidLength(), 2));
        answer.put("index", TyreAnswer.round(coil.index(), 3));
        if (fields.has("forceN")) {
            double force = KitAnswer.needed(fields, "forceN", 0, 1_000_000, "4000");
            answer.put("stressMPa", TyreAnswer.round(coil.stress(force), 2));
            answer.put("correctedStressMPa", TyreAnswer.round(coil.corrected(force), 2));
        }
        return answer;
    }
}
