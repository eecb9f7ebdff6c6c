package abbex.app.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

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

    /** The most that may be asked of one corner: it is answered, or told to be too much, and soon either way. */
    @Test
    void the_most_that_may_be_asked_is_bounded() {
        StringBuilder probes = new StringBuilder();
        for (int i = 0; i < 40; i++) {
            probes.append(i == 0 ? "" : ",")
                    .append("{\"place\":\"LINER_FRONT\",\"clock\":")
                    .append(1 + i % 12)
                    .append(",\"face\":\"TREAD\",\"gapMm\":")
                    .append(5 + 7 * i)
                    .append(",\"clockStandardHours\":3}");
        }
        long began = System.nanoTime();
        HttpResponse<String> answer =
                ComputeDropTest.send("/api/v1/compute/clearance", """
                {"planned":{"widthIn":12,"offsetMm":-40,"tyre":"335/30R22"},"lowerMm":250,
                 "range":{"bumpMm":200,"droopMm":200,"steerDeg":50,"rollDeg":10,"bumpStandardMm":50,"lockStandardDeg":10},
                 "probes":[%s]}
                """.formatted(probes), "application/json", "orla");
        double seconds = (System.nanoTime() - began) / 1e9;
        assertTrue(answer.statusCode() == 200 || answer.body().contains("Too much to compute"), answer.body());
        assertTrue(seconds < 15, "after " + seconds + " s; the deadline is 4");
    }

    /** A number beyond all numbers is out of range at its field, as any other. */
    @Test
    void a_number_beyond_all_numbers() {
        for (String huge : new String[] {"1e400", "-1e400", "1e99999"}) {
            JsonNode said = ask("tyre", "{\"size\":\"255/45R18 99W\",\"rimWidthIn\":" + huge + "}", 400);
            assertEquals("rimWidthIn", said.get("field").asString());
        }
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
                {"planned":{"widthIn":7.5,"offsetMm":45,"tyre":"205/55R16"},"lowerMm":%d,"range":{"bumpMm":70,"steerDeg":0,"rollDeg":0,"camberDegPerMm":0},
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

    /** What was not said was not measured: nothing is clear without an if; what is open is told by its parts. */
    @Test
    void what_was_not_measured_widens_and_never_clears() {
        String corner = """
                {"planned":{"widthIn":7.5,"offsetMm":45,"tyre":"205/55R16"},"range":{%s},
                 "probes":[{"place":"LINER_FRONT","clock":10,"face":"TREAD","gapMm":%d%s}]}
                """;
        JsonNode guessed = ask("clearance", corner.formatted("", 140, ""), 200).at("/places/0");
        assertEquals("clear_if", guessed.get("verdict").asString());
        assertEquals("bump", guessed.get("measureNext").asString());
        JsonNode close = ask("clearance", corner.formatted("\"bumpMm\":55,\"steerDeg\":38", 68, ""), 200)
                .at("/places/0");
        assertEquals("close", close.get("verdict").asString());
        assertEquals("axis", close.get("measureNext").asString());
        String measured = "\"bumpMm\":55,\"steerDeg\":38,\"steerAxisMm\":60,\"steerAxisStandardMm\":2";
        JsonNode clear = ask(
                        "clearance",
                        corner.formatted(measured, 68, ",\"clockStandardHours\":0.05,\"acrossMm\":112"),
                        200)
                .at("/places/0");
        assertEquals("clear", clear.get("verdict").asString());
        double parts = 0;
        for (JsonNode part : clear.get("standardUncertaintyPartsMm")) {
            parts += part.asDouble() * part.asDouble();
        }
        assertEquals(clear.get("standardUncertaintyMm").asDouble(), Math.sqrt(parts), 0.02);
        assertTrue(close.at("/standardUncertaintyPartsMm/hour").asDouble()
                > 3 * clear.at("/standardUncertaintyPartsMm/hour").asDouble());
    }

    /** On level ground the least air is the lowest point's own height (arithmetic); a lift in front raises it by the lever rule. */
    @Test
    void a_ground_is_crossed() {
        String crossing = """
                {"wheelbaseMm":2500,"frontRadiusMm":300,"rearRadiusMm":300,"noseLiftMm":50,
                 "points":[{"name":"pan","stationMm":-1000,"heightMm":120},{"name":"lip","stationMm":800,"heightMm":160}],%s}
                """;
        JsonNode flat = ask(
                "crossing",
                crossing.formatted("\"profile\":[{\"alongMm\":0,\"upMm\":0},{\"alongMm\":900,\"upMm\":0}]"),
                200);
        assertEquals(120, flat.at("/standing/leastAirMm").asDouble(), 0.2);
        assertEquals("pan", flat.at("/standing/under").asString());
        assertEquals(120 + 50 * 1500 / 2500.0, flat.at("/noseLifted/leastAirMm").asDouble(), 0.2);
        // 160 over 0.4 at 12 %: a lip 800 ahead of a wheel that still stands level is 60 short of a step of 100 there.
        JsonNode step = ask(
                "crossing",
                crossing.formatted("\"profile\":[{\"alongMm\":0,\"upMm\":0},{\"alongMm\":1,\"upMm\":100}]"),
                200);
        assertTrue(step.at("/standing/leastAirMm").asDouble() <= 60.2, step.toString());
        assertEquals(
                "scrapes",
                ask(
                                "crossing",
                                crossing.formatted(
                                        "\"profile\":[{\"alongMm\":0,\"upMm\":0},{\"alongMm\":1,\"upMm\":170}]"),
                                200)
                        .at("/standing/verdict")
                        .asString());
        assertTrue(ask("crossing", crossing.formatted("\"ground\":\"DRIVEWAY\""), 200)
                .has("standing"));
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
                    crossing | {} | wheelbaseMm | 2640
                    crossing | {"wheelbaseMm":2500,"frontRadiusMm":300,"rearRadiusMm":300,"points":[{"stationMm":1,"heightMm":100}]} | ground | DRIVEWAY
                    crossing | {"wheelbaseMm":2500,"frontRadiusMm":300,"rearRadiusMm":300,"points":[{"stationMm":1,"heightMm":100}],"profile":[{"alongMm":5,"upMm":0},{"alongMm":5,"upMm":9}]} | profile[1].alongMm | [{"alongMm":0,"upMm":0},{"alongMm":600,"upMm":20}]
                    clearance | {"planned":{"tyre":"225/45R17","widthIn":8,"offsetMm":45},"probes":[{"place":"STRUT","face":"TREAD","clock":12,"gapMm":5,"acrossMm":-1}]} | probes[0].acrossMm | from 0 to 600
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
