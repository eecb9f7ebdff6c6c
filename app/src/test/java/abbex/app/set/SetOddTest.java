package abbex.app.set;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.core.heights.Method;
import abbex.core.setting.SettingFinding;
import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Setting where the car, the scales or the adjusters are not as the time before, or not alike on both sides. */
@ExtendWith(Shop.class)
class SetOddTest {
    private static final String[] THREADS = {
        "kindFRONT",
        "THREAD",
        "pitchFRONT",
        "2 mm",
        "wantedFRONT",
        "335 mm",
        "ratioFRONT",
        "1",
        "kindREAR",
        "THREAD",
        "pitchREAR",
        "2 mm",
        "wantedREAR",
        "343 mm",
        "ratioREAR",
        "1",
        "links",
        "apart"
    };

    private final Visitor orla = Visitor.signedIn("orla");

    private String received(double... heights) {
        String job = UUID.randomUUID().toString();
        orla.post("/arrive", "job", job, "plate", "SO " + job.substring(0, 8), "name", "test coupe");
        read(job, heights);
        return job;
    }

    private void read(String job, double... heights) {
        Jobs.walk(
                orla,
                job,
                "HF",
                Arrays.stream(heights).mapToObj(h -> Math.round(h) + " mm").toArray(String[]::new));
    }

    private void tell(String job, String... form) {
        HttpResponse<String> answer = orla.post("/jobs/" + job + "/set", form);
        assertEquals(302, answer.statusCode(), answer.body());
    }

    private void turned(String job, int before, String... more) {
        List<String> form = new ArrayList<>(List.of("done", "" + before, "locked", "true"));
        form.addAll(List.of(more));
        assertEquals(
                302,
                orla.post("/jobs/" + job + "/set/turned", form.toArray(String[]::new))
                        .statusCode());
    }

    private static String[] with(String[] form, String... more) {
        List<String> all = new ArrayList<>(List.of(form));
        all.addAll(List.of(more));
        return all.toArray(String[]::new);
    }

    private String page(String job) {
        HttpResponse<String> page = orla.get("/jobs/" + job + "/set");
        assertEquals(200, page.statusCode(), page.body());
        return page.body();
    }

    private void state(String job, String... said) {
        orla.post("/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/state", said);
    }

    /** Loaded between two tries: what the load moved is said, and is not taken for what the rings do. */
    @Test
    void a_try_in_another_state_teaches_nothing_of_the_rings() {
        String job = received(325, 325, 333, 333);
        state(job, "LOAD", "empty", "PRESSURE_LF", "33 psi");
        tell(job, THREADS);
        turned(job, 0);
        state(job, "LOAD", "two in front", "PRESSURE_LF", "33 psi");
        read(job, 321, 321, 331, 331);
        String page = page(job);
        assertTrue(page.contains(Said.by("set.changed", "what", "load")), page);
        assertFalse(page.contains("was calculated"), page);
        // The same readings in the same state: rings that lift nothing are learned of.
        String same = received(325, 325, 333, 333);
        tell(same, THREADS);
        turned(same, 0);
        read(same, 321, 321, 331, 331);
        assertTrue(page(same).contains("was calculated"), page(same));
        assertFalse(page(same).contains(Said.part("set.changed").split("\\{")[0].strip()));
    }

    /** Somebody sat in it the one time and not the other; a corrected typing is no other weighing. */
    @Test
    void weights_that_differ_by_a_person_are_asked_about() {
        String job = received(335, 335, 343, 343);
        tell(job, with(THREADS, "weightLF", "800", "weightRF", "820", "weightRR", "760", "weightLR", "770"));
        tell(job, with(THREADS, "weightLF", "980", "weightRF", "820", "weightRR", "760", "weightLR", "770"));
        assertFalse(page(job).contains(Said.by("set.somebody")), "typed anew");
        turned(job, 0);
        read(job, 336, 335, 343, 343);
        tell(job, with(THREADS, "weightLF", "800", "weightRF", "820", "weightRR", "760", "weightLR", "770"));
        assertTrue(page(job).contains(Said.by("set.somebody")), page(job));
        turned(job, 1);
        read(job, 335, 335, 343, 343);
        tell(job, with(THREADS, "weightLF", "805", "weightRF", "825", "weightRR", "760", "weightLR", "770"));
        assertFalse(page(job).contains(Said.by("set.somebody")), page(job));
    }

    /** Bags by their own valves on the right side of a lower pressure; by thumbs, and kept with their unit. */
    @Test
    void air_is_let_in_and_a_side_may_differ() {
        String job = received(335, 335, 330, 340);
        try (Screen screen = Screen.tablet().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/set");
            page.locator("#kindREAR").selectOption("BAG");
            assertThat(page.locator("#pitchREAR")).isHidden();
            page.locator("#wantedREAR").fill("342 mm");
            page.locator("#airREAR").fill("lots");
            page.locator("#liftREAR").fill("8 mm");
            page.locator(".setup fieldset:has(#kindREAR) summary").tap();
            page.locator("#airRightREAR").fill("30 psi");
            page.locator("#setup > .btn-primary").tap();
            assertThat(page.locator("#airREAR-bad")).containsText("lots");
            assertThat(page.locator("#airRightREAR")).hasValue("30 psi");
            page.locator("#airREAR").fill("38");
            page.locator("#setup > .btn-primary").tap();
            assertThat(page.locator(".at-RR .to-do")).containsText("air up, 30 psi to");
            page.locator("#locked").tap();
            page.locator(".turn .btn-primary").tap();
            assertThat(page.locator("#airREAR")).hasValue("38 psi");
            assertEquals(List.of(), screen.complaints());
        }
        String hows = Shop.bean(JdbcClient.class)
                .sql("select hows from setting_move where job_id = :job")
                .param("job", job)
                .query(String.class)
                .single();
        assertTrue(hows.matches("- - a206\\.8\\S*>\\S+ \\S+"), hows);
    }

    /** The right side's own target, and what is left on its own thread. */
    @Test
    void the_right_side_has_its_own_target_and_thread() {
        String job = received(335, 335, 343, 343);
        tell(job, with(THREADS, "wantedRightFRONT", "345 mm", "upRightFRONT", "1/4"));
        String page = page(job);
        assertTrue(page.matches("(?s).*at-RF does.*?1⁄4 turn up.*") || page.contains("1/4"), page);
        assertTrue(
                page.contains(Said.part("set.end").replaceAll("\\{[^}]*\\}", "").split(",")[0]), page);
        assertFalse(page(job).contains(Said.by("set.changed", "what", "load")));
    }

    /** One reads, another reads again after the turn, a corner shows what it showed before: none is mixed with what was before. */
    @Test
    void measured_again_by_somebody_else_and_alike() {
        String job = received(325, 325, 333, 333);
        orla.htmx(
                "/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/readings",
                "corner",
                "LF",
                "method",
                "FG",
                "raw",
                "150 mm",
                "client",
                UUID.randomUUID().toString());
        tell(job, THREADS);
        turned(job, 0);
        Visitor milo = Visitor.signedIn("milo");
        String read = "/jobs/" + job + "/set/measured";
        String client = UUID.randomUUID().toString();
        HttpResponse<String> unread =
                milo.post(read, "client", client, "readLF", "335 mm", "readRF", "tall", "readRR", "343 mm");
        assertEquals(422, unread.statusCode());
        assertTrue(unread.body().contains("tall"));
        assertEquals(
                302,
                milo.post(read, "client", client, "readLF", "335 mm", "readRF", "335 mm", "readRR", "343 mm")
                        .statusCode());
        assertEquals(302, orla.post(read, "client", client, "readLR", "333 mm").statusCode(), "alike");
        String page = page(job);
        assertTrue(page.contains(Said.by("set.done")), "all four were measured");
        UUID shop = UUID.fromString(Shop.bean(JdbcClient.class)
                .sql("select shop_id from job where id = :job")
                .param("job", job)
                .query(String.class)
                .single());
        assertEquals(
                List.of(new SettingFinding.ReadBeforeTurned(List.of(Method.FG))),
                Shop.bean(SetFindings.class)
                        .of(Shop.bean(abbex.app.arrive.Jobs.class)
                                .find(shop, UUID.fromString(job))
                                .orElseThrow()));
        List<String> standing = Shop.bean(JdbcClient.class)
                .sql("""
                        select concat(r.corner, ' ', r.raw) from reading r
                         where r.sheet_id = :sheet and r.method = 'HF' and r.act <> 'WITHDRAW'
                           and not exists (select 1 from reading n where n.supersedes = r.id) order by r.corner
                        """)
                .param("sheet", Jobs.sheet(job))
                .query(String.class)
                .list();
        assertEquals(List.of("LF 335 mm", "LR 333 mm", "RF 335 mm", "RR 343 mm"), standing);
    }

    /** Front and rear typed into each other’s fields after a turn: asked about before anything is turned by it. */
    @Test
    void what_was_typed_the_other_way_round_orders_no_turn() {
        String job = received(325, 325, 343, 343);
        tell(job, THREADS);
        turned(job, 0);
        double[] expected = Arrays.stream(Shop.bean(JdbcClient.class)
                        .sql("select concat_ws(' ', heights, over_hub) from setting_move where job_id = :job")
                        .param("job", job)
                        .query(String.class)
                        .single()
                        .split(" "))
                .mapToDouble(Double::parseDouble)
                .toArray();
        double front = expected[0] + expected[4];
        double rear = expected[2] + expected[6];
        read(job, rear, rear, front, front);
        assertTrue(page(job).contains(Said.part("set.exchanged").split("\\{")[0]), "the page says which first");
        HttpResponse<String> again = orla.post("/jobs/" + job + "/set/turned", "done", "1", "locked", "true");
        assertEquals(422, again.statusCode());
        assertTrue(orla.get("/jobs/" + job + "/sheet").body().contains(Said.by("exchanged.ENDS")), "so does the sheet");
        read(job, front, front, rear, rear);
        assertFalse(page(job).contains(Said.part("set.exchanged").split("\\{")[0]));
    }

    /** What goes in says how it is turned; nothing of it counts before it is taken over. */
    @Test
    void the_plan_fills_in_what_there_is_to_turn() {
        String job = received(355, 355, 363, 363);
        orla.post(
                "/jobs/" + job + "/plan",
                "FRONT_BOX",
                "20 mm",
                "FRONT_PITCH",
                "2 mm",
                "FRONT_TURNS",
                "8",
                "FRONT_RATIO",
                "0.6");
        try (Screen screen = Screen.desk().signIn("orla")) {
            screen.open("/jobs/" + job + "/set");
            assertThat(screen.page.locator("#kindFRONT")).hasValue("THREAD");
            assertThat(screen.page.locator("#pitchFRONT")).hasValue("2 mm");
            assertThat(screen.page.locator("#ratioFRONT")).hasValue("0.6");
            assertThat(screen.page.locator("#wantedFRONT")).not().hasValue("");
            assertThat(screen.page.locator("#kindREAR")).hasValue("NONE");
            assertThat(screen.page.locator(".turn")).hasCount(0);
            screen.page.locator("#setup > .btn-primary").click();
            assertThat(screen.page.locator(".turn")).hasCount(1);
            screen.page.waitForLoadState();
            screen.page.locator("#LF").selectOption("44");
            assertThat(screen.page.locator(".at-LF.does .to-do")).hasText("1 turn up");
            screen.page.locator("#locked").check();
            screen.page.locator(".turn .btn-primary").click();
            assertThat(screen.page.locator(".tries")).containsText("1 turn up");
        }
        // A seat that rises by 2 mm lifts the wheel's corner by more: its spring moves 0.6 mm for 1 mm of the wheel.
        String moves = Shop.bean(JdbcClient.class)
                .sql("select moves from setting_move where job_id = :job")
                .param("job", job)
                .query(String.class)
                .single();
        assertTrue(moves.startsWith("3.3333"), moves);
    }
}
