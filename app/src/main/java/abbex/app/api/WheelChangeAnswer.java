package abbex.app.api;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.figure.Figure;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.vehicle.Whole;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.TyreSize;
import abbex.core.wheels.Wheel;
import abbex.core.wheels.WheelChange;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** What another wheel does, as the published interface answers it: outward positive for outer, inward positive for inner. */
final class WheelChangeAnswer {
    private static final List<String> FIELDS = List.of("from", "to", "fromNew");
    private static final List<String> OF_FITMENT = List.of("widthIn", "offsetMm", "spacerMm", "tyre");

    private WheelChangeAnswer() {}

    static Map<String, Object> of(JsonNode json, TyreAnswer.Refusals refusals, Words words, Reader reader) {
        Fields fields = new Fields("", json, FIELDS);
        Fitment from = fitment(fields, "from", refusals);
        Fitment to = fitment(fields, "to", refusals);
        Optional<TyreSize> fromNew = fields.text("fromNew").map(text -> TyreAnswer.size(fields, "fromNew", refusals));
        WheelChange change = WheelChange.between(Whole.VEHICLE, from, to, fromNew);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("outerMm", mm(change.outerEdge()));
        answer.put("innerMm", mm(change.innerEdge()));
        answer.put("outerSidewallMm", mm(change.outerWall()));
        answer.put("innerSidewallMm", mm(change.innerWall()));
        answer.put("radiusMm", mm(change.radius()));
        answer.put("diameterPercent", TyreAnswer.round(change.diameterPercent(), 3));
        answer.put(
                "speedometerPercent",
                TyreAnswer.round(change.speedometerPercent().value(), 3));
        answer.put("findings", FindingsAnswer.of(change.findings(), words, reader));
        return answer;
    }

    /** The rim is the tyre's: a wheel of another diameter is no wheel for it. */
    static Fitment fitment(Fields fields, String name, TyreAnswer.Refusals refusals) {
        Fields one = fields.object(name, OF_FITMENT)
                .orElseThrow(() -> ApiProblem.field(name, "", "api.field.wheel", "{\"widthIn\":8,…}"));
        TyreSize tyre = TyreAnswer.size(one, "tyre", refusals);
        BigDecimal width = needed(one, "widthIn", 1.5, 16, "8");
        BigDecimal offset = needed(one, "offsetMm", -150, 150, "45");
        BigDecimal spacer = one.number("spacerMm", 0, 100).orElse(BigDecimal.ZERO);
        return new Fitment(new Wheel(width, tyre.rimCode(), length(offset), length(spacer)), tyre);
    }

    static BigDecimal needed(Fields fields, String name, double least, double most, String right) {
        return fields.number(name, least, most)
                .orElseThrow(() -> ApiProblem.field(fields.at(name), "", "api.field.number", right));
    }

    static Length length(BigDecimal mm) {
        return Length.of(mm.setScale(6, RoundingMode.HALF_EVEN), LengthUnit.MILLIMETRE);
    }

    private static BigDecimal mm(Figure<Length> figure) {
        return TyreAnswer.mm(figure.value());
    }
}
