package abbex.app.measure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import java.net.http.HttpResponse;
import java.time.ZoneOffset;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What a shop sets for itself, in a shop of its own. */
@ExtendWith(Shop.class)
class RulesTest {
    private static final String[] WALK = {"LF", "RF", "RR", "LR"};

    private Visitor lead;
    private Visitor second;

    @BeforeEach
    void a_shop() {
        People people = Shop.bean(People.class);
        String tag = UUID.randomUUID().toString().substring(0, 8);
        UUID shop = people.addShop("Rules " + tag);
        Person.Likes likes = new Person.Likes(LengthUnit.INCH, Graduation.SIXTEENTH_INCH, ZoneOffset.UTC, "auto", true);
        people.add(shop, "rl" + tag, "Rule Lead", "RL", Role.LEAD, Shop.password(), false, likes);
        people.add(shop, "rh" + tag, "Rule Hand", "RH", Role.TECHNICIAN, Shop.password(), false, likes);
        lead = Visitor.signedIn("rl" + tag);
        second = Visitor.signedIn("rh" + tag);
    }

    private String job() {
        String job = UUID.randomUUID().toString();
        lead.get("/arrive");
        lead.post("/arrive", "job", job, "plate", "RU 1", "name", "hatch", "kind", "CAR", "shape", "HATCH");
        return job;
    }

    private static String where(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse("").replaceFirst("^http://[^/]+", "");
    }

    private static void read(Visitor who, String sheet, String method, String... walk) {
        for (int i = 0; i < walk.length; i++) {
            String client = UUID.randomUUID().toString();
            HttpResponse<String> answer = who.post(
                    sheet + "/readings", "corner", WALK[i], "method", method, "raw", walk[i], "client", client);
            assertEquals(302, answer.statusCode(), answer.body());
        }
    }

    @Test
    void a_limit_of_its_own_counts_at_once_and_goes_back_to_the_usual() {
        String job = job();
        String arrived = where(lead.get("/jobs/" + job + "/measure"));
        read(lead, arrived, "HF", "14", "14", "14 1/2", "14 1/2");
        String down = where(lead.post("/jobs/" + job + "/set-down", "stage", "FIRST_SET_DOWN"));
        read(lead, down, "HF", "13", "13 1/4", "13 1/2", "13 1/2");
        assertFalse(
                lead.get(down).body().contains(Said.by("finding.LEFT_RIGHT_GOOD.title", "place", "Front")),
                "1/4 in apart, more than 1/8");
        assertEquals(
                302,
                lead.post("/rules/limits", "SIDES_GOOD", "3/8", "SIDES_ACCEPT", "1/2")
                        .statusCode());
        assertTrue(lead.get(down).body().contains(Said.by("finding.LEFT_RIGHT_GOOD.title", "place", "Front")));
        assertTrue(lead.get("/rules").body().contains("value=\"3/8\""), "kept as typed");
        assertTrue(lead.get("/audit").body().contains("SIDES_GOOD 3/8"));
        lead.post("/rules/limits", "SIDES_GOOD", "", "SIDES_ACCEPT", "");
        assertFalse(lead.get(down).body().contains(Said.by("finding.LEFT_RIGHT_GOOD.title", "place", "Front")));
    }

    @Test
    void limits_that_cannot_be_are_refused_and_nothing_typed_is_lost() {
        HttpResponse<String> bad =
                lead.post("/rules/limits", "SIDES_GOOD", "3/8", "SIDES_ACCEPT", "1/4", "RIM", "0", "TREAD", "lots");
        assertEquals(422, bad.statusCode());
        assertTrue(Said.in(bad.body(), "problem.limit"), bad.body());
        assertTrue(bad.body().contains("value=\"lots\"") && bad.body().contains("value=\"3/8\""));
        assertFalse(lead.get("/rules").body().contains("value=\"3/8\""), "nothing was kept");
        HttpResponse<String> turned = lead.post("/rules/limits", "SIDES_GOOD", "3/8", "SIDES_ACCEPT", "1/4");
        assertTrue(turned.body().contains(Said.part("problem.limit.order")), turned.body());
    }

    @Test
    void three_pads_are_no_floor() {
        HttpResponse<String> three =
                lead.post("/rules/floors", "bay", "Bay 9", "LF", "0", "RF", "3 mm", "RR", "", "LR", "1 mm");
        assertEquals(422, three.statusCode());
        assertTrue(three.body().contains(Said.by("problem.pad", "corner", "right rear")));
        assertTrue(three.body().contains("value=\"3 mm\""), "what was typed is kept");
        assertFalse(lead.get("/rules").body().contains("Bay 9"));
        HttpResponse<String> day = lead.post(
                "/rules/floors", "bay", "", "since", "2026-02-31", "LF", "0", "RF", "0", "RR", "0", "LR", "0");
        assertTrue(day.body().contains(Said.by("problem.day", "read", "2026-02-31"))
                && day.body().contains(Said.part("problem.bay")));
    }

    /** A floor 10 mm high under one wheel: with the survey of both bays the car is not crooked and the drop is right. */
    @Test
    void a_surveyed_floor_is_taken_off_every_height() {
        String job = job();
        String arrived = where(lead.get("/jobs/" + job + "/measure"));
        lead.post(arrived + "/state", "BAY", "Flat");
        read(lead, arrived, "GF", "660 mm", "660 mm", "680 mm", "680 mm");
        String down = where(lead.post("/jobs/" + job + "/set-down", "stage", "FIRST_SET_DOWN"));
        lead.post(down + "/state", "BAY", "  high  ");
        // Heights over the ground of a stiff car on four like springs: -10/4 at the high wheel and across, +10/4 at the
        // others.
        read(lead, down, "GF", "627.5 mm", "632.5 mm", "647.5 mm", "652.5 mm");
        assertTrue(lead.get(down + "?method=GF").body().contains(Said.part("finding.DIAGONAL_OTHER_BAY.title")));
        lead.post("/rules/floors", "bay", "flat", "LF", "0", "RF", "0", "RR", "0", "LR", "0");
        String half = lead.get(down + "?method=GF").body();
        assertTrue(half.contains(Said.part("finding.FLOOR_NOT_USED.title")), half);
        lead.post("/rules/floors", "bay", "High", "LF", "10 mm", "RF", "0", "RR", "0", "LR", "0");
        String page = lead.get(down + "?method=GF").body();
        assertTrue(
                page.contains(Said.part("finding.FLOOR_USED.title"))
                        && page.contains(Said.part("finding.DIAGONAL_HELD.title")),
                page);
        assertFalse(page.contains(Said.part("finding.DIAGONAL_OTHER_BAY.title")));
        String sheet = lead.get("/jobs/" + job + "/sheet?unit=mm").body();
        assertEquals(6, sheet.split("<span>↓\u00a030\u00a0mm</span>", -1).length - 1, "all four corners and both ends");
        assertTrue(sheet.contains(Said.by("reason.height.adds", "adds", "−2.500 mm")), sheet);
        // Another survey of that bay that holds from a later day on says nothing of this sheet.
        lead.post("/rules/floors", "bay", "High", "since", "2199-01-01", "LF", "0", "RF", "0", "RR", "0", "LR", "0");
        assertTrue(lead.get(down + "?method=GF").body().contains(Said.part("finding.DIAGONAL_HELD.title")));
        assertEquals(302, lead.post("/rules/floors/take-back", "bay", "flat").statusCode());
        assertTrue(lead.get(down + "?method=GF").body().contains(Said.part("finding.FLOOR_NOT_USED.title")));
        assertEquals(404, lead.post("/rules/floors/take-back", "bay", "Nowhere").statusCode());
    }

    @Test
    void two_people_s_readings_make_the_shop_s_own_repeatability() {
        String job = job();
        String arrived = where(lead.get("/jobs/" + job + "/measure"));
        for (String method : new String[] {"HF", "GF", "RIM"}) {
            read(lead, arrived, method, "14", "14", "14 1/2", "14 1/2");
            read(second, arrived, method, "14 1/16", "14", "14 7/16", "14 1/2");
        }
        String four = lead.get("/rules").body();
        assertTrue(four.contains("<td>4</td>"), "four degrees of freedom of each method: " + four);
        for (int i = 0; i < 2; i++) {
            String down = where(lead.post("/jobs/" + job + "/set-down", "stage", "OTHER"));
            read(lead, down, "HF", "13", "13", "13 1/2", "13 1/2");
            read(second, down, "HF", "13 1/16", "13", "13 7/16", "13 1/2");
        }
        String twelve = lead.get("/rules").body();
        assertTrue(twelve.contains("<td>12</td>"), twelve);
        // By hand: half of the pairs 1/16 in apart, so 6 x 1.5875²/2 over 12 less the marks' 1.5875²/12 = 0.42 mm².
        assertTrue(twelve.contains("<td>0.65 mm</td>"), twelve);
        // (10 x 0.79375² + 12 x 0.42) / 22 = 0.5156; its root 0.72 mm is used.
        assertTrue(Said.flat(twelve).contains("<b>0.72 mm</b>"), twelve);
    }

    @Test
    void the_shop_s_own_way_round() {
        String job = job();
        String arrived = where(lead.get("/jobs/" + job + "/measure"));
        assertTrue(order(lead.get(arrived).body(), "LF", "RF", "RR", "LR"));
        assertEquals(302, lead.post("/rules/walk", "walk", "RF LF LR RR").statusCode());
        assertTrue(order(lead.get(arrived).body(), "RF", "LF", "LR", "RR"));
        read(lead, arrived, "HF", "14");
        assertTrue(
                lead.get("/").body().contains(Said.by("next.spot", "place", "right front", "way", "hub to lip")),
                "the next act goes that way too");
        HttpResponse<String> across = lead.post("/rules/walk", "walk", "LF RR RF LR");
        assertEquals(422, across.statusCode());
        assertTrue(across.body().contains(Said.by("problem.choice.unknown", "read", "LF RR RF LR")));
    }

    private static boolean order(String page, String... corners) {
        int at = 0;
        for (String corner : corners) {
            at = page.indexOf("id=\"arch-" + corner + "\"", at);
            if (at < 0) {
                return false;
            }
        }
        return true;
    }
}
