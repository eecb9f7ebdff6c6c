package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.google.gson.JsonObject;
import com.microsoft.playwright.Page;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A corner of the shop without a network: what was opened stays, what is typed is kept, each reading counts once. */
@ExtendWith(Shop.class)
class NoNetworkTest {
    private static final String[] WALK = {"LF", "RF", "RR", "LR"};
    private static final String[] METHODS = {"HF", "GF", "RIM", "FG", "TG"};

    private static String receive(Screen screen) {
        String plate = "NN " + System.nanoTime() % 1_000_000;
        screen.receive(plate);
        assertThat(screen.page.locator("html")).hasAttribute("data-kept", "true");
        return plate;
    }

    private record Row(String corner, String method, String raw, String initials, Instant at) {}

    /** All rows ever written for a plate, in the order in which they were stored. */
    private static List<Row> rows(String plate) {
        return Shop.bean(JdbcClient.class)
                .sql("""
                        select r.corner, r.method, r.raw, p.initials, r.taken_at from reading r
                          join person p on p.id = r.person_id join sheet s on s.id = r.sheet_id
                          join job j on j.id = s.job_id join vehicle v on v.id = j.vehicle_id
                         where v.plate = :plate order by r.nr
                        """)
                .param("plate", plate)
                .query((row, n) -> new Row(
                        row.getString(1),
                        row.getString(2),
                        row.getString(3),
                        row.getString(4),
                        row.getTimestamp(5).toInstant()))
                .list();
    }

    private static UUID lowline() {
        return UUID.fromString(Shop.bean(JdbcClient.class)
                .sql("select shop_id from person where sign_in_name = 'orla'")
                .query(String.class)
                .single());
    }

    private static void type(Page page, String corner, String text) {
        page.locator("#in-" + corner).fill(text);
        page.locator("#in-" + corner).press("Enter");
    }

    @Test
    void thirty_readings_and_reloads_without_a_network_are_stored_once_each_and_in_order() {
        try (Screen screen = Screen.deskThatKeeps().signIn("orla")) {
            Page page = screen.page;
            String plate = receive(screen);
            screen.alone(true);
            List<String> typed = new ArrayList<>();
            int n = 0;
            for (String method : METHODS) {
                page.locator("#chip-" + method).click();
                assertThat(page.locator("#walk")).hasAttribute("data-method", method);
                assertThat(page.locator("#tape-toggle")).isVisible();
                for (String corner : WALK) {
                    String text = (method.equals("GF") ? 26 : method.equals("RIM") ? 23 : method.equals("HF") ? 14 : 5)
                            + " " + (2 * (n++ % 7) + 1) + "/16";
                    type(page, corner, text);
                    typed.add(corner + " " + method + " " + text);
                    assertThat(page.locator("#waits"))
                            .containsText(
                                    n == 1
                                            ? Said.part("script.waits.one")
                                            : Said.by("script.waits", "count", String.valueOf(n)));
                }
            }
            // The page comes back without a network, with what waits in its fields; ten are corrected.
            page.reload();
            assertThat(page.locator("#waits")).hasText(Said.by("script.waits", "count", "20"));
            assertThat(page.locator("#in-LF")).hasValue(typed.get(16).split(" ", 3)[2]);
            for (int i = 0; i < 10; i++) {
                String corner = WALK[i % 4];
                String text = "6 " + (2 * (i % 7) + 1) + "/16";
                type(page, corner, text);
                typed.add(corner + " TG " + text);
                assertThat(page.locator("#waits"))
                        .containsText(Said.by("script.waits", "count", String.valueOf(21 + i)));
            }
            screen.alone(false);
            assertThat(page.locator("#waits")).isHidden();
            assertThat(page.locator(".arch.taken")).hasCount(4);
            List<String> stored = rows(plate).stream()
                    .map(r -> r.corner() + " " + r.method() + " " + r.raw())
                    .toList();
            assertEquals(typed, stored);
            assertFalse(rows(plate).stream().anyMatch(r -> !r.initials().equals("OV")));
        }
    }

    @Test
    void two_tabs_send_what_waits_once() {
        try (Screen screen = Screen.deskThatKeeps().signIn("orla")) {
            Page page = screen.page;
            String plate = receive(screen);
            screen.alone(true);
            for (String corner : WALK) {
                type(page, corner, "14 1/8");
            }
            assertThat(page.locator("#waits")).hasText(Said.by("script.waits", "count", "4"));
            Page other = screen.context.newPage();
            other.navigate(page.url());
            assertThat(other.locator("#waits")).hasText(Said.by("script.waits", "count", "4"));
            screen.alone(false);
            assertThat(page.locator("#waits")).isHidden();
            assertThat(other.locator("#waits")).isHidden();
            assertThat(other.locator(".arch.taken")).hasCount(4);
            assertEquals(4, rows(plate).size());
        }
    }

    /** What is typed and not sent yet names customers: only who typed it reads it on the device. */
    @Test
    void a_draft_is_sealed_and_comes_back_to_who_typed_it() {
        try (Screen screen = Screen.deskThatKeeps().signIn("orla")) {
            Page page = screen.page;
            screen.open("/arrive");
            page.locator("#plate").fill("SEALED 1");
            page.locator("label[for='outline-CAR-HATCH']").click();
            page.locator("#name").fill("Ymke Dorn");
            page.waitForFunction("() => Object.keys(localStorage).some((k) => k.endsWith(':arrive:new'))");
            String kept = String.valueOf(page.evaluate("() => JSON.stringify({...localStorage})"));
            assertFalse(kept.contains("Ymke") || kept.contains("SEALED"), kept);
            screen.context.clearCookies();
            screen.as("jorun");
            screen.open("/arrive");
            assertThat(page.locator("#name")).hasValue("");
            screen.context.clearCookies();
            screen.as("orla");
            screen.open("/arrive");
            assertThat(page.locator("#name")).hasValue("");
            assertThat(page.locator(".unfinished")).containsText("SEALED 1, Ymke Dorn");
            page.locator(".unfinished a").click();
            assertThat(page.locator("#name")).hasValue("Ymke Dorn");
            assertThat(page.locator("#plate")).hasValue("SEALED 1");
            // One of a former version was not sealed: it counts, and is sealed from then on.
            page.evaluate("() => { const k = Object.keys(localStorage).find((x) => x.endsWith(':arrive:new'));"
                    + " localStorage.setItem(k, JSON.stringify({ name: 'Old Text' })); }");
            page.reload();
            assertThat(page.locator("#name")).hasValue("Old Text");
            page.waitForFunction("() => !JSON.stringify({...localStorage}).includes('Old Text')");
        }
    }

    /** What waits is orla's: jorun on the same device neither reads nor sends it; orla's next sign-in does. */
    @Test
    void a_signed_out_device_keeps_what_waits_for_who_typed_it() {
        try (Screen screen = Screen.deskThatKeeps().signIn("orla")) {
            Page page = screen.page;
            String plate = receive(screen);
            String sheet = page.url();
            screen.alone(true);
            type(page, "LF", "14 3/16");
            type(page, "RF", "14 5/16");
            assertThat(page.locator("#waits")).hasText(Said.by("script.waits", "count", "2"));
            Object plain = page.evaluate("() => JSON.stringify({...localStorage})");
            assertFalse(String.valueOf(plain).contains("14 3/16"), "nothing that waits is left readable: " + plain);
            String shelf = String.valueOf(page.evaluate("""
                    () => new Promise((done) => { const o = indexedDB.open('abbex-waits'); o.onsuccess = () => {
                      const all = o.result.transaction('waits').objectStore('waits').getAll();
                      all.onsuccess = () => done(JSON.stringify(all.result.map((r) => [r.person, new TextDecoder('latin1').decode(r.data)]))); }; })
                    """));
            assertTrue(shelf.contains("[") && !shelf.contains("14 3/16"), shelf);
            // Somebody else signs in before there was a way to send: a session of jorun's on this device.
            screen.context.clearCookies();
            screen.alone(false);
            screen.as("jorun");
            page.navigate(sheet);
            assertThat(page.locator(".who")).hasText("JB");
            assertThat(page.locator("#waits")).isHidden();
            assertEquals("", page.locator("#in-LF").inputValue());
            assertEquals(
                    1L,
                    ((Number) page.evaluate(
                                    "() => caches.keys().then((n) => n.filter((x) => x.startsWith('pages-')).length)"))
                            .longValue(),
                    "orla's pages are gone from the device");
            page.waitForTimeout(4000);
            assertEquals(0, rows(plate).size());
            screen.context.clearCookies();
            screen.as("orla");
            page.navigate(sheet);
            assertThat(page.locator(".arch.taken")).hasCount(2);
            assertEquals(
                    List.of("OV", "OV"), rows(plate).stream().map(Row::initials).toList());
        }
    }

    /** The device's clock is a day ahead; what waited was typed a minute ago by the shop's clock. */
    @Test
    void a_device_clock_a_day_off_changes_nothing() {
        try (Screen screen = Screen.deskThatKeeps().signIn("orla")) {
            Page page = screen.page;
            page.addInitScript("const now = Date.now; Date.now = () => now() + 86400000;");
            String plate = receive(screen);
            screen.alone(true);
            type(page, "LF", "14 3/16");
            assertThat(page.locator("#waits")).isVisible();
            screen.alone(false);
            assertThat(page.locator("#waits")).isHidden();
            Instant at = rows(plate).get(0).at();
            assertTrue(Math.abs(java.time.Duration.between(at, Instant.now()).toMinutes()) < 5, at.toString());
        }
    }

    /** Somebody else read the same spots meanwhile: both stand beside each other. */
    @Test
    void what_others_wrote_meanwhile_stands_beside_it() {
        try (Screen screen = Screen.deskThatKeeps().signIn("orla");
                Screen beside = Screen.deskThatKeeps().signIn("jorun")) {
            Page page = screen.page;
            String plate = receive(screen);
            screen.alone(true);
            type(page, "LF", "14 3/16");
            assertThat(page.locator("#waits")).isVisible();
            beside.page.navigate(page.url());
            type(beside.page, "LF", "14 1/4");
            assertThat(beside.page.locator("#arch-LF.taken")).isVisible();
            screen.alone(false);
            assertThat(page.locator("#waits")).isHidden();
            assertThat(page.locator("#arch-LF .others")).containsText("JB 14");
            assertEquals(2, rows(plate).size());
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"forbidden", "full"})
    void a_device_that_keeps_nothing_says_so_and_still_sends(String why) {
        try (Screen screen = Screen.deskThatKeeps().signIn("orla")) {
            Page page = screen.page;
            if (why.equals("forbidden")) {
                page.addInitScript("IDBFactory.prototype.open = () => { throw new Error('forbidden'); };");
            }
            String plate = receive(screen);
            if (why.equals("full")) {
                // The browser's own quota for this address, a few bytes: nothing more can be kept.
                JsonObject quota = new JsonObject();
                quota.addProperty("origin", Shop.address());
                quota.addProperty("quotaSize", 10);
                screen.context.newCDPSession(page).send("Storage.overrideQuotaForOrigin", quota);
                page.reload();
                assertThat(page.locator("#walk")).isVisible();
                assertThat(page.locator("#tape-toggle")).isVisible();
            }
            screen.alone(true);
            type(page, "LF", "14 3/16");
            assertThat(page.locator("#notice")).containsText(Said.part("script.waits.loose"));
            screen.alone(false);
            assertThat(page.locator("#waits")).isHidden();
            assertEquals(1, rows(plate).size());
        }
    }

    /** Somebody hands the job over while readings wait: they are stored, the sheet says that it changed since. */
    @Test
    void a_job_handed_over_meanwhile_gets_what_waited_as_its_next_version() {
        try (Screen screen = Screen.deskThatKeeps().signIn("orla");
                Screen beside = Screen.deskThatKeeps().signIn("jorun")) {
            Page page = screen.page;
            String plate = receive(screen);
            type(page, "LF", "14 3/16");
            assertThat(page.locator("#arch-LF.taken")).isVisible();
            page.getByText(Said.part("measure.set-down")).click();
            assertThat(page.locator("html")).hasAttribute("data-kept", "true");
            type(page, "LF", "13 1/16");
            assertThat(page.locator("#arch-LF.taken")).isVisible();
            screen.alone(true);
            type(page, "RF", "13 1/8");
            assertThat(page.locator("#waits")).isVisible();
            beside.page.navigate(page.url().replaceAll("/sheets/.*", "/sheet"));
            beside.page.getByText(Said.part("sheet.hand-over")).click();
            assertThat(beside.page.locator(".versions")).containsText(Said.by("sheet.version", "number", "1"));
            screen.alone(false);
            assertThat(page.locator("#waits")).isHidden();
            assertThat(page.locator("#arch-RF.taken")).isVisible();
            assertThat(page.locator(".gone-out")).containsText(Said.part("measure.handed-over"));
            assertEquals(3, rows(plate).size());
            beside.page.navigate(page.url().replaceAll("/sheets/.*", "/sheet"));
            assertThat(beside.page.locator(".versions")).containsText(Said.part("sheet.changes"));
            assertThat(beside.page.locator(".versions")).containsText("13 1/8 (OV)");
        }
    }

    /** A person who was deactivated meanwhile sends nothing more; what was typed stays readable where it was typed. */
    @Test
    void a_person_deactivated_meanwhile_is_told_and_what_was_typed_stays() {
        People people = Shop.bean(People.class);
        UUID shop = lowline();
        String name = "gone" + System.nanoTime() % 1_000_000;
        Person.Likes likes = people.ofShop(shop).get(0).likes();
        UUID id = people.add(shop, name, "Gone Soon", "GS", Role.TECHNICIAN, Shop.password(), false, likes);
        try (Screen screen = Screen.deskThatKeeps().signIn(name)) {
            Page page = screen.page;
            String plate = receive(screen);
            screen.alone(true);
            type(page, "LF", "14 3/16");
            assertThat(page.locator("#waits")).isVisible();
            people.deactivate(shop, people.byId(id).orElseThrow());
            screen.alone(false);
            assertThat(page.locator("#notice")).containsText(Pattern.compile(Said.part("script.sign-in")));
            assertThat(page.locator("#waits")).hasText(Said.part("script.waits.one"));
            assertThat(page.locator("#in-LF")).hasValue("14 3/16");
            assertEquals(0, rows(plate).size());
        }
    }

    /** The sign-in ended, or the person was deactivated, while readings waited: it is said, they stay, and go after the next. */
    @Test
    void a_sign_in_that_ended_meanwhile_is_said_and_nothing_is_lost() {
        try (Screen screen = Screen.deskThatKeeps().signIn("orla")) {
            Page page = screen.page;
            String plate = receive(screen);
            screen.alone(true);
            type(page, "LF", "14 3/16");
            assertThat(page.locator("#waits")).isVisible();
            screen.context.clearCookies();
            screen.alone(false);
            // What waits and the asking for news both hear of it; whichever speaks last says what to do.
            Pattern said =
                    Pattern.compile("(goes under that sign-in only|Your session has ended).*kept.*Sign in and go on");
            assertThat(page.locator("#notice")).containsText(said);
            page.waitForTimeout(4000);
            assertThat(page.locator("#notice")).containsText(said);
            assertThat(page.locator("#waits")).hasText(Said.part("script.waits.one"));
            assertEquals(0, rows(plate).size());
            screen.as("orla");
            page.locator("#notice a").click();
            assertThat(page.locator("#arch-LF.taken")).isVisible();
            assertEquals(1, rows(plate).size());
        }
    }

    /** Whoever leaves without a network leaves nothing to read; what waits goes under its person's next sign-in. */
    @Test
    void signing_out_without_a_network_ends_the_sign_in_and_keeps_what_waits() {
        People people = Shop.bean(People.class);
        Person like = people.ofShop(lowline()).get(0);
        String name = "left" + System.nanoTime() % 1_000_000;
        people.add(like.shop(), name, "Left Early", "LE", Role.TECHNICIAN, Shop.password(), false, like.likes());
        try (Screen screen = Screen.deskThatKeeps().signIn(name)) {
            Page page = screen.page;
            String plate = receive(screen);
            String sheet = page.url();
            Page beside = screen.context.newPage();
            beside.navigate(sheet);
            screen.alone(true);
            type(page, "LF", "14 3/16");
            assertThat(page.locator("#waits")).isVisible();
            page.locator("a.who").click();
            page.locator("#leave").click();
            assertThat(page.locator("#left")).isVisible();
            assertThat(page.locator("#leave")).isHidden();
            assertThat(beside).hasURL(Pattern.compile("/no-network$"));
            page.goBack();
            assertThat(page.locator("#in-LF")).hasCount(0);
            page.navigate(sheet);
            assertThat(page.locator("#in-LF")).hasCount(0);
            screen.alone(false);
            page.navigate(sheet);
            assertThat(page).hasURL(Pattern.compile("/sign-in$"));
            assertEquals(0, rows(plate).size());
            screen.as("jorun");
            page.navigate(sheet);
            assertThat(page.locator("#in-LF")).isVisible();
            assertThat(page.locator("#waits")).isHidden();
            assertEquals(0, rows(plate).size());
            screen.context.clearCookies();
            page.navigate(Shop.address() + "/sign-in");
            page.getByLabel(Said.by("sign-in.name")).fill(name);
            page.getByLabel(Said.by("sign-in.password")).fill(Shop.password());
            page.keyboard().press("Enter");
            page.waitForURL(Shop.address() + "/");
            page.navigate(sheet);
            assertThat(page.locator("#arch-LF.taken")).isVisible();
            assertEquals(1, rows(plate).size());
        }
    }

    /** A page of trouble is no sign-out: what was kept for the person stays. */
    @Test
    void trouble_does_not_throw_the_kept_pages_away() {
        try (Screen screen = Screen.deskThatKeeps().signIn("orla")) {
            Page page = screen.page;
            receive(screen);
            String sheet = page.url();
            screen.open("/no-such-page");
            assertThat(page.locator("h1")).containsText(Said.part("error.head.404"));
            screen.alone(true);
            page.navigate(sheet);
            assertThat(page.locator("#walk")).isVisible();
        }
    }
}
