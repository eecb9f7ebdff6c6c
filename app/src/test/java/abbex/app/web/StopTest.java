package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A wheel that touches stops the whole: said wherever the stay is shown, and handed over only by a lead who answers for it. */
@ExtendWith(Shop.class)
class StopTest {
    private final Visitor orla = Visitor.signedIn("orla");
    private final String job = UUID.randomUUID().toString();
    private final String plate = "ST " + System.nanoTime() % 1_000_000;

    /** By no drag and by no form of its place does it leave; within the building it may go anywhere. */
    @Test
    void a_stop_does_not_leave_by_being_moved() {
        touching();
        for (String place : new String[] {"OUT", "GONE"}) {
            HttpResponse<String> refused = orla.post("/jobs/" + job + "/move", "place", place);
            assertEquals(422, refused.statusCode());
            assertTrue(refused.body().contains(Said.part("problem.move.stop")), place);
        }
        assertEquals(
                302,
                orla.post("/jobs/" + job + "/move", "place", "BAY", "bay", "Bay 77")
                        .statusCode());
        assertTrue(orla.get("/").body().contains("Bay 77"));
        // What has left has no place to be moved to.
        assertEquals(404, orla.get("/jobs/" + Jobs.id("ZV 4-731") + "/move").statusCode());
        orla.post("/jobs/" + job + "/move", "place", "WAITING");
    }

    /** Heights that are all in order, and a liner that the tyre reaches in bump. */
    private void touching() {
        orla.post("/arrive", "job", job, "plate", plate, "name", "test hatch", "WHEELBASE", "2640 mm");
        heights("14 3/8", "14 3/8", "14 5/8", "14 5/8");
        orla.post(
                "/jobs/" + job + "/fitment/sets",
                "name",
                "as it stands",
                "use",
                "NOW",
                "TYRE_FRONT",
                "225/45R17 91W",
                "WHEEL_FRONT",
                "7.5Jx17 ET45");
        orla.post(
                "/jobs/" + job + "/prove/probes",
                "corner",
                "LF",
                "place",
                "LINER_FRONT",
                "clock",
                "12",
                "face",
                "TREAD",
                "gap",
                "10 mm");
        orla.post("/jobs/" + job + "/set-down");
        heights("13 3/8", "13 3/8", "13 5/8", "13 5/8");
    }

    private void heights(String... heights) {
        String[] corners = {"LF", "RF", "RR", "LR"};
        for (int i = 0; i < 4; i++) {
            orla.htmx(
                    "/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/readings",
                    "corner",
                    corners[i],
                    "method",
                    "HF",
                    "raw",
                    heights[i],
                    "client",
                    UUID.randomUUID().toString());
        }
    }

    private String page(String path) {
        return orla.get("/jobs/" + job + path).body();
    }

    @Test
    void a_stop_is_said_on_floor_tag_strip_and_sheet() {
        touching();
        String title = Said.by(
                "finding.TOUCHES.title",
                "place",
                Said.by(
                        "place.clearance",
                        "wheel",
                        "Left front",
                        "part",
                        Said.part("probe.LINER_FRONT"),
                        "clock",
                        "12"));
        for (String path : new String[] {"/arrive", "/measure", "/fitment", "/prove", "/ground", "/sheet"}) {
            String body = orla.get("/jobs/" + job + path).body();
            if (path.equals("/measure")) {
                body = page("/sheets/" + Jobs.sheet(job));
            }
            assertTrue(Pattern.compile("class=\"judged stop\"").matcher(body).find(), path);
            assertTrue(body.contains(title), path);
        }
        String floor = orla.get("/").body();
        int first = floor.indexOf("<aside class=\"margin\"");
        assertTrue(floor.indexOf(plate, first) > 0, "first of all");
        assertTrue(page("/sheet").contains("firstline said stop"));
        assertFalse(page("/sheet").contains("firstline said clear"));
    }

    @Test
    void a_stop_is_not_handed_over_by_accident_nor_by_a_technician() {
        touching();
        try (Screen screen = Screen.desk().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/sheet");
            page.getByText(Said.part("sheet.hand-over")).first().click();
            assertThat(page.locator("h1")).hasText(Said.by("handover.title"));
            assertThat(page.locator(".answer.stop")).hasCount(1);
            assertThat(page.locator(".answer.stop input[type=radio]")).hasCount(0);
            assertThat(page.locator(".answer.stop a")).hasAttribute("href", "/jobs/" + job + "/prove?corner=LF");
            assertThat(page.locator("#sign")).containsText(Said.part("handover.sign"));
            page.locator(".answers .btn-primary").click();
            assertThat(page.locator(".notsaved")).containsText(Said.by("problem.answer.lead"));
            // A form of yesterday's page, without an answer.
            assertEquals(302, orla.post("/jobs/" + job + "/hand-over").statusCode());
            assertEquals(404, orla.get("/jobs/" + job + "/sheet?version=1").statusCode());
        }
        try (Screen screen = Screen.desk().signIn("tamsin")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/hand-over");
            Locator stop = page.locator(".answer.stop");
            assertThat(stop.locator("input[value=TOLD]")).hasCount(0);
            stop.locator("input[value=ACCEPTED]").check();
            page.locator(".answers .btn-primary").click();
            assertThat(page.locator(".notsaved")).containsText(Said.by("problem.answer.why"));
            assertThat(stop.locator("input[value=ACCEPTED]")).isChecked();
            stop.locator("input[type=text], input:not([type])").fill("goes out on a trailer");
            page.keyboard().press("Enter");
            assertThat(page.locator(".paper .firstline")).containsText(Said.part("verdict.stop"));
            assertThat(page.locator(".paper")).containsText("goes out on a trailer");
            // Until it is on paper it can be taken back, and the vehicle stands where it stood.
            page.getByText(Said.by("handover.undo")).click();
            assertThat(page.locator(".versions")).hasCount(0);
            screen.open("/jobs/" + job + "/hand-over");
            assertThat(page.locator(".answer.stop input[value=ACCEPTED]")).isChecked();
            page.locator(".answers .btn-primary").click();
            assertThat(page.locator(".versions")).containsText(Said.by("sheet.version", "number", "2"));
            page.context().request().get(Shop.address() + "/jobs/" + job + "/sheet.pdf?version=2");
            page.reload();
            assertThat(page.getByText(Said.by("handover.undo"))).hasCount(0);
        }
        assertTrue(orla.get("/").body().contains(plate), "out, and still in sight");
    }
}
