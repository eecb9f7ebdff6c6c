package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Leaves;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What a card refuses and asks; figures that open other jobs; rounds, offers, work of the same visit; photos. */
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
        Leaves.handOver(Visitor.signedIn("tamsin"), job);
        assertTrue(orla.get("/jobs/" + job + "/sheet").body().contains(Said.by("fit.log")));
        tight(job, "114 N·m");
        Leaves.handOver(Visitor.signedIn("tamsin"), job);
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
            // A file, since what goes along in a message is written out as text on its way.
            Path tooLarge = Path.of("target", "mount.jpg");
            Files.write(tooLarge, new byte[20_000_001]);
            page.setInputFiles("#photo-photo", tooLarge);
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

    /** The rear now, the front in a second round; what was done stays done, and nothing is finished before. */
    @Test
    void an_end_is_put_off_to_another_round() {
        String job = received("strut stage", "archFront", "STRUT", "promiseFRONT", "1", "promiseREAR", "1");
        orla.post("/jobs/" + job + "/fit", "lift", "yes", "now-rear", "yes");
        String card = orla.get("/jobs/" + job + "/fit").body();
        assertFalse(card.contains("strut-in@LF"), "the front is not on the card");
        assertTrue(card.contains("wheel-off@LR"));
        write(job, "chock@vehicle", "what", "TICKED");
        String round = "/jobs/" + job + "/fit/round";
        assertTrue(orla.post(round, "rounds", "1").body().contains(Said.by("problem.fit.round")));
        orla.post(round, "rounds", "1", "now-front", "yes");
        orla.post(round, "rounds", "1", "now-front", "yes");
        card = orla.get("/jobs/" + job + "/fit").body();
        assertTrue(card.contains("strut-in@LF~2") && !card.contains("~3"), "once, whoever sends it twice");
        assertTrue(card.contains("data-key=\"chock@vehicle\" class=\"clear\"")
                || card.contains("class=\"clear\" value=\"1\" data-key=\"chock@vehicle\""));
    }

    /** Found while open: the wheel does not go on before the customer has answered. */
    @Test
    void what_was_found_is_answered_before_it_is_closed_up() {
        String job = received("strut found", "archFront", "STRUT", "promiseFRONT", "1");
        orla.post("/jobs/" + job + "/fit", "lift", "yes");
        write(job, "look-open@LF", "what", "FOUND", "seen", "boot split", "price", "85");
        String on = "/jobs/" + job + "/fit/wheel-on@LF";
        String asked = Said.by("fit.offers");
        assertTrue(orla.get(on).body().contains(asked));
        assertFalse(orla.get("/jobs/" + job + "/fit/wheel-on@RF").body().contains(asked), "the other side has none");
        try (Screen screen = Screen.tablet().signIn("orla")) {
            screen.open("/jobs/" + job + "/fit");
            screen.page.locator(".offer-answer input[name=price]").fill("95");
            screen.page.locator(".offer-answer button[value=YES]").tap();
            assertThat(screen.page.locator(".bayview h1")).isVisible();
            screen.open("/jobs/" + job + "/fit");
            assertThat(screen.page.locator(".fates", new Page.LocatorOptions().setHasText("boot split")))
                    .containsText("95");
            assertEquals(List.of(), screen.complaints());
        }
        assertFalse(orla.get(on).body().contains(asked));
    }

    /** What one taught is on the next of the kind, at every corner; not on another kind. */
    @Test
    void a_tip_is_there_for_the_next_of_the_kind() {
        String name = "taught " + UUID.randomUUID();
        String one = received(name, "archFront", "STRUT", "promiseFRONT", "1");
        String two = received(name, "archFront", "STRUT", "promiseFRONT", "1");
        String other = received(name + " other", "archFront", "STRUT", "promiseFRONT", "1");
        orla.post("/jobs/" + one + "/fit", "lift", "yes");
        assertTrue(write(one, "strut-in@LF", "what", "TIP", "tip", "").contains(Said.by("problem.fit.empty")));
        write(one, "strut-in@LF", "what", "TIP", "tip", "short socket first", "client", "a");
        write(one, "strut-in@LF", "what", "TIP", "tip", "short socket first", "client", "a");
        String page = orla.get("/jobs/" + two + "/fit/strut-in@RF").body();
        assertEquals(2, page.split("short socket first").length, "once");
        assertFalse(orla.get("/jobs/" + other + "/fit/strut-in@RF").body().contains("short socket first"));
    }

    /** Brakes and toe in the same visit: an end without a kit has its wheels off and no strut out; one bolt is tightened once. */
    @Test
    void work_of_the_same_visit_shares_its_bolts() {
        String job = received("strut brakes", "archFront", "STRUT", "archRear", "TWIST_BEAM", "promiseREAR", "1");
        orla.post("/jobs/" + job + "/fit", "lift", "yes", "brakes@front", "yes", "steering", "yes", "alignment", "yes");
        String card = orla.get("/jobs/" + job + "/fit").body();
        assertTrue(card.contains("brake-on@LF") && card.contains("wheel-off@LF") && card.contains("tb-up@LR"));
        assertFalse(card.contains("strut-out@LF"), "no kit, no strut");
        assertFalse(orla.get("/jobs/" + job + "/fit/brake-off@LF").body().contains("caliper@LF"));
        assertTrue(orla.get("/jobs/" + job + "/fit/brake-on@LF").body().contains("caliper@LF"));
        assertFalse(orla.get("/jobs/" + job + "/fit/tie-end@LF").body().contains("toe-lock@LF"));
        assertTrue(orla.get("/jobs/" + job + "/fit/align@LF").body().contains("toe-lock@LF"));
    }

    /** tor-2 of the handbook's values on the page: a wrench with a crow-foot; one longer than its wrench is refused. */
    @Test
    void a_crow_foot_is_worked_out() {
        String job = received("strut crow", "archFront", "STRUT", "promiseFRONT", "1");
        orla.post("/jobs/" + job + "/fit", "lift", "yes");
        spec(job, "100 N·m", "SERVICE_MANUAL");
        String at = "/jobs/" + job + "/fit/wheel-nuts@front?item=wheel-nut@front&arm=20&reach=";
        // 100 N·m · 20 / (20 + 5) = 80 N·m = 59 lbf·ft (lever arithmetic; 1 lbf·ft = 1.355 818 N·m, NIST SP 811).
        assertTrue(orla.get(at + "5").body().contains(Said.by("fit.setting", "torque", "59 lbf·ft")));
        assertTrue(orla.get(at + "21").body().contains(Said.by("problem.fit.reach", "read", "21", "arm", "20")));
    }

    /** A perch was put off: whether its ring is locked is asked before the test drive. */
    @Test
    void a_lock_is_asked_for_before_it_rolls() {
        String job = received("strut perch", "archFront", "STRUT", "promiseFRONT", "1");
        orla.post("/jobs/" + job + "/plan", "FRONT_BOX", "1", "FRONT_PERCH", "1/2");
        orla.post("/jobs/" + job + "/fit", "lift", "yes");
        write(job, "perch-set@LF", "what", "OTHERWISE", "reason", "later");
        assertTrue(orla.get("/jobs/" + job + "/fit/settle@vehicle").body().contains("data-step=\"perch-set@LF\""));
        write(job, "perch-set@LF", "what", "HELD", "item", "0");
        String settle = orla.get("/jobs/" + job + "/fit/settle@vehicle").body();
        assertFalse(settle.contains(Said.part("fit.ask.lock").strip()));
    }
}
