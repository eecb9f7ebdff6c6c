package abbex.app.api;

import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.app.support.Shop;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Tyres and wheel changes by the published interface; values from checks.csv by their ids. */
@ExtendWith(Shop.class)
class ComputeWheelsTest {
    private static JsonNode ask(String what, String body, int status) {
        HttpResponse<String> answer = ComputeDropTest.send("/api/v1/compute/" + what, body, "application/json", "orla");
        assertEquals(status, answer.statusCode(), answer.body());
        return JsonMapper.shared().readTree(answer.body());
    }

    /** tyre-1 (ISO 4000-1) and li-1's neighbour 99: 775 kg. */
    @Test
    void a_tyre() {
        JsonNode said = ask("tyre", "{\"size\":\"255/45R18 99W\",\"rimWidthIn\":9}", 200);
        assertEquals("metric", said.get("kind").asString());
        assertEquals(686.7, said.get("overallDiameterMm").asDouble(), 0.05);
        assertEquals(775, said.get("loadKg").asDouble());
        assertEquals(270, said.get("speedKmh").asInt());
        // UN R30: 255 on its 8.5 in, 0.4 of half an inch more.
        assertEquals(255 + 0.4 * 12.7, said.get("sectionWidthMm").asDouble(), 0.01);
    }

    /** wheel-1 (arithmetic) and speedo-1 (ISO 4000-1). */
    @Test
    void a_wheel_change() {
        JsonNode said = ask("wheel-change", """
                {"from":{"widthIn":8,"offsetMm":45,"tyre":"205/55R16"},"to":{"widthIn":9.5,"offsetMm":35,"tyre":"225/45R17","spacerMm":0}}
                """, 200);
        assertEquals(29.05, said.get("outerMm").asDouble(), 0.01);
        assertEquals(9.05, said.get("innerMm").asDouble(), 0.01);
        assertEquals(-0.378, said.get("speedometerPercent").asDouble(), 0.001);
    }

    /** Straight over the tread 70 mm of bump leave 110 − 9 grown − 70; nothing else moves it (arithmetic). */
    @Test
    void a_clearance_with_its_remedies() {
        String corner = """
                {"planned":{"widthIn":7.5,"offsetMm":45,"tyre":"205/55R16"},"lowerMm":%d,"range":{"bumpMm":70,"steerDeg":0,"rollDeg":0},
                 "probes":[{"place":"FENDER_LIP","clock":12,"face":"TREAD","gapMm":110}]}
                """;
        JsonNode clear = ask("clearance", corner.formatted(0), 200);
        assertEquals("clear", clear.at("/places/0/verdict").asString());
        assertEquals(110 - 4.51 - 70, clear.at("/places/0/leastGapMm").asDouble(), 0.16);
        assertEquals(0, clear.get("remedies").size());
        JsonNode touches = ask("clearance", corner.formatted(40), 200);
        assertEquals("touches", touches.at("/places/0/verdict").asString());
        assertEquals("LONGER_STOP", touches.at("/remedies/0/do/0/remedy").asString());
    }

    /** A traction device takes its own thickness, a shop's own need decides the word, and two gaps at one spot are told. */
    @Test
    void what_is_put_over_what_is_needed_and_what_contradicts_itself() {
        String corner = """
                {"planned":{"widthIn":7.5,"offsetMm":45,"tyre":"205/55R16"},"range":{"bumpMm":70,"leftLockDeg":0,"rightLockDeg":0,"rollDeg":0},
                 %s"probes":[{"place":"INNER_ARCH","clock":12,"face":"TREAD","gapMm":110},{"place":"INNER_ARCH","clock":12,"face":"TREAD","gapMm":130}]}
                """;
        JsonNode bare = ask("clearance", corner.formatted(""), 200);
        JsonNode worn = ask("clearance", corner.formatted("\"wornTreadMm\":37,\"wornSidewallMm\":15,"), 200);
        assertEquals(
                37,
                bare.at("/places/0/leastGapMm").asDouble()
                        - worn.at("/places/0/leastGapMm").asDouble(),
                0.25);
        assertEquals("two_gaps", bare.at("/contradictions/0/why").asString());
        assertEquals(20, bare.at("/contradictions/0/byMm").asDouble());
        assertEquals("clear", bare.at("/places/0/verdict").asString());
        JsonNode wanted = ask("clearance", corner.formatted("\"neededMm\":{\"INNER_ARCH\":40},"), 200);
        assertEquals("close", wanted.at("/places/0/verdict").asString());
        assertEquals(40, wanted.at("/places/0/neededMm").asDouble());
    }

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
                    tyre | {} | size | 225/45R17 91W
                    tyre | {"size":"265/75-16"} | size | 265/75R16
                    tyre | {"size":"31x10.5"} | size | 225/45R17 91W
                    tyre | {"size":"225/45R17","rimWidthIn":"8"} | rimWidthIn | from 1.5 to 16
                    tyre | {"size":"225/45R17","rimWidthIn":1e99} | rimWidthIn | from 1.5 to 16
                    clearance | {} | planned | {"widthIn":8,…}
                    clearance | {"planned":{"tyre":"225/45R17","widthIn":8,"offsetMm":45},"probes":{}} | probes | [{…}]
                    clearance | {"planned":{"tyre":"225/45R17","widthIn":8,"offsetMm":45},"probes":[{"clock":13}]} | probes[0].clock | from 0.01 to 12
                    clearance | {"planned":{"tyre":"225/45R17","widthIn":8,"offsetMm":45},"probes":[{"clock":12,"gapMm":5,"place":"ROOF"}]} | probes[0].place | FENDER_LIP
                    clearance | {"planned":{"tyre":"225/45R17","widthIn":8,"offsetMm":45},"lowerMm":-5,"probes":[{"place":"STRUT","face":"TREAD","clock":12,"gapMm":5}]} | lowerMm | from 0 to 250
                    wheel-change | {"from":{}} | from.tyre | 225/45R17 91W
                    wheel-change | {"from":{"tyre":"225/45R17"}} | from.widthIn | 8
                    wheel-change | {"from":{"tyre":"225/45R17","widthIn":8,"offsetMm":451}} | from.offsetMm | from -150 to 150
                    wheel-change | {"from":{"tyre":"225/45R17","widthIn":8,"offsetMm":45}} | to | {"widthIn":8,…}
                    """)
    void what_is_wrong_is_named(String what, String body, String field, String right) {
        JsonNode said = ask(what, body, 400);
        assertEquals(field, said.get("field").asString());
        assertEquals(right, said.get("right").asString());
    }
}
