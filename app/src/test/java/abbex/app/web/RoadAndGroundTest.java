package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What was driven, what lies low, how much air a shop asks for, and what the demo tells of it. */
class RoadAndGroundTest extends AtACorner {
    @Test
    void a_drive_finds_what_nobody_probed_and_proves_what_left_no_mark() {
        receive(Screen.desk());
        probe("INNER_ARCH", "12", "TREAD", "1 1/4");
        assertThat(place("Inner arch, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        page.locator(".chip.set")
                .filter(new Locator.FilterOptions().setHasText(Said.by("prove.road")))
                .click();
        assertThat(page.locator("#roadwheels")).containsText("Inner arch, 12 o’clock");
        page.locator("#lean").fill("steep");
        page.locator("#lean").press("Enter");
        assertThat(page.locator("#lean-bad")).containsText("Enter 0 to 15");
        assertThat(page.locator("#bumpLF-bad")).containsText("Enter 0″ to 11");
        for (String corner : List.of("LF", "RF", "RR", "LR")) {
            page.locator("#bump" + corner).fill(corner.equals("RF") ? "1 7/8" : "48 mm");
        }
        // Nothing is ticked for anybody: what was driven is said.
        assertThat(page.locator("input[name=locks]")).not().isChecked();
        page.locator("input[name=locks]").check();
        page.locator("#lean").fill("2.5");
        page.locator("#lean").press("Enter");
        assertThat(page.locator(".results")).containsText(Said.by("driven.locks", "bump", inches(48), "lean", "2.5"));
        // 32 mm were probed and 48 mm of bump left no mark: it lies further out than that.
        page.locator(".chip.set").first().click();
        assertThat(place("Inner arch, 12 o’clock")).containsText(Said.part("taken.unmarked"));
        page.locator(".chip.set")
                .filter(new Locator.FilterOptions().setHasText(Said.by("prove.road")))
                .click();
        live();
        page.locator("input[name=face][value=OUTER_SHOULDER]").press("Space");
        page.locator("#place").selectOption("LINER_FRONT");
        page.locator("#clock").fill("9.5");
        page.locator("#clock").press("Enter");
        page.locator("[name=on][value=CLAY]").press("Enter");
        assertThat(page.locator(".results")).containsText("Liner, front, 9.5 o’clock");
        assertThat(page.locator(".results")).containsText(Pattern.compile("[Cc]ause"));
        page.locator(".chip.set").first().click();
        assertThat(place("Liner, front, 9.5 o’clock"))
                .containsText(Said.by("taken.mark", "face", Said.by("face.OUTER_SHOULDER")));
        assertThat(place("Liner, front, 9.5 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        delete("Liner, front, 9.5 o’clock");
        page.locator(".chip.set").first().click();
        assertThat(place("Liner, front, 9.5 o’clock")).hasCount(0);
        screen.open("/proven?q=test");
        assertThat(page.locator(".found")).containsText("225/45R17 91W");
    }

    @Test
    void low_points_grounds_and_lamps() {
        receive(Screen.desk());
        page.locator(".chip.set")
                .filter(new Locator.FilterOptions().setHasText(Said.by("prove.ground")))
                .click();
        assertThat(page.locator(".stancesvg")).isVisible();
        low("UNDERSIDE", "front lip", "31", "AHEAD", "4 7/8");
        low("UNDERSIDE", "pan", "50", "BETWEEN", "4 3/4");
        assertThat(page.locator(".angles")).containsText(Said.by("ground.approach"));
        assertThat(page.locator(".angles")).containsText(Said.by("ground.breakover"));
        page.locator(".angles summary").first().click();
        assertThat(page.locator(".angles")).containsText(Said.part("reason.OVERHANG_ANGLE"));
        low("DIPPED_BEAM", "", "28", "AHEAD", "19 1/2");
        assertThat(page.locator(".says")).containsText(Said.by("finding.BELOW_CODE.title", "part", "Dipped beam"));
        assertThat(page.locator(".says")).containsText(Said.part("finding.WITHIN_CODE.text"));
        low("UNDERSIDE", "odd", "far", "AHEAD", "4 7/15");
        assertThat(page.locator("#height-bad")).containsText(Said.part("refusal.NOT_ON_A_TAPE"));
        assertThat(page.locator("#away")).hasValue("far");
        page.locator("#own summary").click();
        page.locator("#called").fill("home");
        page.locator("#points").fill("0, 0\n40, 6\n30, 9");
        page.locator("#own button").click();
        assertThat(page.locator("#points-bad"))
                .containsText(Said.by("problem.ground.folds", "line", "3", "read", "30, 9"));
        assertThat(page.locator("#points")).hasValue("0, 0\n40, 6\n30, 9");
        // What is typed is drawn, a bend a point.
        page.locator("#points").fill("0, 0\n40, 9\n90, 12");
        assertThat(page.locator("#drawn circle")).hasCount(3);
        page.locator("#own button").click();
        assertThat(page.locator(".profile[aria-current]")).containsText("home");
        assertThat(page.locator(".profile[aria-current]")).containsText(Said.by("finding.SCRAPES.title"));
        assertThat(page.locator(".nearest")).containsText("front lip");
        page.locator("#hand-along").focus();
        page.keyboard().press("Home");
        assertThat(page.locator(".nearest")).containsText(Said.part("ground.here"));
        page.locator(".strip a[href$='/sheet']").click();
        assertThat(page.locator(".paper")).containsText(Said.part("sheet.ground"));
        assertThat(page.locator(".paper")).containsText(Said.by("finding.SCRAPES.title"));
    }

    /** A low point is three acts: where it is in the drawing, the mark of the tape, save. */
    @Test
    void a_low_point_is_tapped_under_the_vehicle() {
        receive(Screen.tablet());
        page.locator(".chip.set")
                .filter(new Locator.FilterOptions().setHasText(Said.by("prove.ground")))
                .tap();
        assertThat(page.locator("#lowform[data-live]")).isVisible();
        BoundingBox svg = page.locator(".stancesvg").boundingBox();
        BoundingBox front = page.locator(".stancesvg .tyre").first().boundingBox();
        BoundingBox rear = page.locator(".stancesvg .tyre").last().boundingBox();
        double y = svg.y + svg.height - 24;
        page.touchscreen().tap((front.x + rear.x + rear.width) / 2, y);
        assertThat(page.locator("#from")).hasValue("BETWEEN");
        // Half of 2640 mm, by eye to a quarter of an inch.
        assertThat(page.locator("#away")).hasValue(Pattern.compile("5[12]( \\d/\\d)?"));
        page.touchscreen().tap(front.x - 12, y);
        assertThat(page.locator("#from")).hasValue("AHEAD");
        BoundingBox mark = page.locator("#gaptape [data-mark='8']").first().boundingBox();
        page.touchscreen().tap(mark.x + mark.width / 2, mark.y + mark.height + 10);
        assertThat(page.locator("#height")).hasValue("4 1/2");
        page.locator("#lowform .btn").tap();
        assertThat(page.locator(".angles")).containsText(Said.by("ground.approach"));
        assertThat(page.locator(".profile")).hasCount(5);
    }

    @Test
    void a_lead_sets_how_much_air_is_needed() {
        receive(Screen.desk());
        probe("FENDER_LIP", "12", "TREAD", "90 mm");
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("prove.least") + " 3⁄8″");
        String prove = page.url();
        screen.open("/gaps");
        assertThat(page.locator("main")).containsText(Said.part("gaps.lead"));
        screen.as("tamsin");
        screen.open("/gaps");
        page.locator("#FENDER_LIP").fill("3/7");
        page.locator("#FENDER_LIP").press("Enter");
        assertThat(page.locator("#FENDER_LIP-bad")).containsText(Said.part("refusal.NOT_ON_A_TAPE"));
        assertThat(page.locator("#FENDER_LIP")).hasValue("3/7");
        page.locator("#FENDER_LIP").fill("1/16");
        page.locator("#FENDER_LIP").press("Enter");
        assertThat(page.locator("main")).containsText(Said.part("gaps.saved"));
        page.navigate(prove);
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("prove.least") + " 1⁄16″");
        screen.open("/gaps");
        page.locator("#FENDER_LIP").fill("");
        page.locator("#STRUT").press("Enter");
        page.navigate(prove);
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("prove.least") + " 3⁄8″");
    }

    private void low(String kind, String name, String away, String from, String height) {
        page.locator("#kind").selectOption(kind);
        page.locator("#name").fill(name);
        page.locator("#away").fill(away);
        page.locator("#from").selectOption(from);
        page.locator("#height").fill(height);
        page.locator("#height").press("Enter");
        page.waitForLoadState();
    }

    @Test
    void the_demo_tells_four_stories() {
        screen = Screen.desk().signIn("orla");
        page = screen.page;
        screen.open("/jobs/" + Jobs.id("KT 4-207") + "/prove?corner=LF");
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        assertThat(page.locator(".sets")).containsText("as it came, 17 in: " + Said.by("verdict.CLOSE"));
        screen.open("/jobs/" + Jobs.id("VB 2-094") + "/prove?corner=LF");
        assertThat(place("Liner, rear, 2.5 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        screen.open("/jobs/" + Jobs.id("MQ 381") + "/prove?corner=REAR");
        assertThat(place("Inner arch, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        screen.open("/jobs/" + Jobs.id("LE 3-275") + "/prove/road");
        assertThat(page.locator(".results")).containsText("Liner, front, 9.5 o’clock");
        assertTrue(page.locator(".results").textContent().contains(Said.part("driven.part")));
    }
}
