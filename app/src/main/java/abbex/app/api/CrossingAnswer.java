package abbex.app.api;

import abbex.core.figure.Figure;
import abbex.core.ground.Crossing;
import abbex.core.ground.Profile;
import abbex.core.ground.Underbody;
import abbex.core.units.Angle;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** A vehicle taken over a ground on its two wheels, as the published interface answers it. */
final class CrossingAnswer {
    private static final List<String> FIELDS =
            List.of("wheelbaseMm", "frontRadiusMm", "rearRadiusMm", "points", "noseLiftMm", "ground", "profile");
    private static final List<String> POINT = List.of("name", "stationMm", "heightMm");
    private static final List<String> OF_PROFILE = List.of("alongMm", "upMm");
    private static final int MOST_POINTS = 60;
    private static final int MOST_OF_PROFILE = 200;
    private static final int LONGEST = 80;

    private CrossingAnswer() {}

    static Map<String, Object> of(JsonNode json) {
        Fields fields = new Fields("", json, FIELDS);
        Underbody under = new Underbody(
                needed(fields, "wheelbaseMm", 500, 12_000, "2640"),
                needed(fields, "frontRadiusMm", 100, 1_000, "308"),
                needed(fields, "rearRadiusMm", 100, 1_000, "308"),
                points(fields));
        Profile ground = ground(fields);
        double lift =
                fields.number("noseLiftMm", 0, 300).map(BigDecimal::doubleValue).orElse(0.0);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("standing", crossed(under, ground));
        if (lift > 0) {
            answer.put("noseLifted", crossed(under.lowered(-lift, 0), ground));
        }
        answer.put("wantedMm", TyreAnswer.round(Crossing.WANTED, 0));
        return answer;
    }

    private static List<Underbody.Point> points(Fields fields) {
        List<Underbody.Point> points = new ArrayList<>();
        for (Fields point : fields.list("points", POINT, MOST_POINTS)) {
            String name = point.text("name").orElse("");
            if (name.length() > LONGEST) {
                throw ApiProblem.field(point.at("name"), name, "api.field.short", "front lip");
            }
            points.add(new Underbody.Point(
                    name,
                    needed(point, "stationMm", -15_000, 5_000, "850"),
                    needed(point, "heightMm", 0, 2_000, "165")));
        }
        if (points.isEmpty()) {
            throw ApiProblem.of(422, "api.no-point");
        }
        return points;
    }

    private static Profile ground(Fields fields) {
        List<Profile.Point> own = fields.list("profile", OF_PROFILE, MOST_OF_PROFILE).stream()
                .map(p -> new Profile.Point(
                        needed(p, "alongMm", -1_000_000, 1_000_000, "450"), needed(p, "upMm", -20_000, 20_000, "-25")))
                .toList();
        if (own.isEmpty()) {
            String name = fields.text("ground").orElse("");
            return Stream.of(Profile.Usual.values())
                    .filter(usual -> usual.name().equals(name))
                    .findFirst()
                    .orElseThrow(() -> ApiProblem.field("ground", name, "api.field.choice", "DRIVEWAY"))
                    .profile();
        }
        int folded = Profile.folded(own);
        if (own.size() < 2 || folded >= 0) {
            throw ApiProblem.field(
                    "profile[" + Math.max(0, folded) + "].alongMm",
                    String.valueOf(own.get(Math.max(0, folded)).along()),
                    "api.field.folded",
                    "[{\"alongMm\":0,\"upMm\":0},{\"alongMm\":600,\"upMm\":20}]");
        }
        return new Profile(own);
    }

    private static double needed(Fields of, String name, double least, double most, String like) {
        return WheelChangeAnswer.needed(of, name, least, most, like).doubleValue();
    }

    private static Map<String, Object> crossed(Underbody under, Profile ground) {
        Crossing.Least least = Crossing.run(under, ground);
        Map<String, Object> one = new LinkedHashMap<>();
        one.put("verdict", least.finding().code().toLowerCase(Locale.ROOT));
        one.put("leastAirMm", TyreAnswer.round(least.air(), 1));
        one.put("under", least.name());
        one.put("stationMm", TyreAnswer.round(least.station(), 0));
        one.put("frontWheelAlongMm", TyreAnswer.round(least.pose().along(), 0));
        one.put("noseUpDeg", TyreAnswer.round(Math.toDegrees(least.pose().turn()), 1));
        angle(one, "approachDeg", under.approach());
        angle(one, "departureDeg", under.departure());
        angle(one, "breakoverDeg", under.breakover());
        return one;
    }

    /** Left out where nothing limits it. */
    private static void angle(Map<String, Object> one, String name, Optional<Figure<Angle>> angle) {
        angle.ifPresent(a -> one.put(name, TyreAnswer.round(a.value().degrees(), 1)));
    }
}
