package abbex.app.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Keys of other programs: shown once, kept as a hash, of one shop, ended by a word; and how often a caller may call. */
@ExtendWith(Shop.class)
class KeysTest {
    private final Visitor tamsin = Visitor.signedIn("tamsin");

    private String key(String name) {
        tamsin.get("/keys");
        HttpResponse<String> page = tamsin.post("/keys", "name", name);
        Matcher m = Pattern.compile("abbex_[A-Za-z0-9_-]{43}").matcher(page.body());
        assertTrue(m.find(), page.body());
        return m.group();
    }

    private static HttpResponse<String> call(String address, String key) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + "/api/v1/compute/drop"))
                .header("Content-Type", "application/json")
                .header("Authorization", "Bearer " + key)
                .POST(HttpRequest.BodyPublishers.ofString("{\"before\":{\"HF\":{\"LF\":\"14\"}}}"))
                .build();
        return HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
    }

    private static String id(String name) {
        return Shop.bean(JdbcClient.class)
                .sql("select id from api_key where name = :name")
                .param("name", name)
                .query(String.class)
                .single();
    }

    @Test
    void made_used_and_revoked() throws Exception {
        String key = key("the desk's list");
        assertFalse(tamsin.get("/keys").body().contains(key), "shown once");
        assertEquals(200, call(Shop.address(), key).statusCode());
        String kept = Shop.bean(JdbcClient.class)
                .sql("select key_hash from api_key where id = :id")
                .param("id", id("the desk's list"))
                .query(String.class)
                .single();
        assertFalse(key.contains(kept) || kept.contains(key.substring(6)));
        Visitor nils = Visitor.signedIn("nils@second-yard");
        assertFalse(nils.get("/keys").body().contains("the desk"));
        assertEquals(
                404, nils.post("/keys/" + id("the desk's list") + "/revoke").statusCode());
        assertEquals(200, call(Shop.address(), key).statusCode());
        tamsin.get("/keys");
        assertEquals(
                302, tamsin.post("/keys/" + id("the desk's list") + "/revoke").statusCode());
        HttpResponse<String> refused = call(Shop.address(), key);
        assertEquals(401, refused.statusCode());
        assertEquals(
                "application/problem+json",
                refused.headers().firstValue("Content-Type").orElse(""));
        assertTrue(tamsin.get("/audit").body().contains(Said.by("audit.KEY_REVOKED")));
    }

    @Test
    void a_key_without_a_purpose_is_not_made() {
        tamsin.get("/keys");
        HttpResponse<String> page = tamsin.post("/keys", "name", " ");
        assertEquals(422, page.statusCode());
        assertTrue(page.body().contains(Said.part("problem.key.name")));
        String longName = "x".repeat(81);
        assertTrue(tamsin.post("/keys", "name", longName).body().contains(longName), "what was typed is still there");
    }

    @Test
    void a_caller_is_asked_to_wait_and_others_are_not() throws Exception {
        String key = key("in a hurry");
        String other = key("patient");
        try (ConfigurableApplicationContext slow = Shop.start("--abbex.api.per-minute=3")) {
            for (int i = 0; i < 3; i++) {
                assertEquals(200, call(Shop.address(slow), key).statusCode());
            }
            HttpResponse<String> wait = call(Shop.address(slow), key);
            assertEquals(429, wait.statusCode());
            int seconds =
                    Integer.parseInt(wait.headers().firstValue("Retry-After").orElse("0"));
            assertTrue(seconds >= 1 && seconds <= 21, seconds + " s");
            assertTrue(wait.body().contains("3 requests a minute"), wait.body());
            assertEquals(200, call(Shop.address(slow), other).statusCode());
        }
    }

    /** A shop's own device: kept once, for somebody of that shop, in a unit of its kind. */
    @Test
    void a_reading_is_kept_once_for_somebody_of_the_keys_shop() throws Exception {
        String key = key("a scale of our own");
        String body = """
                {"device": "OWN-1", "boot": "00000007", "number": 3, "kind": "weight", "value": 790.50, "unit": "lb", "for": "orla"}
                """;
        assertEquals("{\"state\":\"kept\"}", reading(key, body).body());
        assertEquals("{\"state\":\"again\"}", reading(key, body).body());
        assertEquals(400, reading(key, body.replace("\"lb\"", "\"psi\"")).statusCode());
        assertEquals(400, reading(key, body.replace("orla", "nils@second-yard")).statusCode(), "another shop");
        assertEquals(
                400,
                reading(key, body.replace("\"number\": 3", "\"number\": 3.5")).statusCode());
        String waiting = Visitor.signedIn("orla").get("/instruments/now").body();
        assertEquals(2, waiting.split("790.5 lb</b>", -1).length, waiting);
        for (int n = 4; n < 23; n++) {
            assertEquals(200, reading(key, body.replace(": 3,", ": " + n + ",")).statusCode());
        }
        assertEquals(429, reading(key, body.replace(": 3,", ": 23,")).statusCode());
        Shop.bean(JdbcClient.class)
                .sql("update instrument_reading set done = 'REFUSED' where device = 'OWN-1'")
                .update();
    }

    private static HttpResponse<String> reading(String key, String body) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(URI.create(Shop.address() + "/api/v1/readings"))
                .header("Content-Type", "application/json")
                .header("Authorization", "Bearer " + key)
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build();
        return HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
    }
}
