package abbex.app.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.page.Words;
import abbex.app.support.Shop;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The published computation: the same figures as the pages, strict about what it is sent. */
@ExtendWith(Shop.class)
class ComputeDropTest {
    private static final String EXAMPLE = """
            {"unit":"in","graduation":"1/16","wheelbase":"107 1/4","frameBase":"70",
             "before":{"HF":{"LF":"26 3/8","RF":"26 3/8","RR":"15","LR":"15"},"FG":{"LF":"4 1/2","RF":"4 1/2","RR":"5 1/4","LR":"5 1/4"}},
             "after":{"HF":{"LF":"25 9/16","RF":"25 5/8","RR":"14 1/4","LR":"14 1/4"}}}
            """;

    private final JsonMapper json = JsonMapper.builder().build();

    private static HttpResponse<String> send(String body, String type, String who) {
        return send("/api/v1/compute/drop", body, type, who);
    }

    static HttpResponse<String> send(String path, String body, String type, String who) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(Shop.address() + path))
                .header("Content-Type", type)
                .POST(HttpRequest.BodyPublishers.ofString(body));
        if (who != null) {
            String pair = who + ":" + Shop.password();
            request.header(
                    "Authorization",
                    "Basic " + Base64.getEncoder().encodeToString(pair.getBytes(StandardCharsets.UTF_8)));
        }
        try {
            return HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static HttpResponse<String> send(String body) {
        return send(body, "application/json", "orla");
    }

    @Test
    void the_example_answers_exactly() {
        HttpResponse<String> answer = send(EXAMPLE);
        assertEquals(200, answer.statusCode(), answer.body());
        assertTrue(answer.headers().allValues("Set-Cookie").isEmpty(), "no session");
        JsonNode said = json.readTree(answer.body());
        // checks.csv drop-1: 26 3/8 -> 25 9/16 is 13/16 in exactly (common practice); drop-10: ± 2.592 mm (JCGM 100).
        JsonNode lf = said.at("/corners/LF/drop");
        assertEquals(20_637_500, lf.get("nanometres").asLong());
        assertEquals("13/16 in", lf.get("text").asString());
        assertEquals(2.592, lf.at("/uncertainty/nanometres").asLong() / 1e6, 0.001);
        assertEquals(2, lf.at("/uncertainty/coverageFactor").asDouble());
        assertEquals("25/32 in", said.at("/ends/front/drop/text").asString());
        assertEquals(
                "-1/16 in",
                said.at("/ends/front/leftRight/byMethod/HF/after/text").asString());
        assertEquals("-1/16 in", said.at("/diagonal/byMethod/HF/change/text").asString());
        // checks.csv rake-1: 5 1/4 rear and 4 1/2 front is 3/4 in nose-down (definition).
        assertEquals("3/4 in", said.at("/rake/before/text").asString());
        assertEquals(
                Math.toDegrees(Math.atan(0.75 / 70)),
                said.at("/rake/before/degrees").asDouble(),
                1e-9);
        assertTrue(said.get("findings").size() > 2);
        assertEquals("look", said.at("/findings/0/severity").asString(), "worst first");
        assertFalse(answer.body().contains("null"));
    }

    /** checks.csv drop-6 (common practice) and drop-7 (trigonometry), and a point of the request beside them. */
    @Test
    void a_motorcycle_by_its_own_places() {
        HttpResponse<String> answer = send("""
                {"kind":"motorcycle","headAngle":"24","advertised":{"seat":{"least":"1 1/2"}},"points":{"peg":{"places":"rear"}},
                 "before":{"SEAT":{"seat":"37 1/8"},"FT":{"front":"10 mm"},"peg":{"rear":"14"}},
                 "after":{"SEAT":{"seat":"35 7/8"},"FT":{"front":"30 mm"},"peg":{"rear":"12 3/4"}}}
                """);
        assertEquals(200, answer.statusCode(), answer.body());
        JsonNode said = json.readTree(answer.body());
        assertEquals("1 1/4 in", said.at("/points/SEAT/seat/text").asString());
        assertEquals(18.27, said.at("/points/FT/front/nanometres").asLong() / 1e6, 0.01);
        assertEquals(18.27, said.at("/ends/front/drop/nanometres").asLong() / 1e6, 0.01);
        assertEquals("1 1/4 in", said.at("/points/peg/rear/text").asString());
        assertTrue(answer.body().contains("LESS_BUT_USUAL"), answer.body());
    }

    /** What lies between counts: its misreading is named with its sheet, and one side alone is told as one side. */
    @Test
    void sheets_between_are_readings_of_the_same_vehicle() {
        HttpResponse<String> answer = send("""
                {"before":{"HF":{"LF":"15 1/4"},"GF":{"LF":"27 1/4"},"RIM":{"LF":"24 1/4"}},
                 "between":[{"HF":{"LF":"14 1/8"},"GF":{"LF":"26 5/8"},"RIM":{"LF":"23 1/8"}}],
                 "after":{"HF":{"LF":"14"},"GF":{"LF":"26"},"RIM":{"LF":"23"}}}
                """);
        assertEquals(200, answer.statusCode(), answer.body());
        JsonNode said = json.readTree(answer.body());
        assertEquals("1 1/4 in", said.at("/ends/front/drop/text").asString());
        assertEquals("between[0]", said.at("/suspects/0/sheet").asString());
        assertEquals("LF.GF", said.at("/suspects/0/place").asString());
        assertTrue(answer.body().contains("ONE_SIDE_ONLY"), answer.body());
        HttpResponse<String> wrong = send("{\"between\":[{\"HF\":{\"LF\":\"15 1/7\"}}]}");
        assertEquals(
                "between[0].HF.LF", json.readTree(wrong.body()).get("field").asString());
    }

    /** Other wheels, of which rim and tread tell nothing; another load, of which nothing is as advertised; a pressure that is off. */
    @Test
    void the_state_of_a_sheet_counts_as_on_a_page() {
        String body = """
                {"unit":"in","advertised":{"front":{"least":"1 1/4"}},
                 "before":{"HF":{"LF":"15 1/4","RF":"15 1/4"},"RIM":{"LF":"24 1/2","RF":"24 1/2"},
                           "state":{"wheelSet":"seventeens","load":"%s","pressures":{"LF":"32 psi"}}},
                 "after":{"HF":{"LF":"14","RF":"14"},"RIM":{"LF":"23 3/4","RF":"23 3/4"},
                          "state":{"wheelSet":"eighteens","load":"empty","pressures":{"LF":"%s"}}}}
                """;
        HttpResponse<String> same = send(body.formatted("empty", "32"));
        assertEquals(200, same.statusCode(), same.body());
        assertEquals(
                "1 1/4 in",
                json.readTree(same.body()).at("/ends/front/drop/text").asString());
        assertTrue(same.body().contains("\"AS_PROMISED\""), same.body());
        HttpResponse<String> loaded = send(body.formatted("two aboard", "26"));
        assertFalse(loaded.body().contains("\"AS_PROMISED\""), loaded.body());
        assertTrue(loaded.body().contains("STATE_PRESSURE"), loaded.body());
        HttpResponse<String> wrong = send(body.formatted("empty", "soft"));
        assertEquals(400, wrong.statusCode());
        assertEquals(
                "after.state.pressures.LF",
                json.readTree(wrong.body()).get("field").asString());
        assertEquals(
                400,
                send(body.replace("wheelSet", "wheels").formatted("empty", "32"))
                        .statusCode());
    }

    @Test
    void signs_in_with_every_request() {
        HttpResponse<String> stranger = send(EXAMPLE, "application/json", null);
        assertEquals(401, stranger.statusCode());
        assertEquals(
                "application/problem+json",
                stranger.headers().firstValue("Content-Type").orElse(""));
        assertTrue(stranger.headers().firstValue("WWW-Authenticate").orElse("").startsWith("Basic"));
        assertEquals(401, send(EXAMPLE, "application/json", "nobody-at-all").statusCode());
    }

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
                    400 | {"before":{"HF":{"LF":"25 7/15"}}} | before.HF.LF | 25 7/16
                    400 | {"before":{"HF":{"LF":"26,5"}}} | before.HF.LF | 26.5
                    400 | {"before":{"HF":{"LF":14}}} | before.HF.LF | "25 7/16"
                    400 | {"before":{"HF":{"XX":"14"}}} | before.HF.XX | LF, RF, RR, LR
                    400 | {"before":{"ZZ":{}}} | before.ZZ | GF, HF, RIM, FG, TG, stage, floor, standIn, arches, state
                    400 | {"colour":"red"} | colour | unit, graduation, kind, wheelbase, frameBase, headAngle, points, advertised, limits, before, between, after
                    400 | {"unit":"furlong"} | unit | in
                    400 | {"graduation":"1/3"} | graduation | 1/16 in
                    400 | {"kind":"boat"} | kind | car
                    400 | {"kind":"motorcycle","before":{"HF":{"LF":"14"}}} | before.HF | AX, FT, SEAT, FR, BODY, FREE, RIDER, stage, floor, standIn, arches, state
                    400 | {"kind":"motorcycle","before":{"AX":{"LF":"14"}}} | before.AX.LF | front, rear
                    400 | {"kind":"motorcycle","before":{"FT":{"front":"-1"}}} | before.FT.front | 1
                    400 | {"headAngle":"steep","before":{"HF":{"LF":"14"}}} | headAngle | 24.5
                    400 | {"points":{"eye":{"places":"LF XX"}},"before":{"eye":{"LF":"4"}}} | points.eye.places | LF RF
                    400 | {"points":{"eye":{"tyre":"perhaps"}},"before":{"eye":{"vehicle":"4"}}} | points.eye.tyre | yes
                    400 | {"points":{"HF":{}},"before":{"HF":{"LF":"14"}}} | points.HF.places | splitter
                    400 | {"points":{"<b>":{}},"before":{"HF":{"LF":"14"}}} | points | splitter
                    400 | {"points":[],"before":{"HF":{"LF":"14"}}} | points | {…}
                    400 | {"before":{"floor":{"LF":"0","RF":"0","RR":"1"}}} | before.floor.LR | "0"
                    400 | {"after":{"stage":"LATER"}} | after.stage | FIRST_SET_DOWN
                    400 | {"before":{"standIn":"COUSIN"}} | before.standIn | NONE
                    400 | {"after":{"arches":"LF,RF"}} | after.arches | LF RR
                    400 | {"limits":{"RIM":"0"},"before":{"HF":{"LF":"14"}}} | limits.RIM | 0.1 mm – 25 mm
                    400 | {"before":[]} | before | {…}
                    400 | [] | ~~ | {…}
                    422 | {} | - | -
                    422 | {"advertised":{"front":{"least":"2","most":"1"}},"before":{"HF":{"LF":"14"}}} | - | -
                    400 | {"a": | - | -
                    400 | {"unit":"in","unit":"mm"} | - | -
                    400 | {} {} | - | -
                    """)
    void what_is_wrong_is_named(int status, String body, String field, String right) {
        HttpResponse<String> answer = send(body);
        assertEquals(status, answer.statusCode(), answer.body());
        assertEquals(
                "application/problem+json",
                answer.headers().firstValue("Content-Type").orElse(""));
        JsonNode problem = json.readTree(answer.body());
        assertEquals(status, problem.get("status").asInt());
        if (!"-".equals(field)) {
            assertEquals(field, problem.get("field").asString());
            assertEquals(right, problem.get("right").asString());
        } else {
            assertNull(problem.get("field"));
        }
        assertFalse(answer.body().contains("Exception"), answer.body());
    }

    @Test
    void too_large_too_deep_of_another_type_or_empty() {
        assertEquals(413, send("{\"unit\":\"" + "x".repeat(2_000_000) + "\"}").statusCode());
        assertEquals(400, send("[".repeat(50_000) + "]".repeat(50_000)).statusCode());
        assertEquals(415, send(EXAMPLE, "text/plain", "orla").statusCode());
        assertEquals(400, send("").statusCode());
    }

    @Test
    void ten_thousand_drawn_requests_are_answered_or_refused() {
        Words words = Shop.bean(Words.class);
        Random random = new Random(21);
        String alphabet = "{}[]\":,0123456789 /.-LFRHGTIMabeforat";
        int taken = 0;
        int refused = 0;
        for (int i = 0; i < 10_000; i++) {
            StringBuilder text = new StringBuilder(EXAMPLE);
            for (int k = random.nextInt(3); k >= 0; k--) {
                text.setCharAt(random.nextInt(text.length()), alphabet.charAt(random.nextInt(alphabet.length())));
            }
            JsonNode node;
            try {
                node = json.readTree(text.toString());
            } catch (tools.jackson.core.JacksonException noJson) {
                continue;
            }
            try {
                DropRequest.of(node, words);
                taken++;
            } catch (ApiProblem problem) {
                assertTrue(problem.status() == 400 || problem.status() == 422, text.toString());
                refused++;
            }
        }
        assertTrue(taken > 100 && refused > 500, taken + " taken, " + refused + " refused");
    }
}
