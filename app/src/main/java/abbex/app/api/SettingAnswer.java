package abbex.app.api;

import abbex.core.kit.Stacks;
import abbex.core.setting.Adjuster;
import abbex.core.setting.Aim;
import abbex.core.setting.Car;
import abbex.core.setting.How;
import abbex.core.setting.Option;
import abbex.core.setting.SettingSolver;
import abbex.core.setting.Tries;
import abbex.core.stance.Stance;
import abbex.core.units.Length;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** What to turn, as the published interface answers it. */
final class SettingAnswer {
    private static final List<String> KNOWN = List.of(
            "wheelbaseMm",
            "trackMm",
            "ratesNPerMm",
            "tyreNPerMm",
            "frontBarNPerMm",
            "rearBarNPerMm",
            "read",
            "tapeMm",
            "scatterMm",
            "wantedMm",
            "tries",
            "adjusters");
    private static final List<String> TRY = List.of("movedMm", "heightsMm");
    private static final List<String> ADJUSTER =
            List.of("pitchMm", "perTurn", "down", "up", "sizes", "present", "ratio");
    private static final List<String> SIZE = List.of("mm", "pieces");
    private static final List<String> PIECE = List.of("mm");
    private static final int MOST_TRIES = 20;
    private static final int MOST_PARTS = 400;
    /** What can be made of the sizes there are, before it is made. */
    private static final long MOST_STACKS = 4096;

    private SettingAnswer() {}

    static Map<String, Object> of(JsonNode json) {
        Fields fields = new Fields("", json, KNOWN);
        Car car = car(fields);
        Car.Read read = KitAnswer.choice(fields, "read", Car.Read.values(), Car.Read.HUB);
        Tries tries = new Tries(
                car,
                read,
                KitAnswer.number(fields, "tapeMm", 0.01, 10, 0.46),
                KitAnswer.number(fields, "scatterMm", 0, 10, 0.5));
        List<Fields> measured = fields.list("tries", TRY, MOST_TRIES);
        if (measured.isEmpty()) {
            throw ApiProblem.field(fields.at("tries"), "", "api.field.array", "[{\"heightsMm\": {…}}]");
        }
        for (Fields each : measured) {
            tries.add(PerCorner.or(each, "movedMm", -200, 200, 0), PerCorner.needed(each, "heightsMm", 0, 3000, "350"));
        }
        Tries.Known known = tries.known();
        double[] wanted = PerCorner.needed(fields, "wantedMm", 0, 3000, "340");
        SettingSolver.Answer solved = SettingSolver.solve(new SettingSolver.Question(
                known.now(),
                known.heights(),
                known.loads(),
                adjusters(fields),
                Aim.heights(wanted).keepingLoads()));
        return answer(solved, known);
    }

    private static Car car(Fields fields) {
        double base = KitAnswer.number(fields, "wheelbaseMm", 500, 8000, Stance.USUAL_WHEELBASE) / 2;
        double side = KitAnswer.number(fields, "trackMm", 500, 3000, Stance.USUAL_TRACK) / 2;
        return new Car(
                new double[] {base, base, -base, -base},
                new double[] {side, -side, -side, side},
                PerCorner.or(fields, "ratesNPerMm", 1, 1000, Stance.USUAL_WHEEL_RATE),
                KitAnswer.number(fields, "tyreNPerMm", 20, 5000, Stance.USUAL_TYRE_RATE),
                KitAnswer.number(fields, "frontBarNPerMm", 0, 500, 0),
                KitAnswer.number(fields, "rearBarNPerMm", 0, 500, 0),
                Double.POSITIVE_INFINITY,
                Car.Widths.USUAL);
    }

    private static List<Adjuster> adjusters(Fields fields) {
        Fields each = fields.object("adjusters", PerCorner.CORNERS)
                .orElseThrow(() -> ApiProblem.field(
                        fields.at("adjusters"), "", "api.field.object", "{\"LF\": {\"pitchMm\": 2, …}, …}"));
        List<Adjuster> all = new ArrayList<>();
        for (String corner : PerCorner.CORNERS) {
            all.add(each.object(corner, ADJUSTER).map(SettingAnswer::adjuster).orElse(Adjuster.fixed()));
        }
        return all;
    }

    private static Adjuster adjuster(Fields of) {
        double ratio = KitAnswer.number(of, "ratio", 0.1, 3, 1);
        List<Fields> sizes = of.list("sizes", SIZE, 8);
        if (sizes.isEmpty()) {
            return Adjuster.thread(
                    Length.ofRoundedMm(KitAnswer.needed(of, "pitchMm", 0.1, 20, "2")),
                    whole(of, "perTurn", 1, 64, 4),
                    whole(of, "down", 0, MOST_PARTS, 0),
                    whole(of, "up", 0, MOST_PARTS, 0),
                    ratio);
        }
        List<Stacks.Size> all = sizes.stream()
                .map(size -> new Stacks.Size(
                        Length.ofRoundedMm(KitAnswer.needed(size, "mm", 0.1, 200, "5")),
                        whole(size, "pieces", 0, 4, 1)))
                .toList();
        long stacks = all.stream().mapToLong(size -> size.pieces() + 1).reduce(1, (a, b) -> a * b);
        if (stacks > MOST_STACKS) {
            throw ApiProblem.of(422, "api.many", "field", of.at("sizes"), "count", stacks, "most", MOST_STACKS);
        }
        List<Length> present = of.list("present", PIECE, 16).stream()
                .map(piece -> Length.ofRoundedMm(KitAnswer.needed(piece, "mm", 0.1, 200, "5")))
                .toList();
        return Adjuster.stack(all, present, ratio);
    }

    private static int whole(Fields of, String name, int least, int most, int usual) {
        BigDecimal number = of.number(name, least, most).orElse(BigDecimal.valueOf(usual));
        if (number.stripTrailingZeros().scale() > 0) {
            throw ApiProblem.field(of.at(name), number.toPlainString(), "api.field.number", "a whole one");
        }
        return number.intValueExact();
    }

    private static Map<String, Object> answer(SettingSolver.Answer solved, Tries.Known known) {
        double[] moves = solved.chosen().stream().mapToDouble(Option::move).toArray();
        Map<String, Object> corners = new LinkedHashMap<>();
        for (int c = 0; c < PerCorner.CORNERS.size(); c++) {
            Map<String, Object> corner = new LinkedHashMap<>();
            corner.put("do", how(solved.chosen().get(c).how()));
            corner.put("moveMm", TyreAnswer.round(moves[c], 2));
            corner.put("afterMm", TyreAnswer.round(solved.after()[c], 2));
            corner.put("withinMm", TyreAnswer.round(1.96 * known.after(c, moves), 2));
            corner.put("missMm", TyreAnswer.round(solved.misses()[c], 2));
            corner.put("bodyMm", TyreAnswer.round(solved.body()[c], 2));
            corner.put("rangeMm", TyreAnswer.round(solved.range()[c], 2));
            corner.put("stepMm", TyreAnswer.round(solved.steps()[c], 2));
            corner.put("atEnd", solved.atEnd()[c]);
            corner.put("gain", TyreAnswer.round(known.gains()[c], 3));
            corners.put(PerCorner.CORNERS.get(c), corner);
        }
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("corners", corners);
        answer.put("changes", solved.changes());
        answer.put("minutes", TyreAnswer.round(solved.minutes(), 0));
        answer.put("looked", solved.looked());
        return answer;
    }

    private static Map<String, Object> how(How how) {
        Map<String, Object> what = new LinkedHashMap<>();
        if (how instanceof How.Turns turns) {
            what.put("parts", turns.parts());
            what.put("perTurn", turns.perTurn());
        } else if (how instanceof How.Swap swap) {
            what.put("out", swap.out().stream().map(TyreAnswer::mm).toList());
            what.put("in", swap.in().stream().map(TyreAnswer::mm).toList());
        }
        return what;
    }
}
