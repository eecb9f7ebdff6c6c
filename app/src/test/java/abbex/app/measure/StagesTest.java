package abbex.app.measure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Sheets of one stay: as arrived, set down, and as often as it is measured after that. */
@ExtendWith(Shop.class)
class StagesTest {
    private final Visitor milo = Visitor.signedIn("milo");

    private String job() {
        String job = UUID.randomUUID().toString();
        milo.get("/arrive");
        milo.post(
                "/arrive",
                "job",
                job,
                "plate",
                "ST " + System.nanoTime() % 1_000_000,
                "name",
                "test hatch",
                "kind",
                "CAR",
                "shape",
                "HATCH");
        return job;
    }

    private static String where(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse("").replaceFirst("^http://[^/]+", "");
    }

    private String open(String job, String stage) {
        return where(milo.post("/jobs/" + job + "/set-down", "stage", stage));
    }

    private void read(String sheet, String method, String... readings) {
        String[] corners = {"LF", "RF", "RR", "LR"};
        for (int i = 0; i < 4; i++) {
            HttpResponse<String> answer = send(milo, sheet, corners[i], method, readings[i], UUID.randomUUID());
            assertEquals(302, answer.statusCode(), answer.body());
        }
    }

    /** The sheet's address, with what it is compared with behind a question mark where there is any. */
    private static HttpResponse<String> send(
            Visitor who, String sheet, String corner, String method, String raw, UUID client) {
        String[] parts = (sheet + "?").split("\\?", -1);
        String address = parts[0] + "/readings" + (parts[1].isEmpty() ? "" : "?" + parts[1]);
        return who.post(address, "corner", corner, "method", method, "raw", raw, "client", client.toString());
    }

    @Test
    void each_stage_is_compared_with_the_first() {
        String job = job();
        String arrived = where(milo.get("/jobs/" + job + "/measure"));
        read(arrived, "HF", "14", "14", "14 1/2", "14 1/2");
        String down = open(job, "FIRST_SET_DOWN");
        read(down, "HF", "13", "13", "13 1/2", "13 1/2");
        String driven = open(job, "AFTER_SHORT_DRIVE");
        assertNotEquals(down, driven);
        read(driven, "HF", "12 3/4", "12 3/4", "13 1/4", "13 1/4");
        String page = milo.get(driven).body();
        assertTrue(page.contains(Said.part("stage.AFTER_SHORT_DRIVE"))
                && page.contains(Said.part("stage.FIRST_SET_DOWN")));
        assertTrue(page.contains("↓\u00a01\u202f<span class=\"frac\">1⁄4</span>″"), "the newest against the first");
        String earlier = milo.get(down).body();
        assertTrue(
                Said.flat(earlier).contains("<summary title=\"" + Said.by("measure.how") + "\"><span>↓\u00a01″</span>"),
                earlier);
        String handedOver = milo.get("/jobs/" + job + "/sheet").body();
        assertTrue(handedOver.contains(Said.part("stage.AFTER_SHORT_DRIVE")));
        assertTrue(Said.flat(page).contains("<option value=\"AFTER_HARD_DRIVE\" selected"), "what usually comes next");
    }

    @Test
    void a_button_pressed_twice_opens_one_sheet() {
        String job = job();
        read(where(milo.get("/jobs/" + job + "/measure")), "HF", "14", "14", "14 1/2", "14 1/2");
        assertEquals(open(job, "FIRST_SET_DOWN"), open(job, "FIRST_SET_DOWN"));
        assertEquals(
                404,
                milo.post("/jobs/" + job + "/set-down", "stage", "AS_ARRIVED").statusCode());
        assertEquals(
                400,
                milo.post("/jobs/" + job + "/set-down", "stage", "YESTERDAY").statusCode());
        assertFalse(milo.get("/").body().contains("YESTERDAY"));
    }

    /** All sheets are one truth: a slip as it arrived is named from the two that came after. */
    @Test
    void a_slip_on_an_earlier_sheet_is_named_from_the_later_ones() {
        String job = job();
        String arrived = where(milo.get("/jobs/" + job + "/measure"));
        read(arrived, "GF", "26 1/2", "26 1/2", "27", "27");
        read(arrived, "HF", "14 1/4", "14 3/4", "14 5/8", "14 5/8");
        String down = open(job, "FIRST_SET_DOWN");
        read(down, "GF", "25 1/4", "25 1/4", "25 7/8", "25 7/8");
        read(down, "HF", "13", "13", "13 1/2", "13 1/2");
        String driven = open(job, "AFTER_SHORT_DRIVE");
        read(driven, "GF", "25", "25", "25 5/8", "25 5/8");
        read(driven, "HF", "12 3/4", "12 3/4", "13 1/4", "13 1/4");
        String page = milo.get(driven).body();
        assertTrue(
                page.contains(Said.by(
                        "finding.READING_SUSPECT_BEFORE.title",
                        "place",
                        "Right front, hub to lip",
                        "stage",
                        "as arrived")),
                page);
        assertTrue(
                milo.get(arrived + "?method=HF").body().contains(Said.part("suspect.others")),
                "at its arch, on its sheet");
    }

    @Test
    void any_two_sheets_are_compared_and_their_states_first() {
        String job = job();
        String arrived = where(milo.get("/jobs/" + job + "/measure"));
        read(arrived, "HF", "14", "14", "14 1/2", "14 1/2");
        String down = open(job, "FIRST_SET_DOWN");
        read(down, "HF", "13", "13", "13 1/2", "13 1/2");
        milo.post(down + "/state", "PRESSURE_LF", "33", "FUEL", "full");
        String driven = open(job, "AFTER_SHORT_DRIVE");
        read(driven, "HF", "12 3/4", "12 3/4", "13 1/4", "13 1/4");
        milo.post(driven + "/state", "PRESSURE_LF", "28", "FUEL", "empty");
        String against = "against=" + down.substring(down.lastIndexOf('/') + 1);
        String page = milo.get(driven + "?" + against).body();
        assertTrue(Said.flat(page).contains("<span>↓\u00a0<span class=\"frac\">1⁄4</span>″</span>"), "12 3/4 from 13");
        assertTrue(
                Said.flat(page).contains(Said.by("measure.against.choose", "now", "After a short drive") + "</label>")
                        && page.contains(Said.by("compared.differs", "items", "tyre pressure left front and fuel")),
                page);
        assertTrue(page.contains("/readings?" + against), "what is read next stays in this comparison");
        String back = where(send(milo, driven + "?" + against, "LF", "HF", "12 5/8", UUID.randomUUID()));
        assertEquals(driven + "?method=HF&" + against, back);
        assertEquals(404, milo.get(driven + "?against=" + UUID.randomUUID()).statusCode());
    }

    @Test
    void a_stage_can_be_said_otherwise_and_out_of_order_is_said() {
        String job = job();
        String arrived = where(milo.get("/jobs/" + job + "/measure"));
        read(arrived, "HF", "14", "14", "14 1/2", "14 1/2");
        String settled = open(job, "SETTLED");
        read(settled, "HF", "13", "13", "13 1/2", "13 1/2");
        String driven = open(job, "AFTER_SHORT_DRIVE");
        read(driven, "HF", "12 7/8", "12 7/8", "13 3/8", "13 3/8");
        assertTrue(milo.get(driven)
                .body()
                .contains(Said.by("finding.STAGES_OUT_OF_ORDER.title", "here", "After a short drive")));
        assertEquals(
                302, milo.post(settled + "/state", "STAGE", "FIRST_SET_DOWN").statusCode());
        String mended = milo.get(driven).body();
        assertFalse(mended.contains(Said.part("finding.STAGES_OUT_OF_ORDER.title")), mended);
        assertTrue(milo.get(settled).body().contains("<b>First set-down</b>"));
        HttpResponse<String> bad = milo.post(settled + "/state", "STAGE", "YESTERDAY", "ARCHES", "LF XX");
        assertEquals(422, bad.statusCode());
        assertTrue(bad.body().contains(Said.by("problem.choice.unknown", "read", "YESTERDAY")));
        assertTrue(bad.body().contains(Said.by("problem.arches", "read", "LF XX")));
        assertTrue(bad.body().contains("value=\"LF XX\""), "what was typed is kept");
    }

    @Test
    void a_lip_that_was_rolled_is_no_drop_on_page_and_sheet() {
        String job = job();
        String arrived = where(milo.get("/jobs/" + job + "/measure"));
        read(arrived, "HF", "14", "14", "14 1/2", "14 1/2");
        read(arrived, "GF", "26", "26", "26 1/2", "26 1/2");
        String rolled = open(job, "OTHER");
        milo.post(rolled + "/state", "ARCHES", "LF");
        read(rolled, "HF", "14 5/16", "14", "14 1/2", "14 1/2");
        read(rolled, "GF", "26 5/16", "26", "26 1/2", "26 1/2");
        String down = open(job, "FIRST_SET_DOWN");
        read(down, "HF", "13 5/16", "13", "13 1/2", "13 1/2");
        String page = milo.get(down + "?method=HF").body();
        assertTrue(page.contains(Said.by("finding.LIP_MOVED.title", "place", "Left front")), page);
        assertTrue(page.contains(Said.part("reason.height.adds")), "the figure says what it left out");
        assertTrue(milo.get("/jobs/" + job + "/sheet").body().contains(Said.part("finding.LIP_MOVED.title")));
    }

    @Test
    void a_stand_in_is_said_on_the_first_sheet_only() {
        String job = job();
        String arrived = where(milo.get("/jobs/" + job + "/measure"));
        read(arrived, "HF", "14", "14", "14 1/2", "14 1/2");
        milo.post(arrived + "/state", "STAND_IN", "SAME_KIND");
        String down = open(job, "FIRST_SET_DOWN");
        read(down, "HF", "13", "13", "13 1/2", "13 1/2");
        String page = milo.get(down).body();
        assertTrue(page.contains(Said.part("finding.STAND_IN.title")), page);
        assertTrue(page.contains(Said.by("standin.SAME_KIND")));
        assertFalse(page.contains("name=\"STAND_IN\""));
        milo.post(arrived + "/state", "STAND_IN", "NONE");
        assertFalse(milo.get(down).body().contains(Said.part("finding.STAND_IN.title")));
    }

    /** A sheet before its vehicle, and two sheets with nothing in common. */
    @Test
    void what_cannot_be_compared_is_said() {
        HttpResponse<String> nobody = milo.post("/jobs/" + UUID.randomUUID() + "/set-down", "stage", "FIRST_SET_DOWN");
        assertEquals(404, nobody.statusCode());
        String job = job();
        String arrived = where(milo.get("/jobs/" + job + "/measure"));
        read(arrived, "HF", "14", "14", "14 1/2", "14 1/2");
        String down = open(job, "FIRST_SET_DOWN");
        read(down, "GF", "25", "25", "25 1/2", "25 1/2");
        assertTrue(milo.get(down).body().contains(Said.part("finding.NOTHING_IN_COMMON.title")));
    }

    /** A device sends an old reading again after it was corrected: it is known, and the correction stands. */
    @Test
    void a_repeat_of_a_superseded_reading_changes_nothing() {
        String job = job();
        String arrived = where(milo.get("/jobs/" + job + "/measure"));
        UUID first = UUID.randomUUID();
        send(milo, arrived, "LF", "HF", "14", first);
        send(milo, arrived, "LF", "HF", "14 1/4", UUID.randomUUID());
        send(milo, arrived, "LF", "HF", "14", first);
        assertTrue(milo.get(arrived + "?method=HF").body().contains("value=\"14 1/4\""));
        // A colleague's reading is a repeat of what stands, not of what was replaced.
        send(Visitor.signedIn("jorun"), arrived, "LF", "HF", "14 1/4", UUID.randomUUID());
        String page = milo.get(arrived + "?method=HF").body();
        assertTrue(page.contains("JB 14") && !page.contains(Said.part("finding.TYRE_OR_MISREAD.title")), page);
    }
}
