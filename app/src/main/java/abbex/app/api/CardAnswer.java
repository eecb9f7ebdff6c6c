package abbex.app.api;

import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import abbex.core.workcard.Card;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Chapter;
import abbex.core.workcard.Wanted;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/** The card of a vehicle, in walking order, as the published interface answers it. */
final class CardAnswer {
    private static final List<String> FIELDS =
            List.of("kind", "frontArchitecture", "rearArchitecture", "front", "rear", "facts");

    private CardAnswer() {}

    static Map<String, Object> of(JsonNode json, List<Chapter> book) {
        Fields fields = new Fields("", json, FIELDS);
        Wanted wanted = new Wanted(
                KitAnswer.choice(fields, "kind", VehicleKind.values(), VehicleKind.USUAL),
                new PerEnd<>(
                        KitAnswer.choice(fields, "frontArchitecture", Architecture.values(), Architecture.OTHER),
                        KitAnswer.choice(fields, "rearArchitecture", Architecture.values(), Architecture.OTHER)),
                PerEnd.of(end -> words(fields, end == End.FRONT ? "front" : "rear")),
                words(fields, "facts"));
        Card card = Card.of(book, wanted);
        CardState state = CardState.of(card, wanted, List.of());
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("lifts", card.lifts());
        answer.put("minutesAlone", state.minutes(1));
        answer.put("minutesTwo", state.minutes(2));
        answer.put("steps", card.steps().stream().map(step -> step(card, step)).toList());
        return answer;
    }

    /** Kinds of parts, or facts, apart by blanks. */
    private static Set<String> words(Fields fields, String name) {
        String text = fields.text(name).orElse("").strip();
        if (!text.matches("[a-z@ -]{0,200}")) {
            throw ApiProblem.field(name, text, "api.field.words", "\"spring damper stop\"");
        }
        return text.isEmpty()
                ? Set.of()
                : Set.copyOf(Arrays.stream(text.split(" +")).distinct().toList());
    }

    private static Map<String, Object> step(Card card, CardStep step) {
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("key", step.key());
        answer.put("title", step.step().title());
        answer.put("place", step.place().code());
        answer.put("footing", step.step().footing().name());
        answer.put("minutes", step.step().minutes());
        answer.put("hands", step.step().hands());
        answer.put("holds", step.step().allHolds());
        answer.put(
                "after",
                card.before().getOrDefault(step.key(), Set.of()).stream()
                        .sorted()
                        .toList());
        return answer;
    }
}
