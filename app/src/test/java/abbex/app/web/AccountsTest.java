package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.people.Misses;
import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntPredicate;
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
    private static final String STRONG = "lantern moss kettle 9";

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
        HttpResponse<String> answer = visitor.post("/sign-in", "username", name, "password", password);
        return answer.statusCode() == 302
                && !answer.headers().firstValue("Location").orElse("").contains("error");
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
                fresh.post("/account/password", "present", password, "fresh", STRONG, "again", STRONG)
                        .statusCode());
        assertEquals(200, fresh.get("/").statusCode());
        assertEquals(302, tamsin.post("/people/" + id(name) + "/deactivate").statusCode());
        assertEquals(302, fresh.get("/").statusCode(), "signed out at once");
        assertFalse(signsIn(Visitor.stranger(), name, STRONG));
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
        List<String> told = Shop.bean(JdbcClient.class)
                .sql("select what from audit where person_id = :person order by id")
                .param("person", id(real))
                .query(String.class)
                .list();
        assertEquals(5, told.stream().filter("SIGN_IN_FAILED"::equals).count());
        assertEquals("SIGN_IN_LOCKED", told.get(told.size() - 1), "the lock itself is written down once");
        Shop.bean(JdbcClient.class)
                .sql("update attempt set at = at - interval 16 minute where name = :name")
                .param("name", real)
                .update();
        assertTrue(signsIn(Visitor.stranger(), real, password), "a quarter of an hour later");
    }

    /** All at once is no way past it: five are looked at, however many come and whatever is written around the name. */
    @Test
    void a_burst_of_guesses_is_no_way_past_the_lock() throws Exception {
        Misses misses = Shop.bean(Misses.class);
        String name = name();
        assertEquals(5, atOnce(119, i -> misses.claim(name, "192.0.2.7")));
        assertFalse(misses.claim(name, "192.0.2.7"));
        assertTrue(misses.claim(name, "192.0.2.8"), "another device");
        String real = name();
        String password = add(real);
        assertEquals(0, atOnce(59, i -> signsIn(Visitor.stranger(), real, "wrong " + i)));
        assertFalse(signsIn(Visitor.stranger(), real, password), "locked");
        int counted = Shop.bean(JdbcClient.class)
                .sql("select sum(n) from attempt where name = :name")
                .param("name", real)
                .query(Integer.class)
                .single();
        // All but those that were turned away unseen, because the hash had too much to do.
        assertTrue(counted > 50, counted + " counted");
        for (String spelt :
                List.of(real.toUpperCase(Locale.ROOT), " " + real, real + "\u0001", "\u200b" + real + "\t")) {
            assertFalse(
                    signsIn(Visitor.stranger(), spelt, password),
                    "the same name, or nobody's: " + spelt.codePoints().boxed().toList());
        }
    }

    private static int atOnce(int many, IntPredicate act) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(many);
        try {
            List<Callable<Boolean>> acts = new ArrayList<>();
            for (int i = 0; i < many; i++) {
                int number = i;
                acts.add(() -> act.test(number));
            }
            int yes = 0;
            for (Future<Boolean> one : pool.invokeAll(acts)) {
                yes += one.get() ? 1 : 0;
            }
            return yes;
        } finally {
            pool.shutdown();
        }
    }

    /** The one who sits at a found tablet tries the password of its owner no oftener than at the door. */
    @Test
    void the_present_password_has_as_few_tries_as_the_door() {
        String name = name();
        String password = add(name);
        Visitor found = Visitor.stranger();
        signsIn(found, name, password);
        found.get("/account");
        for (int i = 0; i < 5; i++) {
            found.post("/account/password", "present", "wrong", "fresh", STRONG, "again", STRONG);
        }
        HttpResponse<String> late =
                found.post("/account/password", "present", password, "fresh", STRONG, "again", STRONG);
        assertEquals(422, late.statusCode());
        assertTrue(late.body().contains(Said.part("problem.password.locked")));
        HttpResponse<String> pin = found.post("/account/pin", "present", password, "pin", "2580");
        assertTrue(pin.body().contains(Said.part("problem.password.locked")));
    }

    @Test
    void a_changed_password_or_pin_ends_what_is_open_elsewhere() {
        String name = name();
        String password = add(name);
        Visitor here = Visitor.stranger();
        signsIn(here, name, password);
        here.get("/account");
        for (String change : new String[] {"password", "pin"}) {
            Visitor elsewhere = Visitor.stranger();
            assertTrue(signsIn(elsewhere, name, change.equals("password") ? password : STRONG));
            assertEquals(200, elsewhere.get("/account").statusCode());
            HttpResponse<String> done = change.equals("password")
                    ? here.post("/account/password", "present", password, "fresh", STRONG, "again", STRONG)
                    : here.post("/account/pin", "present", STRONG, "pin", "2580");
            assertEquals(302, done.statusCode());
            assertEquals(302, elsewhere.get("/account").statusCode(), change);
            assertEquals(200, here.get("/account").statusCode(), change);
        }
    }

    @Test
    void where_one_is_signed_in_is_seen_and_ended() {
        String name = name();
        String password = add(name);
        Visitor here = Visitor.stranger();
        Visitor elsewhere = Visitor.stranger();
        signsIn(here, name, password);
        signsIn(elsewhere, name, password);
        String page = here.get("/account").body();
        assertEquals(2, page.split("<li>\\s*since ", -1).length - 1, page);
        assertEquals(302, here.post("/account/elsewhere").statusCode());
        assertEquals(302, elsewhere.get("/account").statusCode());
        assertEquals(200, here.get("/account").statusCode());
        tamsin.get("/people");
        assertEquals(302, tamsin.post("/people/" + id(name) + "/sign-out").statusCode());
        assertEquals(302, here.get("/account").statusCode());
        assertEquals(
                404,
                tamsin.post("/people/" + id("nils@second-yard") + "/sign-out").statusCode());
    }

    /** Twelve hours without an act, however often the page asks for news, or three days in all. */
    @Test
    void a_session_ends_by_itself() {
        for (String change : List.of(
                "CREATION_TIME = CREATION_TIME - 3 * 86400000 - 1000",
                "CREATION_TIME = CREATION_TIME - 13 * 3600000")) {
            String name = name();
            Visitor visitor = Visitor.stranger();
            signsIn(visitor, name, add(name));
            assertEquals(200, visitor.get("/account").statusCode());
            JdbcClient jdbc = Shop.bean(JdbcClient.class);
            jdbc.sql("update SPRING_SESSION set " + change + " where PRINCIPAL_NAME = :name")
                    .param("name", name)
                    .update();
            assertEquals(302, visitor.get("/account").statusCode(), change);
        }
    }

    @Test
    void what_anybody_would_guess_is_no_password() {
        String name = name();
        String password = add(name);
        Visitor fresh = Visitor.stranger();
        signsIn(fresh, name, password);
        fresh.get("/account");
        for (String weak : new String[] {"password1234", "qwertyuiop", "1111111111", name + "2026", "lowlineworks"}) {
            HttpResponse<String> answer =
                    fresh.post("/account/password", "present", password, "fresh", weak, "again", weak);
            assertTrue(answer.body().contains(Said.part("problem.password.trivial")), weak);
        }
    }

    @Test
    void no_other_window_reaches_into_ours() {
        Visitor milo = Visitor.signedIn("milo");
        HttpResponse<String> page = milo.get("/account");
        assertEquals(
                "same-origin",
                page.headers().firstValue("Cross-Origin-Opener-Policy").orElse(""));
    }

    @Test
    void only_a_lead_and_only_in_the_own_shop() {
        Visitor orla = Visitor.signedIn("orla");
        for (String path : new String[] {"/people", "/audit"}) {
            assertEquals(403, orla.get(path).statusCode(), path);
        }
        assertEquals(403, orla.post("/people/" + id("milo") + "/deactivate").statusCode());
        assertEquals(
                404,
                tamsin.post("/people/" + id("nils@second-yard") + "/deactivate").statusCode());
        assertEquals(
                404, tamsin.post("/people/" + id("nils@second-yard") + "/reset").statusCode());
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
        fresh.post("/account/password", "present", password, "fresh", STRONG, "again", STRONG);
        assertTrue(setPin(fresh, STRONG, "2580").endsWith("?pin"));
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
            assertEquals("", setPin(fresh, STRONG, pin), pin);
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
        HttpResponse<String> foreign = tablet.post("/hands", "to", id("nils@second-yard"), "pin", pin);
        assertTrue(foreign.statusCode() == 422 && foreign.body().contains(Said.part("problem.pin.who")));
        assertEquals(1, Visitor.signedIn("pell").get("/hands").body().split(Said.part("hands.stay")).length - 1);
        Shop.bean(JdbcClient.class)
                .sql("delete from attempt where name like 'pin%'")
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
