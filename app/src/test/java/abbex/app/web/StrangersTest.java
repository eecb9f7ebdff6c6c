package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.people.Misses;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.net.http.HttpResponse;
import java.util.UUID;
import java.util.function.IntSupplier;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Whoever is not known costs little: no row, no worker, and a pace of its own. */
@ExtendWith(Shop.class)
class StrangersTest {
    private static int count(String sql) {
        return Shop.bean(JdbcClient.class).sql(sql).query(Integer.class).single();
    }

    @Test
    void a_stranger_leaves_no_session() {
        String sessions = "select count(*) from SPRING_SESSION";
        int before = count(sessions);
        for (int i = 0; i < 5; i++) {
            Visitor stranger = Visitor.stranger();
            assertEquals(200, stranger.get("/sign-in").statusCode());
            assertEquals(302, stranger.get("/people").statusCode());
            assertEquals(302, stranger.get("/no-such-page").statusCode());
            assertEquals(
                    302,
                    stranger.post("/sign-in", "username", "nobody" + UUID.randomUUID(), "password", "wrong")
                            .statusCode());
            stranger.post("/arrive", "plate", "x");
            stranger.fragment("/");
        }
        assertEquals(before, count(sessions));
        Visitor.signedIn("orla");
        assertEquals(before + 1, count(sessions));
    }

    /** After signing in comes the page that was asked for, and a token from before is good for nothing any more. */
    @Test
    void the_door_remembers_the_page_and_changes_its_token() {
        Visitor visitor = Visitor.stranger();
        assertEquals(302, visitor.get("/gaps").statusCode());
        visitor.get("/sign-in");
        String token = visitor.token();
        HttpResponse<String> in = visitor.post("/sign-in", "username", "orla", "password", Shop.password());
        assertTrue(
                in.headers().firstValue("Location").orElse("").contains("/gaps"),
                in.headers().toString());
        visitor.get("/account");
        assertEquals(
                403,
                visitor.withToken(token).post("/account/theme", "theme", "dim").statusCode());
    }

    @Test
    void strangers_have_a_pace_and_whoever_is_known_has_none() throws Exception {
        try (ConfigurableApplicationContext own = Shop.start(
                "--abbex.strangers.at-once=12",
                "--abbex.strangers.per-second=1",
                "--abbex.strangers.late-millis=700")) {
            String there = Shop.address(own);
            Visitor orla = Visitor.signedIn("orla", there, Shop.password());
            assertEquals(200, orla.get("/account").statusCode());
            long began = System.nanoTime();
            assertTrue(
                    refused(() -> Visitor.stranger().at(there).get("/sign-in").statusCode()), "a pace");
            assertTrue((System.nanoTime() - began) / 1e9 > 0.69, "answered late");
            // One that makes a session up is a stranger.
            assertTrue(
                    refused(() -> Visitor.stranger()
                            .at(there)
                            .with("SESSION", UUID.randomUUID().toString())
                            .get("/account")
                            .statusCode()),
                    "a made-up session");
            assertFalse(refused(() -> orla.get("/account").statusCode()), "whoever is known");
        }
    }

    private static boolean refused(IntSupplier asked) {
        return IntStream.range(0, 40).anyMatch(i -> asked.getAsInt() == 429);
    }

    /** Rows of names that were tried go when they count no more, also where nobody ever signs in. */
    @Test
    void what_was_tried_leaves_no_rows_for_good() {
        JdbcClient jdbc = Shop.bean(JdbcClient.class);
        jdbc.sql(
                        "insert into attempt (name, address, n, at) select concat('old', seq), '192.0.2.1', 1, now(6) - interval 1 day"
                                + " from seq_1_to_150")
                .update();
        Shop.bean(Misses.class).claim("fresh" + System.nanoTime(), "192.0.2.2");
        assertEquals(0, count("select count(*) from attempt where address = '192.0.2.1'"));
    }
}
