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
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Cards from the plan to the last torque, by thumbs and by keys; what is refused; a figure that opens another job. */
@ExtendWith(Shop.class)
class FitTest {
    private final Visitor orla = Visitor.signedIn("orla");

    private String received(String name, String... fields) {
        String job = UUID.randomUUID().toString();
        orla.get("/arrive");
        String[] all = new String[6 + fields.length];
        System.arraycopy(
                new String[] {"job", job, "plate", "FT " + System.nanoTime() % 10_000_000, "name", name}, 0, all, 0, 6);
        System.arraycopy(fields, 0, all, 6, fields.length);
        assertEquals(302, orla.post("/arrive", all).statusCode());
        return job;
    }

    /** How a hand does things: a tap, or keys alone. */
    private interface Hand {
        void press(Locator what);

        void type(Locator where, String text);
    }

    private static final Hand THUMB = new Hand() {
        @Override
        public void press(Locator what) {
            what.tap();
        }

        @Override
        public void type(Locator where, String text) {
            where.tap();
            where.fill(text);
        }
    };

    private static final Hand KEYS = new Hand() {
        @Override
        public void press(Locator what) {
            what.focus();
            what.press("Enter");
        }

        @Override
        public void type(Locator where, String text) {
            where.focus();
            where.page().keyboard().insertText(text);
        }
    };

    private static final int MOST = 400;
    private static final double SOON = 4000;

    /** Presses and waits for the page that comes of it: it has no mark of the one before. */
    private static void press(Page page, Hand hand, Locator what) {
        page.evaluate("window.before = true");
        hand.press(what);
        page.waitForCondition(() -> {
            try {
                return Boolean.TRUE.equals(
                        page.evaluate(
                                "!window.before && document.readyState !== 'loading' && !!document.querySelector('.baybar, .fithead')"));
            } catch (PlaywrightException between) {
                // Between two pages there is none to ask.
                return false;
            }
        });
    }

    /** Does what each step asks for until the card has no next one. */
    private static void work(Page page, String job, Hand hand) {
        page.setDefaultTimeout(SOON);
        for (int i = 0; i < MOST && !page.url().endsWith("/fit"); i++) {
            try {
                step(page, hand);
            } catch (TimeoutError changed) {
                // The page that was looked at is another one by now: look again.
                page.waitForLoadState();
            }
        }
        assertTrue(page.url().endsWith("/fit"), () -> "the card of " + job + " has no end");
        page.setDefaultTimeout(20_000);
    }

    private static void step(Page page, Hand hand) {
        Locator unknown =
                page.locator(".fastener[data-state=UNKNOWN] form.spec").first();
        Locator bench = page.locator("form.fate:not([hidden]) button[value=HANDED_OVER]")
                .first();
        Locator capture = page.locator("form.capture input.form-control").all().stream()
                .filter(c -> c.inputValue().isEmpty())
                .findFirst()
                .orElse(null);
        Locator loose = page.locator(".fastener[data-state=OPEN] form.reading").first();
        Locator act = page.locator(".baybar .act").first();
        if (page.locator(".baybar button.act").count() > 0
                || page.locator(".baybar a.act").count() > 0) {
            press(page, hand, act);
        } else if (bench.count() > 0) {
            press(page, hand, bench);
        } else if (capture != null) {
            fill(page, hand, capture);
        } else if (unknown.count() > 0) {
            hand.type(unknown.locator("input.form-control").first(), "60 N·m");
            press(page, hand, unknown.locator("button.btn").first());
            sure(page, hand);
        } else {
            assertEquals(
                    1, loose.count(), () -> page.url() + page.locator("main").innerText());
            hand.type(loose.locator("input.form-control"), "60 N·m");
            press(page, hand, loose.locator("button.btn"));
        }
    }

    /** What is tapped on a drawing is tapped; all else is entered. */
    private static void fill(Page page, Hand hand, Locator capture) {
        String item =
                capture.locator("xpath=ancestor::form//input[@name='item']").inputValue();
        Locator taps = page.locator(".taps:has([name=item][value='" + item + "']) button");
        if (taps.count() > 0) {
            press(page, hand, taps.nth(1));
        } else {
            hand.type(capture, "7");
            press(page, hand, capture.locator("xpath=ancestor::form//button"));
        }
    }

    /** 60 N·m is more than an M6 bears: asked once, it is said so. */
    private static void sure(Page page, Hand hand) {
        Locator sure = page.locator("form.spec .sure:not([hidden]) input").first();
        if (sure.count() > 0) {
            sure.press("Space");
            hand.press(page.locator("form.spec:has(.sure:not([hidden])) button.btn")
                    .first());
        }
    }

    private static void begin(Screen screen, String job, Hand hand, String... facts) {
        Page page = screen.signIn("orla").page;
        screen.open("/jobs/" + job + "/fit");
        for (String fact : facts) {
            page.locator("input[name=" + fact + "]").press("Space");
        }
        hand.press(page.locator(".begin .btn"));
        assertThat(page.locator(".bayview h1")).isVisible();
    }

    private static void finished(Screen screen, String job) {
        assertEquals(
                List.of(),
                screen.page
                        .locator(".cardblock li:not(.clear) a b, .corner > section:first-child > .fates b")
                        .allInnerTexts());
        assertThat(screen.page.locator(".whyline")).hasText(Said.by("fit.finished"));
        assertEquals(List.of(), screen.complaints());
        screen.open("/jobs/" + job + "/sheet");
    }

    @Test
    void a_strut_car_alone_on_jacks_by_keys() {
        String job = received("strut hatch", "archFront", "STRUT", "promiseFRONT", "1");
        try (Screen screen = Screen.desk()) {
            begin(screen, job, KEYS);
            work(screen.page, job, KEYS);
            finished(screen, job);
        }
    }

    @Test
    void a_live_axle_truck_by_thumbs() {
        String job = received("leaf truck", "kind", "TRUCK", "archRear", "SOLID_AXLE_LEAF", "promiseREAR", "4");
        try (Screen screen = Screen.tablet()) {
            begin(screen, job, THUMB, "lift");
            work(screen.page, job, THUMB);
            finished(screen, job);
        }
    }

    @Test
    void a_motorcycle_by_thumbs() {
        String job = received("long bike", "kind", "MOTORCYCLE", "promiseREAR", "1");
        try (Screen screen = Screen.tablet()) {
            begin(screen, job, THUMB);
            work(screen.page, job, THUMB);
            finished(screen, job);
        }
    }

    private String write(String job, String step, String... fields) {
        return orla.post("/jobs/" + job + "/fit/" + step, fields).body();
    }

    @Test
    void nothing_is_ticked_before_its_hold_and_torques_have_units() {
        String job = received("strut coupe", "archFront", "STRUT", "promiseFRONT", "1");
        orla.post("/jobs/" + job + "/fit", "lift", "yes");
        assertTrue(write(job, "raise-lift@1", "what", "TICKED")
                .contains(Said.part("problem.fit.blocked").strip()));
        String nuts = "wheel-nut@front";
        assertTrue(write(job, "wheel-nuts@front", "what", "SPEC", "item", nuts, "spec-" + nuts, "90")
                .contains(Said.by("problem.torque.unit", "read", "90")));
        String bears = write(job, "wheel-nuts@front", "what", "SPEC", "item", nuts, "spec-" + nuts, "900 lbf·ft");
        assertTrue(bears.contains(Said.part("problem.torque.bears").strip()), "asked about");
        assertTrue(bears.contains("900 lbf·ft"), "and still there");
        assertTrue(write(job, "strut-mark@LF", "what", "CAPTURED", "item", "mount", "capture-mount", "13")
                .contains(Said.by("problem.fit.clock", "read", "13")));
        assertTrue(
                write(job, "chock@vehicle", "what", "OTHERWISE", "reason", "").contains(Said.by("problem.answer.why")));
        assertEquals(
                404,
                orla.post("/jobs/" + job + "/fit/no-such@LF", "what", "TICKED").statusCode());
    }

    private void tight(String job, String torque) {
        String nuts = "wheel-nut@front";
        write(job, "wheel-nuts@front", "what", "TIGHTENED", "item", nuts, "reading-" + nuts, torque);
        write(job, "wheel-nuts@front", "what", "MARKED", "item", nuts);
    }

    private void spec(String job, String torque, String source) {
        String nuts = "wheel-nut@front";
        write(job, "wheel-nuts@front", "what", "SPEC", "item", nuts, "spec-" + nuts, torque, "source", source);
    }

    /** Two jobs of one kind: a figure from the manual opens what both had tightened to a forum's, and the floor says so. */
    @Test
    void a_better_figure_opens_every_job_of_the_kind() {
        String name = "twin " + UUID.randomUUID();
        String one = received(name, "archFront", "STRUT", "promiseFRONT", "1");
        String two = received(name, "archFront", "STRUT", "promiseFRONT", "1");
        orla.post("/jobs/" + one + "/fit", "lift", "yes");
        orla.post("/jobs/" + two + "/fit", "lift", "yes");
        spec(one, "110 N·m", "FORUM");
        tight(one, "110 N·m");
        tight(two, "81 lbf·ft");
        String again = Said.part("fit.log").strip();
        assertTrue(orla.get("/jobs/" + two + "/fit").body().contains(again));
        assertTrue(orla.get("/jobs/" + two + "/fit").body().contains(Said.by("tight.DONE")));
        try (Screen screen = Screen.desk().signIn("orla")) {
            screen.open("/jobs/" + two + "/fit");
            spec(one, "140 N·m", "SERVICE_MANUAL");
            screen.page.reload();
            assertThat(screen.page.locator(".torquelog")).containsText(Said.by("tight.REOPENED"));
            assertThat(screen.page.locator(".strip [aria-current] .sign")).hasCount(1);
            assertEquals(List.of(), screen.complaints());
        }
        spec(two, "90 N·m", "FORUM");
        tight(two, "140 N·m");
        String log = orla.get("/jobs/" + two + "/fit").body();
        assertFalse(log.contains(Said.by("tight.REOPENED")), "a worse source changes nothing");
        assertTrue(log.contains("140 N·m"), "the better one stays");
    }

    /** The same sent twice is one row; two people tick one step and it is ticked. */
    @Test
    void two_people_on_one_card() {
        String job = received("strut van", "archFront", "STRUT", "promiseFRONT", "1");
        Visitor milo = Visitor.signedIn("milo");
        orla.post("/jobs/" + job + "/fit", "lift", "yes");
        milo.post("/jobs/" + job + "/fit");
        String step = "/jobs/" + job + "/fit/chock@vehicle";
        assertEquals(302, orla.post(step, "what", "TICKED", "client", "a").statusCode());
        assertEquals(302, orla.post(step, "what", "TICKED", "client", "a").statusCode());
        assertEquals(302, milo.post(step, "what", "TICKED", "client", "b").statusCode());
        assertTrue(orla.get("/jobs/" + job + "/fit").body().contains("value=\"1\" class=\"clear\"")
                || orla.get("/jobs/" + job + "/fit").body().contains("class=\"clear\" value=\"1\""));
        milo.post(step, "what", "OPENED", "client", "c");
        assertFalse(orla.get("/jobs/" + job + "/fit").body().contains("class=\"clear\""));
    }

    /** Hub to lip at the front, before and an inch lower after. */
    private void measured(String job) {
        String sheets = "/jobs/" + job + "/sheets/";
        for (String text : List.of("14 3/8", "13 3/8")) {
            for (String corner : List.of("LF", "RF")) {
                orla.htmx(
                        sheets + Jobs.sheet(job) + "/readings",
                        "method",
                        "HF",
                        "corner",
                        corner,
                        "raw",
                        text,
                        "client",
                        UUID.randomUUID().toString());
            }
            if (text.startsWith("14")) {
                orla.post("/jobs/" + job + "/set-down");
            }
        }
    }

    /** Gone back to and corrected from the same page, the later figure counts; two steps put off at a corner are two to answer. */
    @Test
    void what_is_corrected_from_an_old_page_is_not_lost() {
        String job = received("strut back", "archFront", "STRUT", "promiseFRONT", "1");
        orla.post("/jobs/" + job + "/fit", "lift", "yes");
        String step = "strut-mark@LF";
        for (String hour : List.of("7", "8", "8")) {
            write(job, step, "what", "CAPTURED", "item", "mount", "capture-mount", hour, "client", "one page");
        }
        assertTrue(orla.get("/jobs/" + job + "/fit/" + step).body().contains("value=\"8\""));
        write(job, step, "what", "OTHERWISE", "reason", "no pen");
        write(job, "strut-access@LF", "what", "OTHERWISE", "reason", "no trim");
        measured(job);
        String sheet = orla.get("/jobs/" + job + "/hand-over").body();
        for (String title : List.of("Mark mount and seat", "Open the way to the top nuts")) {
            assertTrue(
                    sheet.contains(Said.by("finding.DONE_OTHERWISE.title", "step", title)),
                    title + " is to be answered");
        }
    }

    /** Handed over, then tightened again: the next sheet is another version, and says what changed. */
    @Test
    void a_torque_is_among_what_a_sheet_is_made_of() {
        String job = received("strut handed", "archFront", "STRUT", "promiseFRONT", "1");
        orla.post("/jobs/" + job + "/fit", "lift", "yes");
        spec(job, "110 N·m", "PART_SHEET");
        tight(job, "110 N·m");
        measured(job);
        orla.post("/jobs/" + job + "/hand-over");
        assertTrue(orla.get("/jobs/" + job + "/sheet").body().contains(Said.by("fit.log")));
        tight(job, "114 N·m");
        orla.post("/jobs/" + job + "/hand-over");
        assertTrue(orla.get("/jobs/" + job + "/sheet").body().contains(Said.by("sheet.version", "number", "2")));
    }

    /** A photo by the file chooser comes back smaller and plain; what is none is refused with the way out. */
    @Test
    void a_photo_through_the_file_chooser() throws IOException {
        String job = received("strut photo", "archFront", "STRUT", "promiseFRONT", "1");
        orla.post("/jobs/" + job + "/fit/strut-access@LF", "what", "TICKED");
        assertFalse(
                orla.get("/jobs/" + job + "/fit").body().contains("class=\"clear\""), "lift or jacks is asked first");
        orla.post("/jobs/" + job + "/fit", "lift", "yes");
        BufferedImage large = new BufferedImage(4000, 1000, BufferedImage.TYPE_INT_RGB);
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(large, "png", png);
        try (Screen screen = Screen.tablet().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/fit/strut-access@LF");
            page.setInputFiles(
                    "#photo-photo",
                    new FilePayload("mount.jpg", "image/jpeg", "no picture".getBytes(StandardCharsets.UTF_8)));
            page.locator("form.photo .btn").tap();
            assertThat(page.locator("#capture-photo-bad")).containsText(Said.by("problem.fit.photo"));
            byte[] heic = "\0\0\0\u0018ftypheic\0\0\0\0mif1heic".getBytes(StandardCharsets.ISO_8859_1);
            page.setInputFiles("#photo-photo", new FilePayload("mount.jpg", "image/jpeg", heic));
            page.locator("form.photo .btn").tap();
            assertThat(page.locator("#capture-photo-bad")).containsText(Said.by("problem.fit.heic"));
            page.setInputFiles("#photo-photo", new FilePayload("mount.jpg", "image/jpeg", new byte[20_000_001]));
            page.locator("form.photo .btn").tap();
            assertEquals(
                    Said.by("problem.fit.large"), page.locator("#photo-photo").evaluate("i => i.validationMessage"));
            page.setInputFiles("#photo-photo", new FilePayload("mount.png", "image/png", png.toByteArray()));
            page.locator("form.photo .btn").tap();
            assertThat(page.locator("form.photo img")).isVisible();
            assertEquals(2560, ((Number) page.locator("form.photo img").evaluate("i => i.naturalWidth")).intValue());
            assertEquals(640, ((Number) page.locator("form.photo img").evaluate("i => i.naturalHeight")).intValue());
        }
    }

    /** The plan brings dampers after the card began: the card says so and asks for them. */
    @Test
    void a_plan_that_changes_changes_its_card() {
        String job = received("strut wagon", "archFront", "STRUT", "promiseFRONT", "1");
        orla.post("/jobs/" + job + "/fit", "lift", "yes");
        assertFalse(orla.get("/jobs/" + job + "/fit").body().contains(Said.by("fit.changed")));
        orla.post(
                "/jobs/" + job + "/plan",
                "FRONT_BOX",
                "1",
                "FRONT_NEW_SECOND_RATE",
                "20 N/mm",
                "FRONT_NEW_SECOND_FREE",
                "60 mm",
                "FRONT_NEW_SECOND_SOLID",
                "20 mm",
                "FRONT_NEW_RATE",
                "40 N/mm",
                "FRONT_NEW_FREE",
                "240 mm");
        String page = orla.get("/jobs/" + job + "/fit").body();
        assertTrue(page.contains(Said.by("fit.changed")));
        assertTrue(page.contains(Said.by("part.helper")));
    }
}
