package abbex.app.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Shop;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Springs and kits over the published interface: the core's answers, and what is refused. */
@ExtendWith(Shop.class)
class ComputeKitTest {
    private static JsonNode ask(String of, String body, int status) {
        HttpResponse<String> answer = ComputeDropTest.send("/api/v1/compute/" + of, body, "application/json", "orla");
        assertEquals(status, answer.statusCode(), answer.body());
        return JsonMapper.shared().readTree(answer.body());
    }

    /** spring-1 and spring-5 (EN 13906-1 by way of checks.csv). */
    @Test
    void a_spring_by_its_wire() {
        JsonNode coil = ask(
                "spring",
                "{\"wireMm\":12,\"meanDiameterMm\":120,\"activeCoils\":6,\"shearModulusMPa\":81500,\"forceN\":4000}",
                200);
        assertEquals(20.375, coil.get("rateNPerMm").asDouble(), 1e-9);
        assertEquals(707.36, coil.get("stressMPa").asDouble(), 0.01);
        assertEquals(802.94, coil.get("correctedStressMPa").asDouble(), 0.01);
        ask("spring", "{\"wireMm\":12,\"meanDiameterMm\":10,\"activeCoils\":6}", 422);
        ask("spring", "{\"wireMm\":0,\"meanDiameterMm\":100,\"activeCoils\":6}", 400);
        ask("spring", "{\"wireMm\":\"12\",\"meanDiameterMm\":100,\"activeCoils\":6}", 400);
    }

    /** Each figure fits and all of them together do not: refused in words, and no fault of the program. */
    @Test
    void what_does_not_go_together_is_refused() {
        ask("driveline", "{\"engineDown\":4,\"frontDown\":6,\"pinionDown\":44,\"turnDegrees\":29}", 400);
        ask(
                "stand",
                "{\"pivotHeightMm\":270,\"pivotOutMm\":110,\"lengthMm\":260,\"spreadDegrees\":35,\"dropMm\":150,\"partHighMm\":100,\"partOutMm\":300}",
                400);
        ask("stand", "{\"pivotHeightMm\":100,\"pivotOutMm\":10,\"lengthMm\":500,\"spreadDegrees\":5}", 400);
    }

    /** Statics by hand: 3,500 N at 0.95, gas 0: 3,684.2 N; 360 − 3684.2/22 less 275 − 3684.2/34, over 0.95. */
    @Test
    void a_kit_by_its_springs() {
        String kit = """
                {"kind":"car","architecture":"strut",
                 "now":{"sprungLoadN":3500,"motionRatio":0.95,"damperRatio":0.95,"gasN":0,
                        "spring":{"rateNPerMm":22,"freeMm":360,"measured":true}},
                 "kit":{"spring":{"rateNPerMm":34,"freeMm":275,"measured":true}%s}}
                """;
        double force = 3500 / 0.95;
        double drop = (360 - force / 22 - 275 + force / 34) / 0.95;
        JsonNode plain = ask("kit", kit.formatted(""), 200);
        assertEquals(drop, plain.at("/setDown/valueMm").asDouble(), 0.001);
        assertEquals(drop + 25.4 * 3 / 16, plain.at("/settled/valueMm").asDouble(), 0.001);
        JsonNode perch = ask("kit", kit.formatted(",\"perchDownMm\":9.5"), 200);
        assertEquals(drop + 10, perch.at("/setDown/valueMm").asDouble(), 0.001);
        JsonNode gas = ask("kit", kit.formatted(",\"gasN\":150"), 200);
        assertEquals(drop - 150.0 / 34 / 0.95, gas.at("/setDown/valueMm").asDouble(), 0.001);
        assertTrue(
                gas.at("/setDown/lowMm").asDouble() < gas.at("/setDown/valueMm").asDouble());
    }

    @Test
    void what_makes_no_kit_is_refused() {
        assertEquals(
                "now.motionRatio",
                ask("kit", "{\"now\":{\"motionRatio\":3},\"kit\":{\"boxMm\":30}}", 400)
                        .get("field")
                        .asString());
        ask("kit", "{\"now\":{\"spring\":{\"rateNPerMm\":0,\"freeMm\":300}},\"kit\":{\"boxMm\":30}}", 400);
        ask(
                "kit",
                "{\"now\":{\"spring\":{\"rateNPerMm\":30,\"freeMm\":300,\"solidMm\":310}},\"kit\":{\"boxMm\":30}}",
                422);
        ask("kit", "{\"kit\":{\"boxMm\":30}}", 400);
        ask("kit", "{\"now\":{},\"kit\":{\"boxMm\":\"30 mm\"}}", 400);
        // A new spring without the old one or a printed drop: nothing is said, and that is said.
        JsonNode unsaid = ask("kit", "{\"now\":{},\"kit\":{\"spring\":{\"rateNPerMm\":30,\"freeMm\":300}}}", 200);
        assertEquals("UNSAID", unsaid.at("/findings/0/code").asString());
        assertTrue(!unsaid.has("setDown"));
    }
}
