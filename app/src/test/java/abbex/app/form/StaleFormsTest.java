package abbex.app.form;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.options.AriaRole;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Two people have one thing open: who saves second is told, and nothing that either typed is lost. */
@ExtendWith(Shop.class)
class StaleFormsTest {
    private final Visitor orla = Visitor.signedIn("orla");
    private final Visitor milo = Visitor.signedIn("milo");

    private String job() {
        String job = UUID.randomUUID().toString();
        orla.get("/arrive");
        orla.post("/arrive", "job", job, "plate", "SF " + System.nanoTime() % 10_000_000, "name", "stale coupe");
        return job;
    }

    private static String edition(String page) {
        Matcher hidden = Pattern.compile("name=\"edition\" value=\"(\\d*)\"").matcher(page);
        assertTrue(hidden.find(), "a form says which edition it shows");
        return hidden.group(1);
    }

    private static HttpResponse<String> told(HttpResponse<String> answer, String mine, String theirs) {
        assertEquals(409, answer.statusCode(), answer.body());
        assertTrue(answer.body().contains(Said.part("form.meanwhile")), "said at the top");
        assertTrue(answer.body().contains(mine), "what was typed is still there");
        assertTrue(answer.body().contains(Said.by("form.stands", "text", theirs)), "and what stands is told");
        return answer;
    }

    private static String[] with(String[] form, String field, String text) {
        List<String> all = new ArrayList<>(List.of(form));
        all.addAll(List.of(field, text));
        return all.toArray(String[]::new);
    }

    @Test
    void a_vehicles_data() {
        String job = job();
        String address = "/jobs/" + job + "/arrive";
        String page = orla.get(address).body();
        Matcher plate = Pattern.compile("name=\"plate\"[^>]*value=\"([^\"]*)\"").matcher(page.replaceAll("\\s+", " "));
        assertTrue(plate.find());
        String[] form = {"job", job, "plate", plate.group(1), "name", "stale coupe", "edition", edition(page)};
        assertEquals(302, milo.post(address, with(form, "customer", "Theirs")).statusCode());
        HttpResponse<String> second = told(orla.post(address, with(form, "customer", "Mine")), "Mine", "Theirs");
        assertFalse(second.body().contains(Said.by("form.stands", "text", "stale coupe")), "what is alike is not told");
        assertTrue(orla.get(address).body().contains("Theirs"), "nothing was written over");
        form[7] = edition(second.body());
        assertEquals(302, orla.post(address, with(form, "customer", "Mine")).statusCode());
        assertEquals(302, orla.post(address, with(form, "customer", "Mine")).statusCode(), "sent twice, by Back");
        form[7] = "0";
        assertEquals(302, milo.post(address, with(form, "customer", "Mine")).statusCode(), "all of it stands already");
    }

    @Test
    void where_a_vehicle_stands() {
        String job = job();
        String move = "/jobs/" + job + "/move";
        assertEquals(
                302,
                milo.post(move, "edition", "0", "place", "BAY", "bay", "Bay 77").statusCode());
        told(orla.post(move, "edition", "0", "place", "BAY", "bay", "Bay 78"), "Bay 78", "Bay 77");
        assertEquals(
                302, orla.post(move, "edition", "1", "place", "GONE", "bay", "").statusCode());
    }

    @Test
    void a_set_of_wheels() {
        String job = job();
        String sets = "/jobs/" + job + "/fitment/sets";
        String[] form = {"name", "road", "use", "NOW", "TYRE_FRONT", "225/45R17 91W"};
        assertEquals(302, orla.post(sets, form).statusCode());
        String page = orla.get("/jobs/" + job + "/fitment").body();
        Matcher edit = Pattern.compile("edit=([0-9a-f-]{36})").matcher(page);
        assertTrue(edit.find());
        String edited =
                orla.get("/jobs/" + job + "/fitment?edit=" + edit.group(1)).body();
        String[] known = {"set", edit.group(1), "edition", edition(edited), "use", "NOW", "TYRE_FRONT", "225/45R17 91W"
        };
        assertEquals(302, milo.post(sets, with(known, "name", "theirs")).statusCode());
        HttpResponse<String> second = told(orla.post(sets, with(known, "name", "mine")), "mine", "theirs");
        known[3] = edition(second.body());
        assertEquals(302, orla.post(sets, with(known, "name", "mine")).statusCode());
    }

    @Test
    void how_far_an_end_is_swept() {
        String job = job();
        String range = "/jobs/" + job + "/prove/range";
        assertEquals(
                302,
                orla.post(
                                "/jobs/" + job + "/fitment/sets",
                                "name",
                                "road",
                                "use",
                                "NOW",
                                "TYRE_FRONT",
                                "225/45R17 91W",
                                "WHEEL_FRONT",
                                "17x7.5 ET45")
                        .statusCode());
        String page = orla.get("/jobs/" + job + "/prove?corner=LF").body();
        String[] form = {"corner", "LF", "edition", edition(page)};
        assertEquals(302, milo.post(range, with(form, "stop", "61 mm")).statusCode());
        told(orla.post(range, with(form, "stop", "62 mm")), "62 mm", "61 mm");
    }

    @Test
    void limits_and_clearances_of_the_shop() {
        Visitor lead = Visitor.signedIn("tamsin");
        String[] limits = {"edition", edition(lead.get("/rules").body())};
        try {
            assertEquals(
                    302,
                    lead.post("/rules/limits", with(limits, "SIDES_GOOD", "1/8"))
                            .statusCode());
            told(lead.post("/rules/limits", with(limits, "SIDES_GOOD", "3/16")), "3/16", "1/8");
        } finally {
            lead.post("/rules/limits");
        }
        String[] gaps = {"edition", edition(lead.get("/gaps").body())};
        try {
            assertEquals(
                    302, lead.post("/gaps/set", with(gaps, "STRUT", "5/16")).statusCode());
            told(lead.post("/gaps/set", with(gaps, "STRUT", "3/8")), "3/8", "5/16");
        } finally {
            lead.post("/gaps/set");
        }
    }

    /** The state of a sheet keeps each entry, so two who fill in different fields do not disturb each other at all. */
    @Test
    void the_state_of_a_sheet() {
        String job = job();
        orla.get("/jobs/" + job + "/measure");
        String sheet = "/jobs/" + job + "/sheets/" + Jobs.sheet(job);
        String edition = edition(orla.get(sheet + "/unfold?open=STATE").body());
        String[] form = {"edition", edition};
        assertEquals(
                302,
                milo.post(sheet + "/state", with(with(form, "FUEL", "half"), "LOAD", ""))
                        .statusCode());
        assertEquals(
                302,
                orla.post(sheet + "/state", with(with(form, "FUEL", ""), "LOAD", "two crates"))
                        .statusCode());
        String both = orla.get(sheet + "/unfold").body();
        assertTrue(both.contains("value=\"half\""), "what another entered meanwhile stays");
        assertTrue(both.contains("value=\"two crates\""));
        told(orla.post(sheet + "/state", with(form, "FUEL", "full")), "full", "half");
        assertTrue(orla.get(sheet + "/unfold").body().contains("value=\"half\""), "nothing was written over");
    }

    /** On a page: the first field that is told has its choice in words, and taking what stands there puts it into the field. */
    @Test
    void what_stands_is_said_in_words_and_taken_by_a_tap() {
        String job = job();
        String sets = "/jobs/" + job + "/fitment/sets";
        assertEquals(
                302,
                orla.post(sets, "name", "road", "use", "NOW", "TYRE_FRONT", "225/45R17 91W")
                        .statusCode());
        Matcher edit = Pattern.compile("edit=([0-9a-f-]{36})")
                .matcher(orla.get("/jobs/" + job + "/fitment").body());
        assertTrue(edit.find());
        try (Screen screen = Screen.desk().signIn("orla")) {
            screen.open("/jobs/" + job + "/fitment?edit=" + edit.group(1));
            String[] theirs = {"set", edit.group(1), "edition", "0", "name", "road", "use", "PLANNED"};
            assertEquals(
                    302,
                    milo.post(sets, with(theirs, "TYRE_FRONT", "225/45R17 91W")).statusCode());
            screen.page.locator("#name").fill("road, cleaned");
            screen.page.locator("#name").press("Enter");
            assertThat(screen.page.getByRole(AriaRole.ALERT)).containsText(Said.part("form.meanwhile"));
            assertThat(screen.page.locator("#use-bad"))
                    .containsText(Said.by("form.stands", "text", Said.part("use.PLANNED")));
            assertThat(screen.page.locator("#name")).hasValue("road, cleaned");
            screen.page.locator("#use-bad .offer").click();
            assertThat(screen.page.locator("#use")).hasValue("PLANNED");
        }
    }
}
