package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Four heights read while another vehicle was open: they go where they belong, together, as they were read. */
@ExtendWith(Shop.class)
class WrongVehicleTest {
    private static final String[] CORNERS = {"LF", "RF", "RR", "LR"};
    private static final String[] HEIGHTS = {"25 1/4", "25 3/8", "26 1/8", "26"};

    private static Visitor orla;
    private static Visitor milo;

    @BeforeAll
    static void signIn() {
        orla = Visitor.signedIn("orla");
        milo = Visitor.signedIn("milo");
    }

    private static String received(String... more) {
        String job = UUID.randomUUID().toString();
        orla.get("/arrive");
        String[] form = {"job", job, "plate", "WV " + System.nanoTime() % 10_000_000, "name", "wrong vehicle"};
        String[] all = new String[form.length + more.length];
        System.arraycopy(form, 0, all, 0, form.length);
        System.arraycopy(more, 0, all, form.length, more.length);
        orla.post("/arrive", all);
        return job;
    }

    private static String sheet(String job) {
        return "/jobs/" + job + "/sheets/" + Jobs.sheet(job);
    }

    private static void read(Visitor by, String job, String corner, String raw) {
        by.post(
                sheet(job) + "/readings",
                "corner",
                corner,
                "method",
                "HF",
                "raw",
                raw,
                "client",
                UUID.randomUUID().toString());
    }

    private static HttpResponse<String> move(String job, String to, String... corners) {
        String[] form = new String[2 + 2 * corners.length];
        form[0] = "to";
        form[1] = to;
        for (int i = 0; i < corners.length; i++) {
            form[2 + 2 * i] = "spot-" + corners[i] + ".HF";
            form[3 + 2 * i] = "yes";
        }
        return orla.post(sheet(job) + "/wrong-vehicle", form);
    }

    private static String field(Visitor by, String job, String corner) {
        String page = by.get(sheet(job)).body();
        int at = page.indexOf("id=\"in-" + corner + "\"");
        assertTrue(at > 0, corner);
        String input = page.substring(page.lastIndexOf("<input", at), page.indexOf(">", at));
        return input.replaceAll("(?s).*value=\"([^\"]*)\".*", "$1");
    }

    @Test
    void all_at_once_and_as_they_were_read() {
        String wrong = received();
        String right = received();
        for (int i = 0; i < 4; i++) {
            read(orla, wrong, CORNERS[i], HEIGHTS[i]);
        }
        read(milo, wrong, "LF", "25 1/2");
        String page = orla.get(sheet(wrong) + "/wrong-vehicle").body();
        assertEquals(4, page.split("type=\"checkbox\"", -1).length - 1, "hers alone");
        assertEquals(4, page.split("checked=\"checked\"", -1).length - 1);
        move(wrong, right, CORNERS);
        for (int i = 0; i < 4; i++) {
            assertEquals(HEIGHTS[i], field(orla, right, CORNERS[i]));
            assertEquals("", field(orla, wrong, CORNERS[i]));
        }
        assertEquals("25 1/2", field(milo, wrong, "LF"), "another person's stays");
        // Moved again they are back, and may be corrected as ever.
        move(right, wrong, CORNERS);
        assertEquals(HEIGHTS[2], field(orla, wrong, "RR"));
        assertEquals("", field(orla, right, "RR"));
        read(orla, wrong, "RR", "26 1/4");
        assertEquals("26 1/4", field(orla, wrong, "RR"));
    }

    @Test
    void nothing_is_moved_onto_readings_or_to_another_kind() {
        String wrong = received();
        String right = received();
        read(orla, wrong, "LF", "25 1/4");
        read(orla, wrong, "RF", "25 3/8");
        read(orla, right, "RF", "24 1/8");
        HttpResponse<String> met = move(wrong, right, "LF", "RF");
        assertEquals(422, met.statusCode());
        assertTrue(met.body()
                .contains(Said.part("problem.wrong.met").split("\\{")[0].strip()));
        assertEquals("25 1/4", field(orla, wrong, "LF"), "neither of them");
        assertEquals("", field(orla, right, "LF"));
        move(wrong, right, "LF");
        assertEquals("25 1/4", field(orla, right, "LF"));
        assertEquals(422, move(wrong, Jobs.id("MQ 381"), "RF").statusCode());
        assertEquals(422, move(wrong, "", "RF").statusCode());
        assertEquals(422, move(wrong, right).statusCode());
        assertFalse(field(orla, wrong, "RF").isEmpty());
    }
}
