package abbex.app.api;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.words.Bundles;
import abbex.app.workcard.Cards;
import abbex.core.heights.Assessment;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import abbex.core.wheels.TyreParse;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.function.Function;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Computation for other programs: nothing is stored, the same core calls as the pages. */
@RestController
class ComputeController {
    private static final int MOST_BYTES = 1_000_000;
    private static final int DEEPEST = 100;

    private static final Reader METRIC =
            new Reader(LengthUnit.MILLIMETRE, Graduation.MILLIMETRE, java.time.ZoneOffset.UTC);

    private final JsonMapper json = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .build())
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            // A number is what was written: 1e400 is out of range, not infinite.
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .build();
    private final Words words;
    private final Bundles bundles;
    private final Cards cards;
    private final Work work;
    private final ReadingIntake readings;

    ComputeController(Words words, Bundles bundles, Cards cards, Work work, ReadingIntake readings) {
        this.readings = readings;
        this.work = work;
        this.cards = cards;
        this.words = words;
        this.bundles = bundles;
    }

    @RequestMapping("/api/v1/compute/drop")
    ResponseEntity<String> drop(HttpServletRequest request) throws IOException {
        return answer(request, body -> {
            DropRequest asked = DropRequest.of(body, words);
            Assessment judged = Assessment.of(asked.vehicle(), asked.sheets(), asked.advertised(), asked.limits());
            return DropAnswer.of(judged, asked.reader(), words);
        });
    }

    @RequestMapping("/api/v1/compute/tyre")
    ResponseEntity<String> tyre(HttpServletRequest request) throws IOException {
        return answer(request, body -> TyreAnswer.of(body, this::refusal));
    }

    @RequestMapping("/api/v1/compute/wheel-change")
    ResponseEntity<String> wheelChange(HttpServletRequest request) throws IOException {
        return answer(request, body -> WheelChangeAnswer.of(body, this::refusal, words, METRIC));
    }

    @RequestMapping("/api/v1/compute/clearance")
    ResponseEntity<String> clearance(HttpServletRequest request) throws IOException {
        return answer(request, body -> ClearanceAnswer.of(body, this::refusal));
    }

    @RequestMapping("/api/v1/compute/crossing")
    ResponseEntity<String> crossing(HttpServletRequest request) throws IOException {
        return answer(request, body -> CrossingAnswer.of(body));
    }

    @RequestMapping("/api/v1/compute/spring")
    ResponseEntity<String> spring(HttpServletRequest request) throws IOException {
        return answer(request, body -> SpringAnswer.of(body));
    }

    @RequestMapping("/api/v1/compute/kit")
    ResponseEntity<String> kit(HttpServletRequest request) throws IOException {
        return answer(request, body -> KitAnswer.of(body, words, METRIC));
    }

    @RequestMapping("/api/v1/compute/torque")
    ResponseEntity<String> torque(HttpServletRequest request) throws IOException {
        return answer(request, body -> TorqueAnswer.of(body));
    }

    @RequestMapping("/api/v1/compute/workcard")
    ResponseEntity<String> workcard(HttpServletRequest request) throws IOException {
        return answer(request, body -> CardAnswer.of(body, cards.shipped()));
    }

    @RequestMapping("/api/v1/compute/trail")
    ResponseEntity<String> trail(HttpServletRequest request) throws IOException {
        return within(request, MotorcycleAnswer::trail);
    }

    @RequestMapping("/api/v1/compute/stand")
    ResponseEntity<String> stand(HttpServletRequest request) throws IOException {
        return within(request, MotorcycleAnswer::stand);
    }

    @RequestMapping("/api/v1/compute/linkage")
    ResponseEntity<String> linkage(HttpServletRequest request) throws IOException {
        return within(request, MotorcycleAnswer::linkage);
    }

    @RequestMapping("/api/v1/compute/leaf")
    ResponseEntity<String> leaf(HttpServletRequest request) throws IOException {
        return within(request, TruckAnswer::leaf);
    }

    @RequestMapping("/api/v1/compute/driveline")
    ResponseEntity<String> driveline(HttpServletRequest request) throws IOException {
        return within(request, TruckAnswer::driveline);
    }

    @RequestMapping("/api/v1/compute/setting")
    ResponseEntity<String> setting(HttpServletRequest request) throws IOException {
        return within(request, SettingAnswer::of);
    }

    @RequestMapping("/api/v1/compute/balance")
    ResponseEntity<String> balance(HttpServletRequest request) throws IOException {
        return within(request, BalanceAnswer::of);
    }

    @RequestMapping("/api/v1/compute/settling")
    ResponseEntity<String> settling(HttpServletRequest request) throws IOException {
        return within(request, SettlingAnswer::of);
    }

    @RequestMapping("/api/v1/compute/toe")
    ResponseEntity<String> toe(HttpServletRequest request) throws IOException {
        return within(request, ToeAnswer::of);
    }

    /** A reading of a shop's own device; sent twice it counts once. */
    @RequestMapping("/api/v1/readings")
    ResponseEntity<String> reading(HttpServletRequest request, Authentication caller) throws IOException {
        return answer(request, body -> readings.of(body, caller));
    }

    /** Each figure fits, and all of them together do not: told in the core's own words. */
    private ResponseEntity<String> within(HttpServletRequest request, Function<JsonNode, Object> compute)
            throws IOException {
        return answer(request, body -> {
            try {
                return compute.apply(body);
            } catch (IllegalArgumentException apart) {
                throw ApiProblem.worded("", "", String.valueOf(apart.getMessage()), "");
            }
        });
    }

    private String refusal(TyreParse.Refused refused) {
        return words.say("tyre." + refused.why(), METRIC, "read", refused.raw());
    }

    private ResponseEntity<String> answer(HttpServletRequest request, Function<JsonNode, Object> compute)
            throws IOException {
        JsonNode body = body(request);
        Object answer = work.done(String.valueOf(request.getRemoteUser()), () -> compute.apply(body));
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(json.writeValueAsString(answer));
    }

    @RequestMapping("/api/**")
    void nothingElse() {
        throw ApiProblem.of(404, "api.not-found");
    }

    private JsonNode body(HttpServletRequest request) throws IOException {
        if (!request.getMethod().equals("POST")) {
            throw ApiProblem.of(405, "api.method", "read", request.getMethod());
        }
        String type = String.valueOf(request.getContentType());
        if (!type.toLowerCase(java.util.Locale.ROOT).startsWith("application/json")) {
            throw ApiProblem.of(415, "api.media-type", "read", type);
        }
        byte[] bytes = request.getInputStream().readNBytes(MOST_BYTES + 1);
        if (bytes.length > MOST_BYTES) {
            throw ApiProblem.of(413, "api.too-large", "most", MOST_BYTES);
        }
        try {
            JsonNode node = json.readTree(bytes);
            if (node == null || node.isMissingNode()) {
                throw ApiProblem.of(400, "api.empty");
            }
            return node;
        } catch (JacksonException unreadable) {
            throw ApiProblem.of(400, "api.no-json", "deepest", DEEPEST, "why", unreadable.getOriginalMessage());
        }
    }

    @ExceptionHandler
    ResponseEntity<String> problem(ApiProblem problem) {
        ResponseEntity.BodyBuilder answer =
                ResponseEntity.status(problem.status()).contentType(MediaType.APPLICATION_PROBLEM_JSON);
        if (problem.status() == 405) {
            answer = answer.header("Allow", "POST");
        }
        return answer.body(json.writeValueAsString(problem.body(bundles)));
    }
}
