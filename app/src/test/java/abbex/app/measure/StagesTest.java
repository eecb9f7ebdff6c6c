package abbex.app.measure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

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
            HttpResponse<String> answer = milo.post(
                    sheet + "/readings",
                    "corner",
                    corners[i],
                    "method",
                    method,
                    "raw",
                    readings[i],
                    "client",
                    UUID.randomUUID().toString());
            assertEquals(302, answer.statusCode(), answer.body());
        }
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
        assertTrue(page.contains("After a short drive") && page.contains("First set-down"));
        assertTrue(page.contains("↓\u00a01\u202f<span class=\"frac\">1⁄4</span>″"), "the newest against the first");
        String earlier = milo.get(down).body();
        assertTrue(earlier.contains("<summary title=\"How this came about\">↓\u00a01″</summary>"), earlier);
        String handedOver = milo.get("/jobs/" + job + "/sheet").body();
        assertTrue(handedOver.contains("After a short drive"));
        assertTrue(page.contains("<option value=\"AFTER_HARD_DRIVE\" selected"), "what usually comes next");
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
        assertTrue(page.contains("Right front, hub to lip, on an earlier sheet: probably misread"), page);
        assertTrue(milo.get(arrived + "?method=HF").body().contains("All others say"), "at its arch, on its sheet");
    }
}
