package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A card in a bay without a network: ticks, captures, torques and photos wait, sealed and in order, and count once each. */
@ExtendWith(Shop.class)
class CardAloneTest {
    private final Visitor milo = Visitor.signedIn("milo");

    /** A strut car with a card begun, and every open step of it on the device. */
    private String begun(Screen screen) {
        String job = UUID.randomUUID().toString();
        milo.get("/arrive");
        String plate = "CA " + System.nanoTime() % 10_000_000;
        milo.post(
                "/arrive",
                "job",
                job,
                "plate",
                plate,
                "name",
                "alone " + job,
                "archFront",
                "STRUT",
                "promiseFRONT",
                "1");
        milo.post("/jobs/" + job + "/fit", "lift", "yes");
        screen.open("/jobs/" + job + "/fit");
        // All steps of a card at once, by a server that was just started.
        assertThat(screen.page.locator("html"))
                .hasAttribute("data-kept", "true", new LocatorAssertions.HasAttributeOptions().setTimeout(60_000));
        screen.page.locator(".fithead .big").click();
        ready(screen.page);
        assertThat(screen.page.locator("html")).hasAttribute("data-kept", "true");
        return job;
    }

    private static void ready(Page page) {
        assertThat(page.locator(".bayview[data-ready]")).isVisible();
    }

    /** All rows of a card as the server took them. */
    private static List<String> stored(String job) {
        return Shop.bean(JdbcClient.class)
                .sql("select what, step, item, text from card_entry where job_id = :job order by seq")
                .param("job", job)
                .query((row, n) -> row.getString(1) + " " + row.getString(2) + " " + row.getString(3))
                .list();
    }

    private static String step(Page page) {
        return page.locator(".bayview").getAttribute("data-step");
    }

    private static void waits(Page page, int count) {
        assertThat(page.locator("#waits"))
                .hasText(
                        count == 1
                                ? Said.by("script.waits.one")
                                : Said.by("script.waits", "count", String.valueOf(count)));
    }

    /** What is open first of a step, as its large button says. */
    private static Locator first(Page page) {
        for (Locator ask : page.locator("#asks li").all()) {
            if (page.locator(".baybar .act").innerText().equals(ask.innerText().strip())
                    || page.locator(".baybar .act").textContent().equals(ask.textContent())) {
                return ask;
            }
        }
        throw new AssertionError(page.url() + " " + page.locator(".baybar").innerText());
    }

    /** What Done says beside itself, as the server's rows will: checks after the holds, what is usual, bolts. */
    private static String said(Page page, int holds) {
        List<String> lines = page.locator(".closing li").allInnerTexts();
        List<String> usual = page.locator("form.capture").all().stream()
                .filter(form -> lines.stream()
                        .anyMatch(line -> line.startsWith(form.locator("label").innerText() + ": ")))
                .map(form -> "CAPTURED " + form.locator("[name=item]").inputValue())
                .toList();
        List<String> bolts = page.locator("form.tighten [name=item]").all().stream()
                .map(Locator::inputValue)
                .flatMap(bolt -> Stream.of("TIGHTENED " + bolt, "MARKED " + bolt))
                .toList();
        Stream<String> checks = IntStream.range(0, lines.size() - usual.size() - bolts.size() / 2)
                .mapToObj(i -> "HELD " + (holds + i));
        return Stream.of(checks, usual.stream(), bolts.stream(), Stream.of("TICKED "))
                .flatMap(all -> all)
                .collect(Collectors.joining(","));
    }

    /** Does the first thing that is open without a network, and says what it was as the server's row will. */
    private static String go(Page page, int waiting) {
        ready(page);
        Locator ask = first(page);
        String what = ask.getAttribute("data-what");
        String item = ask.getAttribute("data-item");
        String at = step(page);
        int holds = page.locator(".holds li").count();
        String said = said(page, holds);
        String form = "form:has([name=what][value=" + what + "]):has([name=item][value='" + item + "'])";
        switch (what) {
            case "HELD", "HOLDS", "TIGHT", "TICKED", "CLOSE" ->
                page.locator(".baybar button.act").click();
            case "PLACED" -> page.locator(form + " button[value=BAGGED]").click();
            default -> {
                page.locator(form + " input.form-control").first().fill(what.equals("CAPTURED") ? "7" : "90 N·m");
                if (what.equals("SPEC")) {
                    page.locator(form + " input[name=sure]").check();
                    page.locator(form + " select[name=source]").selectOption("PART_SHEET");
                }
                page.locator(form + " button.btn").first().click();
            }
        }
        waits(page, waiting);
        return switch (what) {
            case "HOLDS" -> what + " " + at + " " + holds;
            case "CLOSE" -> what + " " + at + " " + said;
            default -> what + " " + at + " " + (item == null ? "" : item);
        };
    }

    /** What one press says, row by row. */
    private static Stream<String> rows(String what, String at, String item) {
        return switch (what) {
            case "SPEC" -> Stream.of();
            case "HOLDS" -> IntStream.range(0, Integer.parseInt(item)).mapToObj(i -> "HELD " + at + " " + i);
            case "CLOSE" ->
                Stream.of(item.split(",")).map(row -> row.split(" ", 2)).map(row -> row[0] + " " + at + " " + row[1]);
            default -> Stream.of(what + " " + at + " " + item);
        };
    }

    private static Stream<String> rows(String one) {
        String[] parts = one.split(" ", 3);
        return rows(parts[0], parts[1], parts[2]);
    }

    @Test
    void a_corner_without_a_network_is_stored_once_and_in_order() {
        try (Screen screen = Screen.tabletThatKeeps().signIn("orla")) {
            Page page = screen.page;
            String job = begun(screen);
            screen.alone(true);
            List<String> done = new ArrayList<>();
            int waiting = 0;
            while (!step(page).equals("wheel-on@LF")
                    || !done.get(done.size() - 1).startsWith("PLACED")) {
                String one = go(page, ++waiting);
                done.add(one);
                if (one.matches("(TICKED|CLOSE) .*")) {
                    page.waitForURL(Pattern.compile("^(?!.*/" + one.split(" ")[1] + "$).*$"));
                }
                if (waiting == 12) {
                    page.reload();
                    ready(page);
                    waits(page, waiting);
                }
                assertTrue(waiting < 200, () -> "no end: " + done);
            }
            assertTrue(done.stream().anyMatch(d -> d.contains("TIGHTENED")), done.toString());
            screen.alone(false);
            assertThat(page.locator("#waits")).isHidden();
            assertEquals(done.stream().flatMap(CardAloneTest::rows).toList(), stored(job));
            page.navigate(page.url().replaceAll("/fit/.*", "/fit"));
            assertThat(page.locator("li[data-key='strut-in@LF']")).hasClass("clear");
        }
    }

    /** A hold was true for whom nobody could ask, but somebody had opened the step before it meanwhile: told, and not ticked. */
    @Test
    void what_is_refused_later_is_told() {
        try (Screen screen = Screen.tabletThatKeeps().signIn("orla")) {
            Page page = screen.page;
            String job = begun(screen);
            milo.post("/jobs/" + job + "/fit/chock@vehicle", "what", "TICKED", "client", "a");
            page.navigate(page.url().replaceAll("/fit/.*", "/fit/chock@vehicle"));
            ready(page);
            assertThat(page.locator("html")).hasAttribute("data-kept", "true");
            page.locator(".baybar a.act").click();
            ready(page);
            assertThat(page.locator("html")).hasAttribute("data-kept", "true");
            String at = "raise-lift@1";
            assertFalse(step(page).startsWith("chock"));
            screen.alone(true);
            List<String> done = new ArrayList<>();
            while (done.stream().noneMatch(d -> d.matches("(TICKED|CLOSE) " + at + " .*"))) {
                done.add(go(page, done.size() + 1));
            }
            milo.post("/jobs/" + job + "/fit/chock@vehicle", "what", "OPENED", "client", "b");
            screen.alone(false);
            assertThat(page.locator("#waits")).isHidden();
            assertThat(page.locator("#notice"))
                    .containsText(Said.part("script.card.refused").strip());
            assertTrue(
                    stored(job).stream().noneMatch(r -> r.startsWith("TICKED " + at)),
                    stored(job).toString());
        }
    }

    /** What is sent of a card that nobody began leads to its beginning, and is not kept as somebody else's. */
    @Test
    void a_card_that_was_not_begun_is_begun_first() {
        try (Screen screen = Screen.tabletThatKeeps().signIn("orla")) {
            Page page = screen.page;
            String job = UUID.randomUUID().toString();
            milo.get("/arrive");
            milo.post(
                    "/arrive",
                    "job",
                    job,
                    "plate",
                    "CB " + System.nanoTime() % 10_000_000,
                    "name",
                    "not begun",
                    "archFront",
                    "STRUT",
                    "promiseFRONT",
                    "1");
            screen.open("/jobs/" + job + "/fit/chock@vehicle");
            ready(page);
            page.locator("details:has(#reason) summary").click();
            page.locator("#reason").fill("later");
            page.locator("form:has(#reason) .btn").click();
            assertThat(page.locator(".begin .btn")).isVisible();
            assertThat(page.locator("#waits")).isHidden();
        }
    }

    @Test
    void a_photo_waits_too() throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(3000, 600, BufferedImage.TYPE_INT_RGB), "png", png);
        try (Screen screen = Screen.tabletThatKeeps().signIn("orla")) {
            Page page = screen.page;
            String job = begun(screen);
            screen.alone(true);
            page.navigate(page.url().replaceAll("/fit/.*", "/fit/strut-access@LF"));
            ready(page);
            page.setInputFiles("#photo-photo", new FilePayload("mount.png", "image/png", png.toByteArray()));
            page.locator("form.photo .btn").click();
            waits(page, 1);
            page.reload();
            waits(page, 1);
            screen.alone(false);
            assertThat(page.locator("#waits")).isHidden();
            assertThat(page.locator("form.photo img")).isVisible();
            assertEquals(2560, ((Number) page.locator("form.photo img").evaluate("i => i.naturalWidth")).intValue());
            assertEquals(List.of("CAPTURED strut-access@LF photo"), stored(job));
        }
    }
}
