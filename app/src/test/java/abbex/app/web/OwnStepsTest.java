package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Steps of the shop's own: on new cards where they belong, offered to old ones, and never against an arrow that ships. */
@ExtendWith(Shop.class)
class OwnStepsTest {
    private static final String STEPS = "/rules/steps";
    private final Visitor tamsin = Visitor.signedIn("tamsin");

    @AfterEach
    void none() {
        for (String id : List.of("own-second", "own-wax-the-seam", "own-first", "own-shield-off")) {
            tamsin.post(STEPS + "/take-back", "step", id);
        }
    }

    private String received() {
        String job = UUID.randomUUID().toString();
        tamsin.get("/arrive");
        String plate = "OS " + System.nanoTime() % 10_000_000;
        assertEquals(
                302,
                tamsin.post(
                                "/arrive",
                                "job",
                                job,
                                "plate",
                                plate,
                                "name",
                                "own " + job,
                                "archFront",
                                "STRUT",
                                "promiseFRONT",
                                "1")
                        .statusCode());
        return job;
    }

    private String add(String title, String after, String before, String... more) {
        String[] fields = new String[14 + more.length];
        System.arraycopy(
                new String[] {
                    "title",
                    title,
                    "why",
                    "So it is here.",
                    "span",
                    "CORNER",
                    "footing",
                    "HANGING",
                    "minutes",
                    "3",
                    "after",
                    after,
                    "before",
                    before
                },
                0,
                fields,
                0,
                14);
        System.arraycopy(more, 0, fields, 14, more.length);
        return tamsin.post(STEPS, fields).body();
    }

    private static int at(String card, String step) {
        int at = card.indexOf("data-key=\"" + step + "\"");
        assertTrue(at > 0, step);
        return at;
    }

    /** The lead adds one by hand; a new card has it in its place, one that was begun before is offered it. */
    @Test
    void a_step_is_added_and_offered_to_cards_that_were_begun() {
        String old = received();
        tamsin.post("/jobs/" + old + "/fit", "lift", "yes");
        try (Screen screen = Screen.desk().signIn("tamsin")) {
            Page page = screen.page;
            screen.open(STEPS);
            page.locator("#title").fill("Wax the seam");
            page.locator("#why").fill("Bare metal rusts");
            page.locator("#minutes").fill("4");
            page.locator("#after").selectOption("strut-close");
            page.locator("#before").selectOption("wheel-on");
            page.locator("#holds").fill("Seam dry\nNo wax on the brake");
            page.locator("form[action='/rules/steps'] .btn-primary").click();
            assertThat(page.locator(".ownsteps a")).hasText("Wax the seam");
            assertEquals(List.of(), screen.complaints());
            screen.open("/jobs/" + old + "/fit");
            assertThat(page.locator("li[data-key='own-wax-the-seam@LF']")).hasCount(0);
            page.locator(".newer button").click();
            assertThat(page.locator("li[data-key='own-wax-the-seam@LF']")).hasCount(1);
            assertThat(page.locator(".newer")).hasCount(0);
        }
        String card = tamsin.get("/jobs/" + received() + "/fit").body();
        for (String corner : List.of("LF", "RF")) {
            assertTrue(at(card, "strut-close@" + corner) < at(card, "own-wax-the-seam@" + corner));
            assertTrue(at(card, "own-wax-the-seam@" + corner) < at(card, "wheel-on@" + corner));
        }
    }

    @Test
    void what_would_break_an_arrow_is_named_and_not_taken() {
        String answer = add("Shield off", "wheel-on", "wheel-off");
        assertTrue(answer.contains("own-shield-off@LF") && answer.contains("wheel-on@LF"), "the ring by its steps");
        assertTrue(answer.contains("Shield off"), "what was entered is there");
        String without =
                tamsin.post(STEPS, "title", "Shield off", "why", "Because.").body();
        assertTrue(without.contains(Said.by("problem.step.file").substring(0, 5)), "a number is missing");
        assertFalse(tamsin.get(STEPS).body().contains("class=\"ownsteps\""));
    }

    /** Two leads change one step; who saves later is told what stands. One that another needs is not taken away. */
    @Test
    void changes_are_told_and_a_step_that_is_needed_stays() {
        add("First", "wheel-off", "wheel-on");
        add("Second", "own-first", "wheel-on");
        String page = tamsin.get(STEPS + "?step=own-first").body();
        String edition = page.replaceAll("(?s).*name=\"edition\" value=\"(\\d+)\".*", "$1");
        add("First of all", "wheel-off", "wheel-on", "step", "own-first", "edition", edition);
        String late = add("First again", "wheel-off", "wheel-on", "step", "own-first", "edition", edition);
        assertTrue(late.contains("First of all") && late.contains("First again"));
        String needed = tamsin.post(STEPS + "/take-back", "step", "own-first").body();
        assertTrue(needed.contains(Said.part("problem.step.needed").strip()));
        assertTrue(tamsin.get(STEPS).body().contains("First of all"));
    }

    @Test
    void a_file_comes_back_as_it_was_written_and_others_are_refused() {
        add("First", "wheel-off", "wheel-on", "locks", "Ring tight", "bolt", "Shield bolt", "thread", "M8");
        String file = tamsin.get(STEPS + "/file").body();
        tamsin.post(STEPS + "/take-back", "step", "own-first");
        try (Screen screen = Screen.desk().signIn("tamsin")) {
            Page page = screen.page;
            for (String bad : List.of("nonsense", "[]", file.replace("\"minutes\":3", "\"minutes\":\"x\""))) {
                screen.open(STEPS);
                page.setInputFiles("#file", payload(bad));
                page.locator("form[action='/rules/steps/file'] button").click();
                assertThat(page.locator("#file-bad"))
                        .containsText(Said.part("problem.step.fault").strip().substring(0, 5));
            }
            screen.open(STEPS);
            page.setInputFiles("#file", payload(file));
            page.locator("form[action='/rules/steps/file'] button").click();
            assertThat(page.locator(".ownsteps a")).hasText("First");
        }
        assertEquals(file, tamsin.get(STEPS + "/file").body());
        String card = tamsin.get("/jobs/" + received() + "/fit").body();
        assertTrue(at(card, "wheel-off@LF") < at(card, "own-first@LF"));
    }

    private static FilePayload payload(String text) {
        return new FilePayload("steps.json", "application/json", text.getBytes(StandardCharsets.UTF_8));
    }
}
