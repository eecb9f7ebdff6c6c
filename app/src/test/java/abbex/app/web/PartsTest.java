package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.arrive.Job;
import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.app.workcard.Cards;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Parts that are awaited, arrive and are fitted; a spring under the calliper; tools. */
@ExtendWith(Shop.class)
class PartsTest {
    private final Visitor orla = Visitor.signedIn("orla");

    private String received() {
        String job = UUID.randomUUID().toString();
        orla.post("/arrive", "job", job, "plate", "PA " + job.substring(0, 8), "name", "test hatch");
        HttpResponse<String> told = orla.post(
                "/jobs/" + job + "/plan", "FRONT_NEW_RATE", "28 N/mm", "FRONT_NEW_FREE", "300 mm", "NAME", "Kit one");
        assertEquals(302, told.statusCode(), told.body());
        return job;
    }

    private static Locator line(Page page, String name) {
        return page.locator(".bill > li").filter(new Locator.FilterOptions().setHasText(name));
    }

    @Test
    void awaited_then_here_then_fitted() {
        String job = received();
        try (Screen screen = Screen.tablet().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/plan");
            page.locator(".kittabs a[href$='/parts']").tap();
            Locator springs = line(page, "spring, front").first();
            assertThat(springs).containsText("2 × spring");
            springs.locator("summary").first().tap();
            springs.locator("button[value=NOT_NEEDED]").tap();
            assertThat(line(page, "spring, front").first().locator(".bad").nth(1))
                    .hasText(Said.by("problem.parts.reason"));
            springs = line(page, "spring, front").first();
            springs.locator("input[type=date]").fill(LocalDate.now().plusDays(4).toString());
            springs.locator("input[name^=remark]").fill("north depot, 64");
            springs.locator("button[value=ASKED]").tap();
            assertThat(line(page, "spring, front").first()).containsText("awaited");
            assertThat(line(page, "spring, front").first()).containsText("north depot, 64");
            screen.open("/");
            assertThat(page.locator("#board"))
                    .containsText(
                            Said.by("parts.waits", "what", "spring", "day", "").substring(0, 17));
            screen.open("/jobs/" + job + "/parts");
            line(page, "spring, front").first().locator("button[value=HERE]").tap();
            assertThat(line(page, "spring, front").first()).containsText(Said.by("parts.is.HERE"));
            assertEquals(List.of(), screen.complaints());
        }
        fit(job);
        String page = orla.get("/jobs/" + job + "/parts").body();
        assertTrue(page.contains(Said.by("parts.is.FITTED")), page);
    }

    /** Ticks the steps that put springs on, as a card does. */
    private void fit(String id) {
        orla.post("/jobs/" + id + "/fit", "lift", "yes");
        Job job = Shop.bean(abbex.app.arrive.Jobs.class)
                .find(shop(id), UUID.fromString(id))
                .orElseThrow();
        Shop.bean(Cards.class).needs(job).card().steps().stream()
                .filter(step -> step.step().on().contains("spring"))
                .forEach(step -> Shop.bean(JdbcClient.class)
                        .sql("""
                                insert into card_entry (shop_id, job_id, client, what, step, item, text, more, value, spec_seq,
                                                        person_id, made_at)
                                values (:shop, :job, :client, 'TICKED', :step, '', '', '', 0, 0, :person, utc_timestamp())
                                """)
                        .param("shop", shop(id).toString())
                        .param("job", id)
                        .param("client", UUID.randomUUID().toString())
                        .param("step", step.key())
                        .param("person", Jobs.person("orla"))
                        .update());
    }

    private static UUID shop(String job) {
        return UUID.fromString(Shop.bean(JdbcClient.class)
                .sql("select shop_id from job where id = :job")
                .param("job", job)
                .query(String.class)
                .single());
    }

    /** d 12 mm, D 120 mm, 6 coils that work, G 79,500: 19.9 N/mm (EN 13906-1), where the listing said 28. */
    @Test
    void a_calliper_outranks_the_listing() {
        String job = received();
        try (Screen screen = Screen.desk().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/parts");
            Locator bench = page.locator(".under-calliper");
            bench.locator("#wireFRONT").fill("12 mm");
            bench.locator("#outsideFRONT").fill("20 mm");
            bench.locator("#freeFRONT").fill("290 mm");
            bench.locator("#coilsFRONT").fill("7.75");
            bench.locator("button").first().click();
            assertThat(page.locator("#outsideFRONT-bad")).containsText("three wires");
            assertThat(page.locator("#coilsFRONT")).hasValue("7.75");
            page.locator("#outsideFRONT").fill("132 mm");
            bench.locator("button").first().click();
            assertThat(bench.locator(".found li")).hasCount(2);
            assertThat(bench.locator(".found li").first()).containsText("another spring");
            bench.locator("button[name=take]").click();
            assertThat(page.locator("#FRONT_NEW_RATE")).hasValue("19.9 N/mm");
            assertThat(page.locator("#FRONT_NEW_FREE")).hasValue("290.0 mm");
            assertThat(page.locator("[name='FRONT_NEW_CALLIPER']").last()).isChecked();
            assertEquals(List.of(), screen.complaints());
        }
        HttpResponse<String> stale = orla.post(
                "/jobs/" + job + "/parts/bench",
                "end",
                "FRONT",
                "wireFRONT",
                "12 mm",
                "outsideFRONT",
                "132 mm",
                "freeFRONT",
                "290 mm",
                "coilsFRONT",
                "7.75",
                "take",
                "true",
                "edition",
                "1");
        assertEquals(422, stale.statusCode());
        assertTrue(stale.body().contains(Said.by("problem.parts.plan")));
    }

    @Test
    void tools_of_the_shop_stay_said_and_hired_ones_are_of_one_job() {
        String one = received();
        String other = received();
        String address = "/jobs/" + one + "/parts/tools";
        assertEquals(
                302, orla.post(address, "tool", "Torque wrench", "what", "HAVE").statusCode());
        assertEquals(
                302, orla.post(address, "tool", "Breaker bar", "what", "HIRE").statusCode());
        assertEquals(
                302,
                orla.post(address, "tool", "A tool of no step", "what", "HAVE").statusCode());
        String here = orla.get("/jobs/" + one + "/parts").body();
        assertTrue(here.contains(Said.by("parts.tool.HIRE")), here);
        String there = orla.get("/jobs/" + other + "/parts").body();
        assertTrue(there.contains("<span class=\"soft\">" + Said.by("parts.tool.HAVE")), there);
        assertFalse(there.contains(Said.by("parts.tool.HIRE")), there);
        assertFalse(there.contains("A tool of no step"));
        orla.post(address, "tool", "Torque wrench", "what", "OPEN");
    }

    /** In the hand: the new damper is 52 mm shorter, as it should be, and its eye too wide, which it should not. */
    @Test
    void what_differs_is_in_the_verdict_and_the_length_in_the_plan() {
        String job = received();
        orla.post("/jobs/" + job + "/plan", "FRONT_NEW_LONG", "600 mm", "FRONT_NEW_RATE", "28 N/mm", "NAME", "Kit one");
        try (Screen screen = Screen.tablet().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/parts");
            line(page, "damper, front").first().locator(".to-beside").tap();
            assertThat(page.locator("#oldLength")).isVisible();
            page.waitForLoadState();
            page.locator("#oldLength").fill("612 mm");
            page.locator("#newLength").fill("560 mm");
            page.locator("#oldBore").fill("12.1 mm");
            page.locator("#newBore").fill("14.1 mm");
            page.locator("#newThread").fill("M12 fine");
            page.locator(".beside-acts button").first().tap();
            assertThat(page.locator("#newThread-bad")).containsText("M12 fine");
            assertThat(page.locator("#newBore")).hasValue("14.1 mm");
            page.locator("#oldThread").fill("M12x1.25");
            page.locator("#newThread").fill("M12x1.25");
            page.locator(".beside-acts button").first().tap();
            assertThat(page.locator(".found-unlike .look")).hasCount(1);
            assertThat(page.locator(".found-unlike .clear")).hasCount(1);
            assertThat(page.locator(".two-parts .fresh.unlike-bore")).hasCount(1);
            assertTrue(verdict(job).contains(Said.by("finding.NOT_ALIKE.title")), verdict(job));
            page.locator("#because").fill("sleeves in the bag, 14 to 12");
            page.locator(".beside-acts button[name=take]").tap();
            assertThat(page.locator("#FRONT_NEW_LONG")).hasValue("560 mm");
            assertThat(page.locator("#FRONT_OLD_LONG")).hasValue("612 mm");
            assertFalse(verdict(job).contains(Said.by("finding.NOT_ALIKE.title")));
            assertEquals(List.of(), screen.complaints());
        }
        // Stale, gone from the plan, another shop's: what was typed stays, and nothing of it is taken.
        String address = "/jobs/" + job + "/parts/beside";
        HttpResponse<String> stale =
                orla.post(address, "line", "damper@front", "newLength", "555 mm", "take", "true", "edition", "1");
        assertEquals(422, stale.statusCode());
        assertTrue(stale.body().contains(Said.by("problem.parts.plan"))
                && stale.body().contains("555 mm"));
        HttpResponse<String> gone = orla.post(address, "line", "bag@rear", "part", "helper bags", "oldBore", "31 mm");
        assertEquals(422, gone.statusCode());
        assertTrue(gone.body().contains(Said.by("problem.parts.gone"))
                && gone.body().contains("31 mm"));
        assertEquals(404, orla.get(address + "?line=bag@rear").statusCode());
    }

    private String verdict(String job) {
        return orla.get("/jobs/" + job + "/hand-over").body();
    }

    /** Ticked piece by piece; a second-hand kit's missing piece is asked for, its number and price stay beside it. */
    @Test
    void a_makers_list_is_ticked_and_what_a_line_is_and_costs_is_kept() {
        String job = received();
        String address = "/jobs/" + job + "/parts";
        String client = UUID.randomUUID().toString();
        assertEquals(422, orla.post(address + "/list", "list", "\n - \n").statusCode());
        for (int n = 0; n < 2; n++) {
            orla.post(address + "/list", "client", client, "list", "2 x top mount\nring wrench\ndust boot x2");
        }
        try (Screen screen = Screen.desk().signIn("orla")) {
            Page page = screen.page;
            screen.open(address);
            assertThat(line(page, "top mount")).hasCount(1);
            line(page, "top mount").locator("button[value=HERE]").click();
            assertThat(line(page, "top mount")).containsText(Said.by("parts.is.HERE"));
            // The page that came of it is whole before the next hand is laid on it.
            page.waitForLoadState();
            Locator stop = line(page, "2 × dust boot");
            stop.locator("summary").last().click();
            assertThat(stop.locator("button[value=NOTED]")).isVisible();
            stop.locator("input[name^=price]").fill("9,50 each");
            stop.locator("button[value=NOTED]").click();
            stop = line(page, "2 × dust boot");
            assertThat(stop.locator(".bad", new Locator.LocatorOptions().setHasText("9,50 each")))
                    .isVisible();
            stop.locator("input[name^=price]").fill("9,50");
            stop.locator("input[name^=freight]").fill("4");
            stop.locator("input[name^=number]").fill("2219-40");
            stop.locator("button[value=NOTED]").click();
            assertThat(line(page, "2 × dust boot")).containsText("2219-40");
            assertThat(line(page, "2 × dust boot")).containsText("23.00");
            assertThat(page.locator(".parts-sum")).containsText("23.00");
            Jobs.walk(orla, job, "HF", "14 1/2", "14 1/2", "14 3/8", "14 3/8");
            orla.post("/jobs/" + job + "/set-down");
            Jobs.walk(orla, job, "HF", "13 1/2", "13 1/2", "13 3/8", "13 3/8");
            // The number is on the sheet, for once the boot is on it is hidden.
            screen.open("/jobs/" + job + "/sheet");
            assertThat(page.locator(".paper")).containsText("2219-40");
            assertEquals(List.of(), screen.complaints());
        }
    }

    /** A line that the plan does not want any more, the same sent twice, a negative count, another shop's hands. */
    @Test
    void odd_things_said_of_parts() {
        String job = received();
        String address = "/jobs/" + job + "/parts";
        assertEquals(
                422, orla.post(address, "line", "spring@rear", "what", "HERE").statusCode());
        assertEquals(
                422,
                orla.post(address + "/add", "name", "brake hose", "pieces", "-2")
                        .statusCode());
        String client = UUID.randomUUID().toString();
        for (int n = 0; n < 2; n++) {
            assertEquals(
                    302,
                    orla.post(address + "/add", "name", "brake hose", "pieces", "2", "client", client)
                            .statusCode());
        }
        String page = orla.get(address).body();
        assertEquals(1, page.split("2 × brake hose</b>", -1).length - 1, page);
        assertEquals(302, orla.post(address, "why", "ADDED", "what", "HERE").statusCode());
        // Here, taken back and here again, all from one page that is older by then; each sent twice.
        for (String what : List.of("HERE", "HERE", "REOPENED", "REOPENED", "HERE", "HERE", "REOPENED")) {
            assertEquals(
                    302,
                    orla.post(address, "line", "spring@front", "what", what).statusCode());
        }
        assertEquals(
                List.of("HERE", "REOPENED", "HERE", "REOPENED"),
                Shop.bean(JdbcClient.class)
                        .sql("select what from part_entry where job_id = :job and line = 'spring@front' order by seq")
                        .param("job", job)
                        .query(String.class)
                        .list());
        assertEquals(
                404,
                Visitor.signedIn("nils@second-yard")
                        .post(address, "why", "ADDED", "what", "HERE")
                        .statusCode());
        orla.post("/jobs/" + job + "/fit", "lift", "yes");
        assertEquals(
                302,
                orla.post(address, "why", "SUPPLIED", "what", "ASKED", "due", "2026-01-02")
                        .statusCode());
    }
}
