package abbex.app.api;

import abbex.core.truck.Driveline;
import abbex.core.truck.LeafSpan;
import abbex.core.truck.Shackle;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** Leaf packs with their shackles, and drivelines, as the published interface answers them. */
final class TruckAnswer {
    private static final List<String> LEAF = List.of(
            "fixedMm",
            "shackledMm",
            "fixedEyeMm",
            "shackledEyeMm",
            "hangerXMm",
            "hangerZMm",
            "shackleMm",
            "shackleAfterMm",
            "hangs",
            "underMm");
    private static final List<String> DRIVELINE = List.of(
            "engineDown",
            "frontDown",
            "rearDown",
            "pinionDown",
            "engineLeft",
            "frontLeft",
            "rearLeft",
            "pinionLeft",
            "turnDegrees",
            "kilometresPerHour",
            "axleRatio",
            "loadedRadiusMm",
            "twoPiece");

    private TruckAnswer() {}

    static Map<String, Object> leaf(JsonNode json) {
        Fields fields = new Fields("", json, LEAF);
        LeafSpan span = new LeafSpan(
                KitAnswer.needed(fields, "fixedMm", 200, 1500, "650"),
                KitAnswer.needed(fields, "shackledMm", 200, 1500, "700"));
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("shackledShare", TyreAnswer.round(span.shackledShare(), 4));
        if (fields.has("shackleMm")) {
            answer.put("shackle", shackle(fields, span));
        } else {
            double fixed = KitAnswer.number(fields, "fixedEyeMm", -200, 200, 0);
            double shackled = KitAnswer.number(fields, "shackledEyeMm", -200, 200, 0);
            answer.put("axleUpMm", TyreAnswer.round(span.axle(fixed, shackled), 3));
            answer.put("turnDegrees", TyreAnswer.round(-span.turn(fixed, shackled), 3));
        }
        return answer;
    }

    /** The pack turns as a stiff body from one shackle to the other. */
    private static Map<String, Object> shackle(Fields fields, LeafSpan span) {
        double chord = span.fixed() + span.shackled();
        Shackle was = new Shackle(
                chord,
                KitAnswer.needed(fields, "hangerXMm", 300, 3000, "1340"),
                KitAnswer.needed(fields, "hangerZMm", -400, 400, "110"),
                KitAnswer.needed(fields, "shackleMm", 20, 400, "110"),
                fields.bool("hangs").orElse(true));
        Shackle is = was.with(KitAnswer.needed(fields, "shackleAfterMm", 20, 400, "160"));
        for (Shackle one : List.of(was, is)) {
            if (one.gap() > 0) {
                throw ApiProblem.field(
                        one == was ? "shackleMm" : "shackleAfterMm",
                        Double.toString(one.length()),
                        "api.field.shackle",
                        TyreAnswer.round(one.gap(), 1) + " mm");
            }
        }
        Shackle.Move move = was.to(is, span.fixed(), KitAnswer.number(fields, "underMm", -300, 300, 0));
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("axleUpMm", TyreAnswer.round(move.up(), 3));
        answer.put("axleTowardsShackleMm", TyreAnswer.round(move.towards(), 3));
        answer.put("turnDegrees", TyreAnswer.round(-move.turn(), 3));
        answer.put("leanDegrees", TyreAnswer.round(was.at().lean(), 2));
        answer.put("leanAfterDegrees", TyreAnswer.round(is.at().lean(), 2));
        answer.put("turnsOver", is.at().turnsOver());
        answer.put("growthMm", TyreAnswer.round(is.growth(), 1));
        return answer;
    }

    private static Driveline.Direction direction(Fields fields, String name, String like) {
        return new Driveline.Direction(
                KitAnswer.needed(fields, name + "Down", -45, 45, like),
                KitAnswer.number(fields, name + "Left", -45, 45, 0));
    }

    static Map<String, Object> driveline(JsonNode json) {
        Fields fields = new Fields("", json, DRIVELINE);
        boolean two = fields.bool("twoPiece").orElse(fields.has("rearDown"));
        Driveline was = new Driveline(
                direction(fields, "engine", "4"),
                direction(fields, "front", "6.5"),
                two ? Optional.of(direction(fields, "rear", "6, behind the carrier")) : Optional.empty(),
                direction(fields, "pinion", "4"));
        Driveline is = was.turned(KitAnswer.number(fields, "turnDegrees", -30, 30, 0));
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("jointsDegrees", rounded(was));
        answer.put("jointsAfterDegrees", rounded(is));
        answer.put("unevenDegrees", TyreAnswer.round(was.uneven(), 3));
        answer.put("unevenAfterDegrees", TyreAnswer.round(is.uneven(), 3));
        answer.put("wedgeDegrees", TyreAnswer.round(is.wedge(), 3));
        if (fields.has("kilometresPerHour")) {
            double speed = Driveline.speed(
                    KitAnswer.needed(fields, "kilometresPerHour", 10, 250, "110"),
                    KitAnswer.needed(fields, "axleRatio", 1, 8, "3.73"),
                    KitAnswer.needed(fields, "loadedRadiusMm", 200, 600, "365"));
            answer.put("shaftTurnsPerMinute", TyreAnswer.round(speed, 0));
            answer.put("mostDegrees", TyreAnswer.round(Driveline.limit(speed), 2));
        }
        return answer;
    }

    private static List<Object> rounded(Driveline of) {
        return of.joints().stream().map(a -> (Object) TyreAnswer.round(a, 3)).toList();
    }
}
