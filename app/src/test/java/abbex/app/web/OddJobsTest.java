package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Leaves;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.core.settling.Watch;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Jobs as others do them: one side only, other wheels in between, back after two weeks. */
@ExtendWith(Shop.class)
class OddJobsTest {
    private final Visitor orla = Visitor.signedIn("orla");
    private final String job = UUID.randomUUID().toString();

    private void receive() {
        orla.post(
                "/arrive",
                "job",
                job,
                "plate",
                "OJ " + job.substring(0, 8),
                "name",
                "test hatch",
                "promiseFRONT",
                "1",
                "WHEELBASE",
                "2640 mm");
    }

    private void read(String method, String corner, String height) {
        int status = orla.htmx(
                        "/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/readings",
                        "corner",
                        corner,
                        "method",
                        method,
                        "raw",
                        height,
                        "client",
                        UUID.randomUUID().toString())
                .statusCode();
        assertEquals(200, status);
    }

    private void set(String use, String name, String tyre, String wheel) {
        orla.post("/jobs/" + job + "/fitment/sets", "name", name, "use", use, "TYRE_FRONT", tyre, "WHEEL_FRONT", wheel);
    }

    private Locator state(Page page, String item) {
        if (!page.locator("#" + item).isVisible()) {
            page.locator("#state > summary").click();
        }
        return page.locator("#" + item);
    }

    /** The left front corner alone, by a tape: an axle's drop with what one side costs, and nothing made up for the other. */
    @Test
    void one_side_only() {
        receive();
        try (Screen screen = Screen.desk().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/sheets/" + Jobs.sheet(job));
            page.locator("#in-LF").fill("14 3/8");
            page.keyboard().press("Enter");
            assertThat(page.locator("#arch-LF.taken")).isVisible();
            page.getByText(Said.part("measure.set-down")).click();
            assertThat(page.locator("#in-LF")).isFocused();
            page.locator("#in-LF").fill("13 3/8");
            page.keyboard().press("Enter");
            assertThat(page.locator("#arch-LF.taken")).isVisible();
            assertThat(page.locator("#sum")).containsText("front ↓ 1");
            assertThat(page.locator("#says")).containsText(Said.by("finding.ONE_SIDE_ONLY.title", "place", "Front"));
            screen.open("/jobs/" + job + "/sheet");
            assertThat(page.locator(".paper .heads")).containsText("Front");
            // Nothing but the card, which nobody began, and which parts they are is promised.
            assertThat(page.locator(".paper .firstline.look")).containsText(Said.by("finding.NOT_BEGUN.title"));
            assertThat(page.locator(".paper .says .stop")).hasCount(0);
        }
    }

    /** Wheels of 1/2 in more radius come on between two sheets: asked for while not named, then each sheet by its own. */
    @Test
    void other_wheels_in_between() {
        receive();
        set("NOW", "seventeens", "225/45R17 91W", "7.5Jx17 ET45");
        set("PLANNED", "eighteens", "225/45R18 95W", "7.5Jx18 ET45");
        for (String corner : List.of("LF", "RF", "RR", "LR")) {
            read("HF", corner, "15 1/4");
            read("RIM", corner, "24 1/2");
        }
        orla.post("/jobs/" + job + "/set-down");
        for (String corner : List.of("LF", "RF", "RR", "LR")) {
            read("HF", corner, "14");
            read("RIM", corner, "23 3/4");
        }
        try (Screen screen = Screen.desk().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/sheets/" + Jobs.sheet(job));
            assertThat(page.locator("#says")).containsText(Said.part("finding.WHEELS_UNSAID.title"));
            assertThat(page.locator("#sum")).containsText("front ↓ 1 1⁄4");
            assertThat(state(page, "WHEEL_SET")).isVisible();
            assertEquals(
                    List.of("seventeens", "eighteens"),
                    page.locator("#WHEEL_SET-names option").all().stream()
                            .map(o -> o.getAttribute("value"))
                            .toList());
            state(page, "WHEEL_SET").fill("eighteens");
            page.locator("#WHEEL_SET").press("Enter");
            page.locator(".stages a").first().click();
            state(page, "WHEEL_SET").fill("seventeens");
            page.locator("#WHEEL_SET").press("Enter");
            screen.open("/jobs/" + job + "/sheets/" + Jobs.sheet(job));
            assertThat(page.locator("#says")).not().containsText(Said.part("finding.WHEELS_UNSAID.title"));
            assertThat(page.locator("#sum")).containsText("front ↓ 1 1⁄4");
            // Both sets are known: what their tires moved is taken off, and nobody has to measure in the same state.
            assertThat(page.locator("#says .look, #says .stop")).hasCount(0);
            assertThat(page.locator("#says")).containsText(Said.by("finding.WHEELS_TAKEN_OFF.title", "place", "Front"));
        }
    }

    /** Two weeks later: what stood the same is confirmed by one tap, what settled is named, and the stay ends. */
    @Test
    void back_after_two_weeks() {
        receive();
        orla.post("/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/state", "LOAD", "empty", "FUEL", "half");
        for (String corner : List.of("LF", "RF")) {
            read("HF", corner, "14 3/8");
        }
        orla.post("/jobs/" + job + "/set-down");
        for (String corner : List.of("LF", "RF")) {
            read("HF", corner, "13 3/8");
        }
        Leaves.handOver(orla, job);
        orla.post("/jobs/" + job + "/set-down", "stage", "SETTLED");
        try (Screen screen = Screen.desk().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/sheets/" + Jobs.sheet(job));
            for (String corner : List.of("LF", "RF")) {
                page.locator("#in-" + corner).fill("13 1/8");
                page.keyboard().press("Enter");
                assertThat(page.locator("#arch-" + corner + ".taken")).isVisible();
            }
            assertThat(page.locator("#says")).containsText(Said.by("finding.SETTLED_BY.title", "place", "Front"));
            assertThat(state(page, "LOAD")).hasValue("");
            page.locator("[data-same='']").click();
            assertThat(page.locator("#LOAD")).hasValue("empty");
            page.locator("#ODOMETER").fill("31,420 km");
            page.locator("#ODOMETER").press("Enter");
            assertThat(page.locator("#state > summary")).containsText("31,420 km");
            assertThat(state(page, "FUEL")).hasValue("half");
            screen.open("/jobs/" + job + "/sheet");
            assertThat(page.locator(".paper")).containsText("31,420 km");
            List<String> seen = new ArrayList<>();
            for (Watch item : Watch.values()) {
                seen.addAll(List.of("watch-" + item.name().replace('_', '-'), "GOOD"));
            }
            orla.post("/jobs/" + job + "/return", seen.toArray(String[]::new));
            page.reload();
            Leaves.handOver(orla, job);
            page.reload();
            assertThat(page.locator(".versions")).containsText(Said.by("sheet.version", "number", "2"));
            screen.open("/");
            assertThat(page.locator(".gone")).containsText("OJ " + job.substring(0, 8));
        }
    }

    /** A gap or a mark on a wheel that the vehicle has not is taken for no other wheel's. */
    @Test
    void a_wheel_that_the_vehicle_has_not_is_asked_about() {
        Visitor orla = Visitor.signedIn("orla");
        String job = Jobs.id("LE 3-275");
        HttpResponse<String> gap = orla.post(
                "/jobs/" + job + "/prove/probes",
                "corner",
                "LM",
                "clock",
                "12",
                "face",
                "TREAD",
                "place",
                "INNER_ARCH",
                "gap",
                "3/4");
        assertEquals(422, gap.statusCode());
        assertTrue(gap.body().contains(Said.part("problem.corner")), gap.body());
        HttpResponse<String> mark = orla.post(
                "/jobs/" + job + "/prove/road/marks",
                "corner",
                "FRONT",
                "clock",
                "12",
                "face",
                "TREAD",
                "place",
                "INNER_ARCH",
                "on",
                "CLAY");
        assertEquals(422, mark.statusCode());
        assertTrue(mark.body().contains(Said.part("problem.corner")), mark.body());
    }
}
