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
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/** A lead's people, the lock after five misses, the list of who did what. */
@ExtendWith(Shop.class)
class AccountsTest {
    private final Visitor tamsin = Visitor.signedIn("tamsin");

    private static String name() {
        return "new" + UUID.randomUUID().toString().substring(0, 8);
    }

    /** Adds somebody and reads the password off the page that shows it once. */
    private String add(String name) {
        HttpResponse<String> page =
                tamsin.post("/people", "display", "Some Body", "name", name, "initials", "sb", "role", "TECHNICIAN");
        return shown(page, name);
    }

    private static String shown(HttpResponse<String> page, String name) {
        Matcher m = Pattern.compile(name + " / ([a-z0-9-]{14})").matcher(page.body());
        assertTrue(m.find(), page.body());
        return m.group(1);
    }

    private static String id(String name) {
        return Shop.bean(JdbcClient.class)
                .sql("select id from person where sign_in_name = :name")
                .param("name", name)
                .query(String.class)
                .single();
    }

    private static boolean signsIn(Visitor visitor, String name, String password) {
        visitor.get("/sign-in");
        String to = visitor.post("/sign-in", "username", name, "password", password)
                .headers()
                .firstValue("Location")
                .orElse("");
        return !to.contains("error");
    }

    @Test
    void somebody_new_signs_in_changes_the_password_and_is_deactivated() {
        String name = name();
        String password = add(name);
        assertFalse(tamsin.get("/people").body().contains(password), "shown once");
        Visitor fresh = Visitor.stranger();
        assertTrue(signsIn(fresh, name, password));
        assertEquals(302, fresh.get("/").statusCode(), "the password has to be changed first");
        fresh.get("/account");
        assertEquals(
                302,
                fresh.post("/account/password", "present", password, "fresh", "longer one 77", "again", "longer one 77")
                        .statusCode());
        assertEquals(200, fresh.get("/").statusCode());
        assertEquals(302, tamsin.post("/people/" + id(name) + "/deactivate").statusCode());
        assertEquals(302, fresh.get("/").statusCode(), "signed out at once");
        assertFalse(signsIn(Visitor.stranger(), name, "longer one 77"));
        String audit = tamsin.get("/audit").body();
        assertTrue(audit.contains(Said.part("audit.PERSON_ADDED"))
                && audit.contains(Said.part("audit.PERSON_DEACTIVATED"))
                && audit.contains(name));
    }

    @Test
    void a_new_password_ends_the_old_one_and_its_sessions() {
        String name = name();
        String password = add(name);
        Visitor fresh = Visitor.stranger();
        assertTrue(signsIn(fresh, name, password));
        String other = shown(tamsin.post("/people/" + id(name) + "/reset"), name);
        assertTrue(fresh.get("/account")
                .headers()
                .firstValue("Location")
                .orElse("")
                .contains("/sign-in"));
        assertFalse(signsIn(Visitor.stranger(), name, password));
        assertTrue(signsIn(Visitor.stranger(), name, other));
    }

    @Test
    void five_misses_lock_the_name_whether_it_exists_or_not() {
        String real = name();
        String password = add(real);
        for (String name : new String[] {real, name()}) {
            for (int i = 0; i < 5; i++) {
                assertFalse(signsIn(Visitor.stranger(), name, "wrong"));
            }
            assertFalse(signsIn(Visitor.stranger(), name, password), "the right one comes too late");
        }
        Shop.bean(JdbcClient.class)
                .sql("update sign_in_miss set at = at - interval 16 minute where name = :name")
                .param("name", real)
                .update();
        assertTrue(signsIn(Visitor.stranger(), real, password), "a quarter of an hour later");
    }

    @Test
    void only_a_lead_and_only_in_the_own_shop() {
        Visitor orla = Visitor.signedIn("orla");
        for (String path : new String[] {"/people", "/audit"}) {
            assertEquals(403, orla.get(path).statusCode(), path);
        }
        assertEquals(403, orla.post("/people/" + id("milo") + "/deactivate").statusCode());
        assertEquals(404, tamsin.post("/people/" + id("nils") + "/deactivate").statusCode());
        assertEquals(404, tamsin.post("/people/" + id("nils") + "/reset").statusCode());
        tamsin.post("/people/" + id("tamsin") + "/deactivate");
        assertEquals(200, tamsin.get("/people").statusCode(), "nobody locks the own door from inside");
        assertFalse(tamsin.get("/people").body().contains("Nils Ferro"));
    }

    @Test
    void what_cannot_be_added_says_why() {
        HttpResponse<String> answer =
                tamsin.post("/people", "display", "", "name", "orla", "initials", "TOO LONG", "role", "KING");
        assertEquals(422, answer.statusCode());
        assertTrue(answer.body().contains(Said.part("problem.person.taken")));
        assertTrue(answer.body().contains(Said.part("problem.person.initials")));
        assertTrue(answer.body().contains("TOO LONG"), "what was typed is still there");
    }

    @Test
    void a_customer_is_blanked_and_the_measurements_stay() {
        String job = Jobs.id("DK 8-590");
        assertTrue(tamsin.get("/jobs/" + job + "/arrive").body().contains("Asa Brook"));
        tamsin.post("/jobs/" + job + "/blank-customer");
        assertFalse(tamsin.get("/jobs/" + job + "/arrive").body().contains("Asa Brook"));
        assertTrue(tamsin.get("/jobs/" + job + "/sheet").body().contains(Said.part("sheet.title")));
        String audit = tamsin.get("/audit").body();
        assertTrue(audit.contains(Said.by("audit.CUSTOMER_BLANKED"))
                && audit.contains("DK 8-590")
                && !audit.contains("Asa Brook"));
    }

    private static String setPin(Visitor who, String password, String pin) {
        who.get("/account");
        return who.post("/account/pin", "present", password, "pin", pin)
                .headers()
                .firstValue("Location")
                .orElse("");
    }

    @Test
    void a_tablet_changes_hands_and_back() {
        String name = name();
        String password = add(name);
        Visitor fresh = Visitor.stranger();
        signsIn(fresh, name, password);
        fresh.get("/account");
        fresh.post("/account/password", "present", password, "fresh", "longer one 77", "again", "longer one 77");
        assertTrue(setPin(fresh, "longer one 77", "2580").endsWith("?pin"));
        Visitor tablet = Visitor.signedIn("jorun");
        assertTrue(tablet.get("/hands").body().contains("Some Body"));
        String before = tablet.token();
        HttpResponse<String> change = tablet.post("/hands", "to", id(name), "pin", "2580", "back", "/arrive");
        assertEquals(
                "/arrive", change.headers().firstValue("Location").orElse("").replaceFirst("^http://[^/]+", ""));
        assertEquals(
                403,
                tablet.withToken(before).post("/account/theme", "theme", "dim").statusCode(),
                "what the former person's page still sends is refused");
        assertTrue(Said.flat(tablet.get("/account").body()).contains(Said.by("account.signs-in") + "<b>" + name));
        for (String pin : new String[] {"1234", "4321", "7777", "25", "25 80", "123456789", "abcd"}) {
            assertEquals("", setPin(fresh, "longer one 77", pin), pin);
        }
        assertEquals("", setPin(fresh, "not the password", "2581"));
        tamsin.get("/people");
        tamsin.post("/people/" + id(name) + "/deactivate");
        assertEquals(302, tablet.get("/account").statusCode(), "a session by PIN ends with its person as well");
    }

    @Test
    void a_pin_opens_the_work_and_no_leads_page() {
        Visitor tablet = Visitor.signedIn("jorun");
        tablet.get("/hands");
        String pin = Shop.password().substring(Shop.password().lastIndexOf('-') + 1);
        assertEquals(302, tablet.post("/hands", "to", id("tamsin"), "pin", pin).statusCode());
        HttpResponse<String> account = tablet.get("/account");
        assertTrue(account.body().contains("Tamsin Roe") && account.body().contains(Said.part("account.by-pin")));
        for (String path : new String[] {"/people", "/audit", "/keys"}) {
            assertEquals(403, tablet.get(path).statusCode(), path);
        }
        assertEquals(200, tamsin.get("/people").statusCode());
    }

    @Test
    void five_wrong_pins_rest_that_pin_on_that_device() {
        Visitor tablet = Visitor.signedIn("jorun");
        tablet.get("/hands");
        String pin = Shop.password().substring(Shop.password().lastIndexOf('-') + 1);
        for (int i = 0; i < 4; i++) {
            assertTrue(tablet.post("/hands", "to", id("pell"), "pin", "0")
                    .body()
                    .contains(Said.by("problem.pin.wrong", "name", "Pell Ivers")));
        }
        assertTrue(
                tablet.post("/hands", "to", id("pell"), "pin", "0").body().contains(Said.part("problem.pin.locked")));
        assertEquals(422, tablet.post("/hands", "to", id("pell"), "pin", pin).statusCode());
        assertTrue(tablet.get("/account").body().contains("Jorun Balk"), "still in the same hands");
        HttpResponse<String> foreign = tablet.post("/hands", "to", id("nils"), "pin", pin);
        assertTrue(foreign.statusCode() == 422 && foreign.body().contains(Said.part("problem.pin.who")));
        assertEquals(1, Visitor.signedIn("pell").get("/hands").body().split(Said.part("hands.stay")).length - 1);
        Shop.bean(JdbcClient.class)
                .sql("delete from sign_in_miss where name like 'pin%'")
                .update();
    }

    @Test
    void only_an_own_address_is_gone_back_to() {
        Visitor orla = Visitor.signedIn("orla");
        for (String back : new String[] {"//elsewhere.example", "https://elsewhere.example", "/\\elsewhere", "/a b"}) {
            String page = orla.get(
                            "/hands?back=" + java.net.URLEncoder.encode(back, java.nio.charset.StandardCharsets.UTF_8))
                    .body();
            assertTrue(Said.flat(page).contains("href=\"/\">" + Said.by("hands.stay")), back);
        }
    }

    /** Two requests of a session that is new to both write the same attribute: neither is an error. */
    @Test
    void two_first_requests_of_a_session_do_not_collide() {
        writeTwice(Shop.bean(JdbcIndexedSessionRepository.class));
    }

    private static <S extends Session> void writeTwice(SessionRepository<S> sessions) {
        S fresh = sessions.createSession();
        sessions.save(fresh);
        S one = sessions.findById(fresh.getId());
        S other = sessions.findById(fresh.getId());
        one.setAttribute("token", "one");
        other.setAttribute("token", "other");
        sessions.save(one);
        sessions.save(other);
        assertEquals("other", sessions.findById(fresh.getId()).getAttribute("token"));
        sessions.deleteById(fresh.getId());
    }
}
