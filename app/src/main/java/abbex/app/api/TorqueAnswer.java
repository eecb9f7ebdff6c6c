package abbex.app.api;

import abbex.core.torque.Lever;
import abbex.core.torque.Plausible;
import abbex.core.torque.PropertyClass;
import abbex.core.torque.ScrewThread;
import abbex.core.units.Torque;
import abbex.core.units.TorqueText;
import abbex.core.units.TorqueUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** A torque in other units, with a crow-foot, and against what its thread bears, as the published interface answers it. */
final class TorqueAnswer {
    private static final List<String> FIELDS =
            List.of("torque", "wrenchMm", "extensionMm", "degrees", "thread", "propertyClass");

    private TorqueAnswer() {}

    static Map<String, Object> of(JsonNode json) {
        Fields fields = new Fields("", json, FIELDS);
        String text = fields.text("torque")
                .orElseThrow(() -> ApiProblem.field("torque", "", "api.field.torque", "\"90 N·m\""));
        if (!(TorqueText.parse(text) instanceof TorqueText.Parsed.Taken taken)) {
            throw ApiProblem.field("torque", text, "api.field.torque", "\"90 N·m\", \"66 lbf·ft\"");
        }
        Map<String, Object> answer = new LinkedHashMap<>();
        both(answer, "least", taken.least());
        both(answer, "most", taken.most());
        if (fields.has("extensionMm") || fields.has("wrenchMm")) {
            answer.put("setting", setting(fields, taken));
        }
        fields.text("thread").ifPresent(thread -> answer.put("thread", thread(fields, thread, taken)));
        return answer;
    }

    private static void both(Map<String, Object> answer, String name, Torque torque) {
        answer.put(name + "NewtonMetres", TyreAnswer.round(torque.newtonMetres(), 3));
        answer.put(name + "PoundFeet", TyreAnswer.round(torque.in(TorqueUnit.POUND_FOOT), 3));
    }

    private static Map<String, Object> setting(Fields fields, TorqueText.Parsed.Taken taken) {
        double wrench = KitAnswer.needed(fields, "wrenchMm", 50, 2000, "450");
        double extension = KitAnswer.needed(fields, "extensionMm", 0, 2000, "60");
        double degrees = KitAnswer.number(fields, "degrees", 0, 180, 0);
        if (extension >= wrench) {
            throw ApiProblem.field(
                    "extensionMm", Double.toString(extension), "api.field.extension", "less than " + wrench);
        }
        Map<String, Object> setting = new LinkedHashMap<>();
        both(setting, "least", Lever.setting(taken.least(), wrench, extension, degrees));
        both(setting, "most", Lever.setting(taken.most(), wrench, extension, degrees));
        return setting;
    }

    private static Map<String, Object> thread(Fields fields, String text, TorqueText.Parsed.Taken taken) {
        ScrewThread thread = ScrewThread.read(text)
                .orElseThrow(() -> ApiProblem.field("thread", text, "api.field.thread", "\"M12x1.75\", \"1/2-20\""));
        Optional<PropertyClass> of = fields.text("propertyClass")
                .map(c -> PropertyClass.read(c)
                        .orElseThrow(
                                () -> ApiProblem.field("propertyClass", c, "api.field.class", "\"8.8\", \"10.9\"")));
        Plausible.Range range = Plausible.range(thread, of);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("stressAreaMm2", TyreAnswer.round(thread.stressArea(), 2));
        of.ifPresent(c -> answer.put("proofLoadN", TyreAnswer.round(c.proofLoad(thread), 0)));
        answer.put("leastNewtonMetres", TyreAnswer.round(range.least().newtonMetres(), 1));
        answer.put("usualNewtonMetres", TyreAnswer.round(range.usual().newtonMetres(), 1));
        answer.put("mostNewtonMetres", TyreAnswer.round(range.most().newtonMetres(), 1));
        answer.put("plausible", range.holds(taken.least()) && range.holds(taken.most()));
        return answer;
    }
}
