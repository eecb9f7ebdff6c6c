package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The plan in a browser: typed and dragged, saved, two kits, two people, and the demo's four stories. */
@ExtendWith(Shop.class)
class PlanTest {
    private Screen screen = Screen.desk();

    @AfterEach
    void close() {
        assertEquals(List.of(), screen.complaints());
        screen.close();
    }

    private Page open(String job) {
        Page page = screen.signIn("orla").page;
        screen.open("/jobs/" + job + "/plan");
        assertThat(page.locator("#bench[data-live]")).hasCount(1);
        return page;
    }

    private static String received() {
        Visitor orla = Visitor.signedIn("orla");
        String job = UUID.randomUUID().toString();
        orla.get("/arrive");
        orla.post("/arrive", "job", job, "plate", "PL " + System.nanoTime() % 10_000_000, "name", "plan coupe");
        return job;
    }

    private static void springs(Page page) {
        assertThat(page.locator("#FRONT_NEW_RATE")).not().isVisible();
        page.locator("#FRONT_GETS_SPRINGS").check();
    }

    /** 3,500 N sprung, 0.95, springs by their figures: 28.4 mm, as ComputeKitTest has it from statics, in whatever unit. */
    @Test
    void what_is_typed_is_answered_at_once_and_kept_by_its_button() {
        Page page = open(received());
        assertThat(page.locator(".invited")).hasText(Said.by("plan.empty"));
        page.locator("#FRONT_BOX").fill("30 mm");
        // 1 3/16 in, to the eighth: a printed number is off by a quarter.
        assertThat(page.locator(".planend .dropped")).hasText("↓ 11⁄8″".replace(" 1", "\u00a01\u202f"));
        springs(page);
        page.locator("#FRONT_OLD_RATE").fill("22 N/mm");
        page.locator("#FRONT_OLD_FREE").fill("360 mm");
        page.locator("#FRONT_NEW_RATE").fill("34 N/mm");
        page.locator("#FRONT_NEW_FREE").fill("275 mm");
        assertThat(page.locator(".planend .three").first())
                .containsText(Said.part("three.box").split("\\{")[0].strip());
        page.locator("#bench .btn-primary").click();
        assertThat(page).hasURL(Pattern.compile(".*kit=.*"));
        assertThat(page.locator("#FRONT_NEW_RATE")).hasValue("34 N/mm");
        page.reload();
        assertThat(page.locator(".planend .dropped")).containsText("↓");
        assertThat(page.locator(".stairs b").first()).isVisible();
    }

    @Test
    void what_makes_no_spring_is_named_and_kept() {
        Page page = open(received());
        springs(page);
        page.locator("#FRONT_NEW_RATE").fill("0");
        page.locator("#FRONT_NEW_FREE").fill("250 mm");
        page.locator("#FRONT_NEW_SOLID").fill("260 mm");
        page.locator("#REAR_BOX").fill("30");
        page.locator("#bench .btn-primary").click();
        assertThat(page.locator("#FRONT_NEW_RATE-bad")).not().isEmpty();
        assertThat(page.locator("#FRONT_NEW_SOLID-bad")).not().isEmpty();
        assertThat(page.locator("#REAR_BOX-bad")).not().isEmpty();
        assertThat(page.locator("#FRONT_NEW_SOLID")).hasValue("260 mm");
        assertThat(page.locator("#FRONT_NEW_RATE")).hasValue("0");
    }

    /** Fields follow the kinds, those of a draft too; figures of a kind go once it is unticked and kept, the vehicle's stay. */
    @Test
    void only_what_the_kind_asks_is_asked_and_kept() {
        String job = received();
        Page page = open(job);
        page.locator("#FRONT_GETS_UPRIGHTS").check();
        page.locator("#FRONT_SPINDLE").fill("down 2");
        assertThat(page.locator("#FRONT_NEW_RATE")).not().isVisible();
        assertThat(page.locator(".planend .dropped")).hasCount(1);
        // Not kept yet, and come back to.
        page.reload();
        assertThat(page.locator("#bench[data-live]")).hasCount(1);
        assertThat(page.locator("#FRONT_SPINDLE")).isVisible();
        assertThat(page.locator("#FRONT_SPINDLE")).hasValue("down 2");
        page.locator("#bench .btn-primary").click();
        // With its unit, for whoever reads it in the other one.
        assertThat(page.locator("#FRONT_SPINDLE")).hasValue("down 2 in");
        springs(page);
        page.locator("#FRONT_OLD_RATE").fill("22 N/mm");
        page.locator("#FRONT_OLD_FREE").fill("360 mm");
        page.locator("#FRONT_GETS_UPRIGHTS").uncheck();
        assertThat(page.locator("#FRONT_SPINDLE")).not().isVisible();
        page.locator("#bench .btn-primary").click();
        assertThat(page.locator("#FRONT_OLD_RATE")).hasValue("22 N/mm");
        assertThat(page.locator("#FRONT_SPINDLE")).hasValue("");
        assertThat(page.locator("#FRONT_SPINDLE")).not().isVisible();
    }

    /** A progressive spring that is one rate throughout is that spring; a table that turns back is named. */
    @Test
    void a_progressive_spring_by_its_table() {
        Page page = open(received());
        springs(page);
        page.locator("#FRONT_OLD_RATE").fill("22 N/mm");
        page.locator("#FRONT_OLD_FREE").fill("360 mm");
        page.locator("#FRONT_NEW_RATE").fill("34 N/mm");
        page.locator("#FRONT_NEW_FREE").fill("275 mm");
        assertThat(page.locator(".planend .dropped")).hasCount(1);
        String linear = page.locator(".planend .dropped").innerText();
        page.locator("#FRONT_NEW_TABLE").fill("0 20, 60 26, 180 45 N/mm");
        assertThat(page.locator(".planend .dropped")).not().hasText(linear);
        page.locator("#FRONT_NEW_TABLE").fill("0 34, 180 34 N/mm");
        page.locator("#FRONT_NEW_RATE").fill("");
        assertThat(page.locator(".planend .dropped")).hasText(linear);
        page.locator("#FRONT_NEW_TABLE").fill("0 34, 90 40, 60 45 N/mm");
        page.locator("#bench .btn-primary").click();
        assertThat(page.locator("#FRONT_NEW_TABLE-bad")).not().isEmpty();
        assertThat(page.locator("#FRONT_NEW_TABLE")).hasValue("0 34, 90 40, 60 45 N/mm");
    }

    @Test
    void a_perch_is_dragged_within_its_range() {
        String job = Jobs.id("GN 2-118");
        Page page = open(job);
        page.locator(".plandrawn .grip").first().scrollIntoViewIfNeeded();
        String before = page.locator(".planend .dropped").first().innerText();
        BoundingBox grip = page.locator(".plandrawn .grip").first().boundingBox();
        double x = grip.x + grip.width / 2;
        double y = grip.y + grip.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x, y + 6);
        assertThat(page.locator(".planend .dropped").first()).not().hasText(before);
        // The drawing under the hand is another one by now: the drag goes on.
        page.mouse().move(x, y + 200);
        page.mouse().up();
        assertThat(page.locator("#FRONT_PERCH")).hasValue("15 mm");
        assertThat(page.locator(".planend .dropped").first()).not().hasText(before);
        assertThat(page.locator(".plandrawn .grip")).hasCount(2);
        // By keys: the field says the same.
        page.locator("#FRONT_PERCH").fill("0 mm");
        assertThat(page.locator(".planend .dropped").first()).hasText(before);
    }

    @Test
    void kits_stand_side_by_side_and_one_is_chosen_with_its_reason() {
        String job = received();
        Page page = open(job);
        page.locator("#FRONT_BOX").fill("25 mm");
        page.locator("#NAME").fill("Kit one");
        page.locator("#bench .btn-primary").click();
        assertThat(page).hasURL(Pattern.compile(".*kit=.*"));
        page.locator("#another").fill("Kit two");
        page.locator("#another").press("Enter");
        assertThat(page.locator(".kittabs a[aria-current]")).hasText("Kit two");
        page.locator("#FRONT_BOX").fill("40 mm");
        page.locator("#bench .btn-primary").click();
        page.locator(".kittabs .beside").click();
        assertThat(page.locator(".kits thead th")).hasCount(2);
        page.locator(".kits input[name=reason]").nth(1).fill("lower, says the customer");
        page.locator(".kits .btn").nth(1).click();
        assertThat(page.locator(".kittabs .chosen")).containsText("Kit two");
        screen.open("/jobs/" + job + "/plan/kits");
        assertThat(page.locator(".kits input[name=reason]").nth(1)).hasValue("lower, says the customer");
    }

    /** A kit that the shop has used comes with its figures; what is told of it here changes nothing there, and nothing of another kind. */
    @Test
    void a_kit_from_the_shelf_comes_with_its_figures() {
        Page page = open(received());
        page.locator("#another").fill("Height-adjustable coilovers");
        page.locator("#another").press("Enter");
        assertThat(page.locator("#FRONT_NEW_RATE")).hasValue("80 N/mm");
        assertThat(page.locator("#FRONT_OLD_RATE")).hasValue("");
        page.locator("#FRONT_NEW_RATE").fill("90 N/mm");
        page.locator("#bench .btn-primary").click();
        assertThat(page.locator("#FRONT_NEW_RATE")).hasValue("90 N/mm");
        screen.open("/jobs/" + Jobs.id("GN 2-118") + "/plan");
        assertThat(page.locator("#FRONT_NEW_RATE")).hasValue("80 N/mm");
        screen.open("/jobs/" + Jobs.id("PX 7-340") + "/plan");
        assertThat(page.locator("#shelf option[value='height-adjustable coilovers']"))
                .hasCount(0);
    }

    @Test
    void two_people_plan_at_once_and_the_second_is_told() {
        String job = received();
        Visitor orla = Visitor.signedIn("orla");
        Visitor milo = Visitor.signedIn("milo");
        String address = "/jobs/" + job + "/plan";
        assertEquals(
                302, orla.post(address, "FRONT_BOX", "25 mm", "edition", "0").statusCode());
        Matcher of = Pattern.compile("name=\"kit\" value=\"([0-9a-f-]{36})\"")
                .matcher(orla.get(address).body());
        assertTrue(of.find());
        Matcher edition = Pattern.compile("name=\"edition\" value=\"(\\d+)\"")
                .matcher(orla.get(address).body());
        assertTrue(edition.find());
        String kit = of.group(1);
        assertEquals(
                302,
                milo.post(address, "kit", kit, "FRONT_BOX", "30 mm", "edition", edition.group(1))
                        .statusCode());
        HttpResponse<String> second = orla.post(address, "kit", kit, "FRONT_BOX", "35 mm", "edition", edition.group(1));
        assertEquals(409, second.statusCode());
        assertTrue(second.body().contains("value=\"35 mm\""), "what was typed is still there");
        assertTrue(second.body().contains(Said.by("form.stands", "text", "30 mm")), "and what stands is told");
        assertTrue(orla.get(address).body().contains("value=\"30 mm\""), "nothing was written over");
    }

    @Test
    void four_stories_of_the_demo() {
        Page page = open(Jobs.id("DK 8-590"));
        assertThat(page.locator(".says .stop")).containsText(story("LOOSE_AT_DROOP"));
        assertThat(page.locator(".buys")).containsText(Said.by("buy.DAMPERS"));
        screen.open("/jobs/" + Jobs.id("OS 1-442") + "/plan");
        assertThat(page.locator(".says")).containsText(story("GOES_UP"));
        assertThat(page.locator(".planend .dropped").first()).containsText("↑");
        screen.open("/jobs/" + Jobs.id("HM 6-663") + "/plan");
        assertThat(page.locator(".planend").first()).containsText(story("NO_SHORTER"));
        screen.open("/jobs/" + Jobs.id("GN 2-118") + "/plan/kits");
        assertThat(page.locator(".kits thead th.chosen")).hasCount(1);
        screen.open("/jobs/" + Jobs.id("GN 2-118") + "/plan");
        assertThat(page.locator("#why")).containsText(Said.by("check.TAPE"));
    }

    /** What a finding's title says after the place. */
    private static String story(String code) {
        return Said.by("finding." + code + ".title")
                .replaceAll("^\\{place}: |\\{\\w+}$", "")
                .strip();
    }
}
