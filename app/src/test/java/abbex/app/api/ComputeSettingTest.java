package abbex.app.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Shop;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Setting, balance, settling and toe over the published interface: the core's answers, and what is refused. */
@ExtendWith(Shop.class)
class ComputeSettingTest {
    private static JsonNode ask(String of, String body, int status) {
        HttpResponse<String> answer = ComputeDropTest.send("/api/v1/compute/" + of, body, "application/json", "orla");
        assertEquals(status, answer.statusCode(), answer.body());
        return JsonMapper.shared().readTree(answer.body());
    }

    private static void refused(String of, String field, String body) {
        assertEquals(field, ask(of, body, 400).get("field").asString());
    }

    private static String four(String each) {
        return "{\"LF\":%1$s,\"RF\":%1$s,\"RR\":%1$s,\"LR\":%1$s}".formatted(each);
    }

    /** toe-1, toe-2 and thrust-1 of checks.csv. */
    @Test
    void toe_of_an_axle() {
        JsonNode rear = ask("toe", "{\"left\":{\"degrees\":0.3},\"right\":{\"degrees\":0.1}}", 200);
        assertEquals(0.1, rear.get("thrustDegrees").asDouble(), 1e-9);
        assertEquals(0.4, rear.get("totalDegrees").asDouble(), 1e-9);
        JsonNode inches =
                ask("toe", "{\"left\":{\"distanceMm\":3.175},\"right\":{\"degrees\":0.2},\"diameterMm\":660.4}", 200);
        assertEquals(0.27546, inches.at("/left/degrees").asDouble(), 0.0001);
        assertEquals(3.491, inches.at("/right/scrubMetresPerKm").asDouble(), 0.001);
        refused("toe", "diameterMm", "{\"left\":{\"distanceMm\":3},\"right\":{\"degrees\":0}}");
        refused(
                "toe",
                "left.distanceMm",
                "{\"left\":{\"distanceMm\":3,\"degrees\":0},\"right\":{\"degrees\":0},\"diameterMm\":600}");
        refused("toe", "right", "{\"left\":{\"degrees\":0}}");
    }

    /** warp-1 of checks.csv, from the loads to the moves: 80 N on tyres that give nothing to speak of. */
    @Test
    void corner_weights() {
        JsonNode answer = ask(
                "balance",
                "{\"loadsN\":{\"LF\":1080,\"RF\":920,\"RR\":1080,\"LR\":920},\"wantedCrossPercent\":50,\"tyreNPerMm\":5000,"
                        + "\"ratesNPerMm\":{\"LF\":40,\"RF\":40,\"RR\":20,\"LR\":20}}",
                200);
        assertEquals(46, answer.get("crossPercent").asDouble(), 1e-9);
        assertEquals(-2.02, answer.at("/movesMm/LF").asDouble(), 0.005);
        assertEquals(4.02, answer.at("/movesMm/LR").asDouble(), 0.005);
        refused("balance", "loadsN.LR", "{\"loadsN\":{\"LF\":1080,\"RF\":920,\"RR\":1080,\"LR\":0}}");
        refused("balance", "ratesNPerMm", "{\"loadsN\":" + four("900") + ",\"wantedCrossPercent\":50}");
    }

    @Test
    void what_does_not_go_together_is_refused() {
        String sheet = "{\"km\":%s,\"heightsMm\":" + four("350") + "}";
        String backwards = "{\"sheets\":[" + sheet.formatted("900") + "," + sheet.formatted("100") + "]}";
        assertTrue(ask("settling", backwards, 400).get("detail").asString().contains("less than before"));
        refused("settling", "sheets", "{\"sheets\":[]}");
        String parts =
                "{\"wantedMm\":" + four("340") + ",\"tries\":[{\"heightsMm\":" + four("345") + "}],\"adjusters\":";
        refused("setting", "adjusters.LF.up", parts + "{\"LF\":{\"pitchMm\":2,\"up\":2.5}}}");
        refused("setting", "adjusters", parts + "null}");
        refused("setting", "wantedMm", "{\"tries\":[{\"heightsMm\":" + four("345") + "}],\"adjusters\":{}}");
        String sizes = "{\"LF\":{\"sizes\":[" + "{\"mm\":3,\"pieces\":4},".repeat(7) + "{\"mm\":3,\"pieces\":4}]}}}";
        assertTrue(ask("setting", parts + sizes, 422).get("detail").asString().contains("4096"));
        // Steps far finer than anybody can tell: as many alike as anybody likes, and an answer all the same.
        String fine = "{\"pitchMm\":0.1,\"perTurn\":64,\"up\":400,\"down\":400}";
        JsonNode found = ask("setting", parts + four(fine) + "}", 200);
        assertTrue(found.get("looked").asLong() < 1_500_000, found.get("looked").asString());
        JsonNode fixed = ask("setting", parts + "{}}", 200);
        assertEquals(0, fixed.get("changes").asInt());
        assertEquals(5, fixed.at("/corners/LF/missMm").asDouble(), 1e-9);
    }
}
