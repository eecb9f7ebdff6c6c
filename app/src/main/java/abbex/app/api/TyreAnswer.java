package abbex.app.api;

import abbex.core.units.Length;
import abbex.core.wheels.TyreParse;
import abbex.core.wheels.TyreSize;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** A tyre's size as the published interface answers it. */
final class TyreAnswer {
    private static final List<String> FIELDS = List.of("size", "rimWidthIn");

    private TyreAnswer() {}

    static Map<String, Object> of(JsonNode json, Refusals refusals) {
        Fields fields = new Fields("", json, FIELDS);
        TyreSize size = size(fields, "size", refusals);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("size", size.text());
        answer.put("kind", size.notation().name().toLowerCase(Locale.ROOT));
        answer.put("overallDiameterMm", mm(size.overallDiameter()));
        BigDecimal rim = fields.number("rimWidthIn", 1.5, 16).orElseGet(size::measuringRim);
        answer.put("rimWidthIn", rim);
        answer.put("measuringRimIn", size.measuringRim());
        answer.put("sectionWidthMm", mm(size.sectionWidth(rim)));
        answer.put("grownDiameterMm", mm(size.grownDiameter()));
        answer.put("grownWidthMm", mm(size.grownWidth(rim)));
        answer.put("revolutionsPerKm", round(size.revolutionsPerKm(), 1));
        answer.put("approximate", size.approximate());
        size.loadKg().ifPresent(kg -> answer.put("loadKg", kg));
        size.service().ifPresent(s -> answer.put("speedKmh", s.speed().kmh()));
        return answer;
    }

    /** What a size that cannot be read is answered. */
    interface Refusals {
        String say(TyreParse.Refused refused);
    }

    static TyreSize size(Fields fields, String name, Refusals refusals) {
        String text = fields.text(name)
                .orElseThrow(() -> ApiProblem.field(fields.at(name), "", "api.field.tyre", "225/45R17 91W"));
        TyreParse parse = TyreSize.parse(text);
        if (parse instanceof TyreParse.Refused refused) {
            throw ApiProblem.worded(
                    fields.at(name),
                    text,
                    refusals.say(refused),
                    refused.offers().stream().findFirst().orElse("225/45R17 91W"));
        }
        return parse.asSize().orElseThrow();
    }

    static BigDecimal mm(Length length) {
        return round(length.mm(), 3);
    }

    static BigDecimal round(double value, int decimals) {
        return BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_EVEN);
    }
}
