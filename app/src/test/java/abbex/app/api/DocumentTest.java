package abbex.app.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Shop;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The document describes what is there: valid by the OpenAPI initiative's own schema of 3.1 (src/test/resources/openapi,
 * unchanged), each example answers 200, each answer fits its schema (JSON Schema 2020-12, networknt's validator).
 */
@ExtendWith(Shop.class)
class DocumentTest {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final HttpClient CLIENT = HttpClient.newHttpClient();

    private static HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return CLIENT.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private static JsonNode document() {
        HttpResponse<String> answer = send(HttpRequest.newBuilder(URI.create(Shop.address() + "/api/v1/openapi.json")));
        assertEquals(200, answer.statusCode());
        return JSON.readTree(answer.body());
    }

    private static Schema schema(JsonNode node) {
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(node);
    }

    /** A schema of the document as one of its own: what it refers to comes along. */
    private static Schema schema(JsonNode document, JsonNode of) {
        ObjectNode whole = JSON.createObjectNode();
        whole.put("$ref", of.get("$ref").asString());
        whole.set("components", document.get("components"));
        return schema(whole);
    }

    @Test
    void it_is_valid_openapi_3_1() throws Exception {
        JsonNode standard =
                JSON.readTree(Files.readString(Path.of("src/test/resources/openapi/openapi-3.1-schema.json")));
        assertEquals(List.of(), schema(standard).validate(document().toString(), InputFormat.JSON));
        ObjectNode broken = (ObjectNode) document();
        broken.remove("info");
        assertTrue(
                !schema(standard).validate(broken.toString(), InputFormat.JSON).isEmpty(), "the check can fail");
    }

    @Test
    void every_operation_is_in_it_and_every_one_in_it_is_there() {
        Set<String> mapped = new TreeSet<>();
        Shop.bean(RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .forEach((mapping, method) -> mapping.getPatternValues().stream()
                        .filter(path ->
                                path.startsWith("/api/") && !path.endsWith("*") && !path.endsWith("openapi.json"))
                        .forEach(mapped::add));
        assertEquals(new TreeSet<>(document().get("paths").propertyNames()), mapped);
    }

    @Test
    void each_example_answers_and_the_answer_fits() {
        JsonNode document = document();
        String basic = Base64.getEncoder().encodeToString(("orla:" + Shop.password()).getBytes(StandardCharsets.UTF_8));
        int tried = 0;
        for (Map.Entry<String, JsonNode> path : document.get("paths").properties()) {
            JsonNode operation = path.getValue().get("post");
            JsonNode asked = operation.at("/requestBody/content/application~1json");
            JsonNode answered = operation.at("/responses/200/content/application~1json");
            for (Map.Entry<String, JsonNode> example : asked.get("examples").properties()) {
                String body = example.getValue().get("value").toString();
                assertEquals(
                        List.of(),
                        schema(document, asked.get("schema")).validate(body, InputFormat.JSON),
                        path.getKey());
                HttpResponse<String> answer = send(HttpRequest.newBuilder(URI.create(Shop.address() + path.getKey()))
                        .header("Content-Type", "application/json")
                        .header("Authorization", "Basic " + basic)
                        .POST(HttpRequest.BodyPublishers.ofString(body)));
                assertEquals(200, answer.statusCode(), answer.body());
                Schema fits = schema(document, answered.get("schema"));
                assertEquals(List.of(), fits.validate(answer.body(), InputFormat.JSON), path.getKey());
                assertTrue(!fits.validate("{\"corners\":1}", InputFormat.JSON).isEmpty(), "the check can fail");
                assertEquals(
                        answered.at("/examples/" + example.getKey() + "/value"),
                        JSON.readTree(answer.body()),
                        "the printed answer of " + example.getKey());
                tried++;
            }
        }
        assertTrue(tried >= 2, tried + " examples");
    }

    @Test
    void a_refusal_fits_its_schema() {
        JsonNode document = document();
        Schema problem =
                schema(document, document.at("/components/responses/SignIn/content/application~1problem+json/schema"));
        HttpResponse<String> answer = send(HttpRequest.newBuilder(URI.create(Shop.address() + "/api/v1/compute/drop"))
                .POST(HttpRequest.BodyPublishers.ofString("{}")));
        assertEquals(401, answer.statusCode());
        assertEquals(List.of(), problem.validate(answer.body(), InputFormat.JSON));
    }
}
