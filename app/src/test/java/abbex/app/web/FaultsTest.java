package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.io.IOException;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.slf4j.LoggerFactory;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The database dies while people work: the page says so, and what was typed is stored once when it is back. */
@ExtendWith(Shop.class)
class FaultsTest {
    @AfterEach
    void back() throws InterruptedException {
        Shop.startDatabase();
        // The next visitor comes when the application has found it again.
        assertEquals(200, eventually(Visitor.stranger(), "/sign-in"));
    }

    @Test
    void a_page_answers_503_within_three_seconds_and_comes_back() throws Exception {
        Visitor orla = Visitor.signedIn("orla");
        Shop.killDatabase();
        long began = System.nanoTime();
        HttpResponse<String> answer = orla.get("/");
        double seconds = (System.nanoTime() - began) / 1e9;
        assertEquals(503, answer.statusCode());
        assertTrue(answer.body().contains(Said.part("trouble.AWAY")));
        assertTrue(answer.headers().firstValue("Retry-After").isPresent());
        assertTrue(seconds < 5, "answered after " + seconds + " s; under 3 on a quiet machine");
        // A page that is half there gets the rest of its scripts, without which nothing that is typed would wait.
        for (String file : List.of("/js/tape.mjs", "/js/words.mjs", "/app.css", "/sw.js", "/icons.svg")) {
            assertEquals(200, orla.get(file).statusCode(), file);
        }
        Shop.startDatabase();
        assertEquals(200, eventually(orla, "/"));
    }

    @Test
    void a_database_that_hangs_is_a_503_too_and_nothing_hangs_with_it() throws Exception {
        Visitor orla = Visitor.signedIn("orla");
        Shop.holdDatabase(true);
        try {
            long began = System.nanoTime();
            HttpResponse<String> answer = orla.get("/");
            double seconds = (System.nanoTime() - began) / 1e9;
            assertEquals(503, answer.statusCode());
            assertTrue(seconds < 8, "answered after " + seconds + " s; under 3 on a quiet machine");
        } finally {
            Shop.holdDatabase(false);
        }
        assertEquals(200, eventually(orla, "/"));
    }

    @Test
    void health_is_told_on_this_computer() throws Exception {
        Visitor anybody = Visitor.stranger();
        HttpResponse<String> up = anybody.get("/health");
        assertEquals(200, up.statusCode());
        assertEquals("{\"application\":\"up\",\"database\":\"up\"}\n", up.body());
        Shop.killDatabase();
        HttpResponse<String> away = anybody.get("/health");
        assertEquals(503, away.statusCode());
        assertTrue(away.body().contains("\"database\":\"away\""), away.body());
    }

    @Test
    void the_problem_page_shows_a_number_that_finds_the_line() throws IOException {
        Visitor tamsin = Visitor.signedIn("tamsin");
        JdbcClient jdbc = Shop.owner();
        ListAppender<ILoggingEvent> log = new ListAppender<>();
        Logger root = (Logger) LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME);
        log.start();
        root.addAppender(log);
        jdbc.sql("rename table audit to audit_away").update();
        try {
            HttpResponse<String> answer = tamsin.get("/audit");
            assertEquals(500, answer.statusCode());
            Matcher number = Pattern.compile("Number <b>([0-9a-f]{8})</b>").matcher(answer.body());
            assertTrue(number.find(), answer.body());
            assertTrue(log.list.stream().anyMatch(e -> e.getFormattedMessage().contains(number.group(1))));
            assertTrue(!answer.body().contains("Exception") && !answer.body().contains("audit_away"));
        } finally {
            jdbc.sql("rename table audit_away to audit").update();
            root.detachAppender(log);
        }
    }

    /** Two hundred and ten forms whose bodies never come: everybody else is answered. */
    @Test
    void forms_that_stall_hold_up_nobody() throws Exception {
        Visitor orla = Visitor.signedIn("orla");
        List<Socket> stalled = new ArrayList<>();
        try {
            for (int i = 0; i < 210; i++) {
                stalled.add(stalled());
            }
            Thread.sleep(300);
            long began = System.nanoTime();
            assertEquals(200, orla.get("/account").statusCode());
            double seconds = (System.nanoTime() - began) / 1e9;
            assertTrue(seconds < 4, "answered after " + seconds + " s; none waited for a stalled one");
        } finally {
            for (Socket socket : stalled) {
                socket.close();
            }
        }
    }

    /** Whoever leaves in the middle of a form, or sends what is none, writes no line: strangers could fill the log. */
    @Test
    void forms_that_end_in_the_middle_write_no_line() throws Exception {
        ListAppender<ILoggingEvent> log = new ListAppender<>();
        Logger root = (Logger) LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME);
        log.start();
        root.addAppender(log);
        try {
            for (String body : List.of("username=o", "username=%zz" + " ".repeat(888))) {
                try (Socket socket = stalled()) {
                    socket.getOutputStream().write(body.getBytes(StandardCharsets.US_ASCII));
                    socket.shutdownOutput();
                    socket.setSoTimeout(20_000);
                    socket.getInputStream().readAllBytes();
                }
            }
            assertEquals(List.of(), log.list.stream().map(Object::toString).toList());
        } finally {
            root.detachAppender(log);
        }
    }

    /** A form to the door of which 900 characters are announced and none has come. */
    private static Socket stalled() throws IOException {
        Socket socket = new Socket("127.0.0.1", Integer.parseInt(Shop.address().replaceFirst(".*:", "")));
        socket.getOutputStream()
                .write(("POST /sign-in HTTP/1.1\r\nHost: 127.0.0.1\r\n"
                                + "Content-Type: application/x-www-form-urlencoded\r\nContent-Length: 900\r\n\r\n")
                        .getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    /** The application's account works with rows. */
    @Test
    void the_application_cannot_change_a_table() {
        for (String change : List.of(
                "alter table audit add column x int",
                "drop table attempt",
                "create table y (n int)",
                "drop trigger job_insert")) {
            Exception refused = assertThrows(
                    Exception.class,
                    () -> Shop.bean(JdbcClient.class).sql(change).update());
            String why = String.valueOf(
                    NestedExceptionUtils.getMostSpecificCause(refused).getMessage());
            assertTrue(why.contains("denied"), why);
        }
    }

    /** An error page is no answer: what was typed is let go when the server has said that it is stored. */
    @Test
    void what_was_typed_stays_until_it_is_said_to_be_stored() throws Exception {
        try (Screen screen = Screen.desk().signIn("jorun")) {
            Page page = screen.page;
            screen.open("/arrive");
            String plate = "DR " + System.nanoTime() % 1_000_000;
            page.locator("#plate").fill(plate);
            page.locator("label[for='outline-CAR-HATCH']").click();
            page.locator("#name").fill("test hatch");
            page.route("**/arrive", r -> {
                if (r.request().method().equals("POST")) {
                    r.fulfill(new Route.FulfillOptions()
                            .setStatus(500)
                            .setContentType("text/html")
                            .setBody("<p>no</p>"));
                } else {
                    r.resume();
                }
            });
            page.keyboard().press("Enter");
            assertThat(page.locator("p")).hasText("no");
            page.unroute("**/arrive");
            screen.open("/account");
            screen.open("/arrive");
            page.locator(".unfinished a").click();
            assertThat(page.locator("#plate")).hasValue(plate);
            assertThat(page.locator("#name")).hasValue("test hatch");
            // Away: what was sent is sent again by itself, under the same ids, until it is stored.
            Shop.killDatabase();
            page.locator("#name").press("Enter");
            assertThat(page.locator("form[data-again]")).hasCount(1);
            Shop.startDatabase();
            assertThat(page.locator("#in-LF")).isVisible();
            assertEquals(
                    1,
                    Shop.bean(JdbcClient.class)
                            .sql(
                                    "select count(*) from job j join vehicle v on v.id = j.vehicle_id where v.plate = :plate")
                            .param("plate", plate)
                            .query(Integer.class)
                            .single());
            screen.open("/arrive");
            assertThat(page.locator("#plate")).hasValue("");
        }
    }

    /** A reload or the history asks for an address that only takes what is sent. */
    @Test
    void an_address_that_only_takes_what_is_sent_leads_to_the_page_above() {
        Visitor orla = Visitor.signedIn("orla");
        String job = "/jobs/" + Jobs.id("GN 2-118");
        for (String[] pair : new String[][] {
            {job + "/prove/probes", job + "/prove"},
            {job + "/fitment/sets", job + "/fitment"},
            {"/account/pin", "/account"},
        }) {
            HttpResponse<String> answer = orla.get(pair[0]);
            assertEquals(303, answer.statusCode(), pair[0]);
            assertEquals(
                    pair[1], answer.headers().firstValue("Location").orElse("").replaceFirst("^http://[^/]+", ""));
        }
        assertEquals(405, orla.fragment(job + "/prove/probes").statusCode(), "a script asks for no page");
    }

    private static int eventually(Visitor who, String path) throws InterruptedException {
        int status = 0;
        for (int i = 0; i < 40 && status != 200; i++) {
            status = who.get(path).statusCode();
            Thread.sleep(250);
        }
        return status;
    }

    @Test
    void readings_typed_while_it_is_away_are_stored_once_each() throws Exception {
        try (Screen screen = Screen.desk().signIn("milo")) {
            Page page = screen.page;
            String plate = "FA " + System.nanoTime() % 1_000_000;
            screen.receive(plate);
            page.locator("#in-LF").fill("14");
            page.keyboard().press("Enter");
            assertThat(page.locator("#arch-LF.taken")).isVisible();
            Shop.killDatabase();
            for (String corner : List.of("RF", "RR")) {
                page.locator("#in-" + corner).fill("14 1/8");
                page.keyboard().press("Enter");
            }
            assertThat(page.locator("#notice")).containsText(Said.part("script.waits.kept"));
            assertThat(page.locator("#notice")).containsText("RF");
            Shop.startDatabase();
            assertThat(page.locator("#arch-RF.taken")).isVisible();
            assertThat(page.locator("#arch-RR.taken")).isVisible();
            assertThat(page.locator("#notice")).isHidden();
            long rows = Shop.bean(JdbcClient.class)
                    .sql("""
                            select count(*) from reading r join sheet s on s.id = r.sheet_id join job j on j.id = s.job_id
                              join vehicle v on v.id = j.vehicle_id where v.plate = :plate
                            """)
                    .param("plate", plate)
                    .query(Long.class)
                    .single();
            assertEquals(3, rows);
        }
    }

    /** News draws the arch again while the answer to its reading is on its way: the answer counts, and so does its failure. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void the_answer_to_a_form_that_was_drawn_again_counts(boolean answered) {
        try (Screen screen = Screen.deskThatKeeps().signIn("milo")) {
            Page page = screen.page;
            screen.receive("FA " + System.nanoTime() % 1_000_000);
            assertThat(page.locator("html")).hasAttribute("data-kept", "true");
            AtomicReference<Route> held = new AtomicReference<>();
            page.route("**/readings", held::set);
            page.locator("#in-LF").fill("14");
            page.waitForRequest("**/readings", () -> page.keyboard().press("Enter"));
            page.evaluate("document.querySelector('#arch-LF form').id = 'sent'");
            page.waitForResponse(
                    "**/news?*",
                    () -> page.evaluate("document.dispatchEvent(new CustomEvent('abbex:stored', { detail: [] }))"));
            assertThat(page.locator("#sent")).hasCount(0);
            if (answered) {
                held.get().resume();
                page.unroute("**/readings");
                assertThat(page.locator("#arch-LF.taken")).isVisible();
            } else {
                held.get().fulfill(new Route.FulfillOptions().setStatus(503));
                page.unroute("**/readings");
                assertThat(page.locator("#waits")).isVisible();
                assertThat(page.locator("#arch-LF.taken")).isVisible();
            }
        }
    }
}
