package abbex.app.api;

import abbex.core.motorcycle.ForkSlide;
import abbex.core.motorcycle.LeanClearance;
import abbex.core.motorcycle.RearLinkage;
import abbex.core.motorcycle.RearLinkage.Point;
import abbex.core.motorcycle.SideStand;
import abbex.core.motorcycle.Steering;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Trail, side stand and rear linkage of a motorcycle, as the published interface answers them. */
final class MotorcycleAnswer {
    private static final List<String> TRAIL = List.of(
            "radiusMm",
            "headAngleDegrees",
            "offsetMm",
            "frontDropMm",
            "rearDropMm",
            "wheelbaseMm",
            "shoulderMm",
            "clampMm",
            "fenderMm");
    private static final List<String> STAND = List.of(
            "pivotHeightMm", "pivotOutMm", "lengthMm", "spreadDegrees", "dropMm", "partHighMm", "partOutMm", "crownMm");
    private static final List<String> LINKAGE = List.of(
            "kind",
            "arm",
            "axle",
            "rocker",
            "knee",
            "far",
            "foot",
            "top",
            "longerMm",
            "shorterMm",
            "rateNPerMm",
            "loadN",
            "droopMm",
            "bumpMm",
            "poses");
    private static final double FAR = 1000;
    private static final int MOST_POSES = 201;

    private MotorcycleAnswer() {}

    static Map<String, Object> trail(JsonNode json) {
        Fields fields = new Fields("", json, TRAIL);
        Steering was = new Steering(
                KitAnswer.needed(fields, "radiusMm", 150, 500, "300"),
                KitAnswer.needed(fields, "headAngleDegrees", 5, 49, "24, from the vertical"),
                KitAnswer.needed(fields, "offsetMm", -100, 150, "30"));
        double front = KitAnswer.number(fields, "frontDropMm", -300, 300, 0);
        double rear = KitAnswer.number(fields, "rearDropMm", -300, 300, 0);
        double wheelbase = KitAnswer.needed(fields, "wheelbaseMm", 800, 2500, "1480");
        Steering is = was.turned(Steering.turn(front, rear, wheelbase));
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("before", trail(was));
        answer.put("after", trail(is));
        answer.put("turnDegrees", TyreAnswer.round(Steering.turn(front, rear, wheelbase), 3));
        if (fields.has("shoulderMm")) {
            ForkSlide fork = new ForkSlide(
                    KitAnswer.number(fields, "shoulderMm", 0, 300, 300),
                    KitAnswer.number(fields, "clampMm", 0, 300, 300),
                    KitAnswer.number(fields, "fenderMm", 0, 300, 300));
            ForkSlide.Restored restored = fork.restore(rear - front, wheelbase, was.headAngle());
            Map<String, Object> slide = new LinkedHashMap<>();
            slide.put("slideMm", TyreAnswer.round(restored.slide(), 2));
            slide.put("leftDegrees", TyreAnswer.round(restored.left(), 3));
            slide.put("stop", fork.stop().name());
            answer.put("restored", slide);
        }
        return answer;
    }

    private static Map<String, Object> trail(Steering of) {
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("headAngleDegrees", TyreAnswer.round(of.headAngle(), 3));
        answer.put("normalTrailMm", TyreAnswer.round(of.normalTrail(), 2));
        answer.put("groundTrailMm", TyreAnswer.round(of.groundTrail(), 2));
        return answer;
    }

    static Map<String, Object> stand(JsonNode json) {
        Fields fields = new Fields("", json, STAND);
        Map<String, Object> answer = new LinkedHashMap<>();
        double drop = KitAnswer.number(fields, "dropMm", -200, 200, 0);
        double length = KitAnswer.needed(fields, "lengthMm", 80, 600, "260");
        double height = KitAnswer.needed(fields, "pivotHeightMm", 50, 600, "270");
        double out = KitAnswer.needed(fields, "pivotOutMm", 0, 400, "110");
        double spread = KitAnswer.needed(fields, "spreadDegrees", 0, 80, "35");
        SideStand was = SideStand.read(height, out, length, spread)
                .orElseThrow(() -> ApiProblem.field(
                        "lengthMm", Double.toString(length), "api.field.stand", "less than " + (height + out)));
        answer.put("leanDegrees", TyreAnswer.round(was.lean(), 2));
        SideStand is = was.lowered(drop);
        answer.put("leanAfterDegrees", TyreAnswer.round(is.lean(), 2));
        answer.put("shortenMm", TyreAnswer.round(length - is.legFor(was.lean()), 2));
        if (fields.has("partHighMm")) {
            LeanClearance part = new LeanClearance(
                    KitAnswer.needed(fields, "partHighMm", 20, 1000, "200"),
                    KitAnswer.needed(fields, "partOutMm", 20, 800, "300"),
                    KitAnswer.number(fields, "crownMm", 0, 150, 0));
            answer.put("touchesDegrees", TyreAnswer.round(part.degrees(), 2));
            answer.put(
                    "touchesAfterDegrees", TyreAnswer.round(part.lowered(drop).degrees(), 2));
        }
        return answer;
    }

    static Map<String, Object> linkage(JsonNode json) {
        Fields fields = new Fields("", json, LINKAGE);
        RearLinkage.Kind kind = KitAnswer.choice(fields, "kind", RearLinkage.Kind.values(), RearLinkage.Kind.DIRECT);
        RearLinkage was = kind == RearLinkage.Kind.DIRECT
                ? RearLinkage.direct(
                        point(fields, "arm"), point(fields, "axle"), point(fields, "foot"), point(fields, "top"))
                : RearLinkage.of(
                        kind,
                        point(fields, "arm"),
                        point(fields, "axle"),
                        point(fields, "rocker"),
                        point(fields, "knee"),
                        point(fields, "far"),
                        point(fields, "foot"),
                        point(fields, "top"));
        RearLinkage is = was.longer(KitAnswer.number(fields, "longerMm", -60, 60, 0));
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("springMm", TyreAnswer.round(was.spring(0), 3));
        answer.put("ratio", TyreAnswer.round(was.ratio(0), 4));
        double rate = KitAnswer.number(fields, "rateNPerMm", 5, 1000, Double.POSITIVE_INFINITY);
        double load = KitAnswer.number(fields, "loadN", 100, 5000, 1500);
        try {
            double drop = was.drop(is, KitAnswer.number(fields, "shorterMm", -80, 80, 0), rate, load);
            answer.put("dropMm", TyreAnswer.round(drop, 2));
            answer.put("ratioAfter", TyreAnswer.round(is.ratio(drop), 4));
        } catch (IllegalArgumentException open) {
            throw ApiProblem.field(
                    "longerMm",
                    fields.number("longerMm", -60, 60).map(String::valueOf).orElse(""),
                    "api.field.link",
                    String.valueOf(open.getMessage()));
        }
        answer.put("curve", curve(fields, is));
        return answer;
    }

    private static Point point(Fields fields, String name) {
        Fields of = fields.object(name, List.of("x", "z"))
                .orElseThrow(() -> ApiProblem.field(name, "", "api.field.point", "{\"x\": -190, \"z\": 360}"));
        return new Point(
                KitAnswer.needed(of, "x", -2 * FAR, FAR, "-190"), KitAnswer.needed(of, "z", -FAR, 2 * FAR, "360"));
    }

    /** Poses over the travel; where the link does not close there is a gap in place of a length. */
    private static List<Map<String, Object>> curve(Fields fields, RearLinkage is) {
        double droop = KitAnswer.number(fields, "droopMm", 0, 300, 60);
        double bump = KitAnswer.number(fields, "bumpMm", 0, 300, 80);
        int poses = (int) KitAnswer.number(fields, "poses", 2, MOST_POSES, 3);
        List<Map<String, Object>> curve = new ArrayList<>();
        for (int i = 0; i < poses; i++) {
            double travel = -droop + (droop + bump) * i / (poses - 1);
            Map<String, Object> pose = new LinkedHashMap<>();
            pose.put("travelMm", TyreAnswer.round(travel, 2));
            if (Double.isNaN(is.spring(travel))) {
                pose.put("gapMm", TyreAnswer.round(is.gap(travel), 2));
            } else {
                pose.put("springMm", TyreAnswer.round(is.spring(travel), 3));
                pose.put("ratio", TyreAnswer.round(is.ratio(travel), 4));
            }
            curve.add(pose);
        }
        return curve;
    }
}
