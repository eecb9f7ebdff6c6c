package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.time.ZoneOffset;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What clears, from the first probe to the remedy in the plan: by fingers, by keys alone, and what is typed wrong. */
@ExtendWith(Shop.class)
class ProveTest {
    private Screen screen;
    private Page page;

    private void receive(Screen on) {
        screen = on.signIn("orla");
        page = screen.page;
        screen.open("/arrive");
        page.locator("#plate").fill("PR " + System.nanoTime() % 1_000_000);
        page.locator("#name").fill("test hatch");
        page.locator("details.more summary").last().click();
        page.locator("#WHEELBASE").fill("2640 mm");
        page.locator("#WHEELBASE").press("Enter");
        assertThat(page.locator(".arch").first()).isVisible();
        page.locator(".strip a").nth(2).click();
        page.locator("#name").fill("as it stands");
        page.locator("#use").selectOption("NOW");
        page.locator("#TYRE_FRONT").fill("225/45R17 91W");
        page.locator("#WHEEL_FRONT").fill("7.5Jx17 ET45");
        page.locator("#WHEEL_FRONT").press("Enter");
        assertThat(page.locator(".fitted")).hasCount(2);
        page.locator(".strip a").nth(3).click();
        assertThat(page.locator(".places")).containsText("Fender lip: " + Said.by("verdict.NOT_LOOKED_AT"));
    }

    @AfterEach
    void close() {
        assertEquals(List.of(), screen.complaints());
        screen.close();
    }

    /** A length as this person reads it. */
    private static String inches(long mm) {
        return Numerals.text(Length.ofMm(mm), new Reader(LengthUnit.INCH, Graduation.SIXTEENTH_INCH, ZoneOffset.UTC));
    }

    private static String clearIf(long bump) {
        return Said.by("verdict.CLEAR_IF", "bump", inches(bump));
    }

    private Locator place(String name) {
        return page.locator(".places li").filter(new Locator.FilterOptions().setHasText(name));
    }

    private void probe(String place, String clock, String face, String gap) {
        page.locator("#clock").fill(clock);
        // By its key: letters that come late would move it away under a click.
        Locator chosen = page.locator("input[name=face][value=" + face + "]");
        chosen.press("Space");
        assertThat(chosen).isChecked();
        page.locator("#place").selectOption(place);
        page.locator("#gap").fill(gap);
        page.locator("#gap").press("Enter");
    }

    /** A finger on the wheel at an hour, so far out that it lies on the tread. */
    private void tapClock(double hour, double out) {
        Locator face = page.locator("#clock-face");
        face.scrollIntoViewIfNeeded();
        BoundingBox box = face.boundingBox();
        double radius = Math.min(box.width, box.height) / 2 * out;
        double angle = Math.toRadians(30 * hour);
        page.touchscreen()
                .tap(
                        box.x + box.width / 2 + radius * Math.sin(angle),
                        box.y + box.height / 2 - radius * Math.cos(angle));
        // The page has moved to the gap's field; only then does the next finger find what it points at.
        assertThat(page.locator("#gap")).isFocused();
    }

    /** To the browser a finger that rests half a second is no tap; on a machine as busy as that it taps again. */
    private void tapFace(String face) {
        Locator chosen = page.locator("input[name=face][value=" + face + "]");
        for (int i = 0; i < 5 && !chosen.isChecked(); i++) {
            page.locator(".face")
                    .filter(new Locator.FilterOptions().setHasText(Said.part("facename." + face)))
                    .tap();
            page.waitForTimeout(500);
        }
        assertThat(chosen).isChecked();
    }

    private void touch(CDPSession cdp, String type, double x, double y) {
        JsonObject point = new JsonObject();
        point.addProperty("x", x);
        point.addProperty("y", y);
        JsonArray points = new JsonArray();
        if (!type.equals("touchEnd")) {
            points.add(point);
        }
        JsonObject event = new JsonObject();
        event.addProperty("type", type);
        event.add("touchPoints", points);
        cdp.send("Input.dispatchTouchEvent", event);
    }

    /** A finger put on the tyre of the cut and drawn away. */
    private void drag(double right, double up) {
        // The drawing inside is taken anew with each pose; what holds it stays.
        page.locator("#cut").scrollIntoViewIfNeeded();
        BoundingBox box = page.locator("#cut").boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 3;
        CDPSession cdp = page.context().newCDPSession(page);
        touch(cdp, "touchStart", x, y);
        for (int i = 1; i <= 8; i++) {
            touch(cdp, "touchMove", x + right * i / 8, y - up * i / 8);
        }
        touch(cdp, "touchEnd", x + right, y - up);
        cdp.detach();
    }

    @Test
    void by_fingers_from_the_probe_to_the_remedy() {
        receive(Screen.tablet());
        tapClock(12, 0.72);
        assertThat(page.locator("#clock")).hasValue("12");
        assertThat(page.locator("#place")).hasValue("INNER_ARCH");
        tapFace("OUTER_SHOULDER");
        assertThat(page.locator("#place")).hasValue("FENDER_LIP");
        page.locator("#gap").fill("2 3/4");
        page.getByText(Said.part("prove.save")).tap();
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        tapClock(9, 0.72);
        assertThat(page.locator("#clock")).hasValue("9");
        assertThat(page.locator("#place")).hasValue("LINER_FRONT");
        page.locator("#gap").fill("2 1/4");
        page.getByText(Said.part("prove.save")).tap();
        assertThat(place("Liner, front, 9 o’clock")).isVisible();

        // The tyre follows the finger, and the gap that is said with it.
        assertThat(page.locator("#nearest")).containsText(Said.by("pose.ride"));
        String before = page.locator(".cutsvg .planned").getAttribute("transform");
        drag(-60, 120);
        assertThat(page.locator("#nearest")).containsText(Said.by("pose.bump"));
        assertThat(page.locator("#nearest")).containsText("left");
        assertThat(page.locator(".cutsvg .planned")).not().hasAttribute("transform", before);
        assertThat(page.locator("#hand-bump + output")).containsText("up");
        place("Fender lip, 12 o’clock").locator(".topose").tap();
        assertThat(page.locator(".spot-at.stop")).hasCount(1);

        page.locator(".ways .btn").first().tap();
        assertThat(page.locator(".plan")).isVisible();
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("verdict.CLEAR"));
        assertThat(page.locator(".cures")).hasCount(0);
        page.locator(".plan .plain").first().tap();
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
    }

    private void tabTo(String selector) {
        for (int i = 0; i < 120; i++) {
            if (page.locator(selector + ":focus").count() > 0) {
                return;
            }
            page.keyboard().press("Tab");
        }
        throw new AssertionError("no key leads to " + selector);
    }

    @Test
    void by_keys_alone_from_the_probe_to_the_remedy() {
        receive(Screen.desk());
        tabTo("input[name=face]");
        page.keyboard().press("ArrowDown");
        tabTo("#clock");
        page.keyboard().type("12");
        assertThat(page.locator("#place")).hasValue("FENDER_LIP");
        tabTo("#gap");
        page.keyboard().type("2 3/4");
        page.keyboard().press("Enter");
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        assertThat(page.locator("#nearest")).containsText(Said.by("pose.ride"));
        tabTo("#hand-bump");
        page.keyboard().press("End");
        assertThat(page.locator("#nearest")).containsText("Bump " + inches(70) + Said.by("pose.crushed"));
        assertThat(page.locator(".spot-at.stop")).hasCount(0);
        tabTo("#hand-steer");
        page.keyboard().press("Home");
        assertThat(page.locator("#nearest")).containsText(Said.part("pose.full.left"));
        tabTo("#hand-roll");
        page.keyboard().press("ArrowRight");
        assertThat(page.locator("#hand-roll + output")).hasText("1° out");
        // The pose where the least gap is, by its link.
        tabTo(".topose");
        page.keyboard().press("Enter");
        assertThat(page.locator("#hand-bump + output")).hasText(Pattern.compile("\\d+ mm up"));
        assertThat(page.locator(".spot-at.stop")).hasCount(1);
        tabTo(".ways .btn");
        page.keyboard().press("Enter");
        assertThat(page.locator(".plan")).isVisible();
        assertThat(place("Fender lip, 12 o’clock")).containsText(clearIf(70));
    }

    @Test
    void what_is_swept_what_is_planned_and_into_the_sheet() {
        receive(Screen.desk());
        probe("FENDER_LIP", "12", "TREAD", "110 mm");
        // Nobody said how far this wheel goes up: it clears only if that holds.
        assertThat(place("Fender lip, 12 o’clock")).containsText(clearIf(70));
        assertThat(place("Fender lip, 12 o’clock").locator(".ask")).containsText(Said.by("ask.BUMP"));
        // Saving what nobody filled in measures nothing.
        page.locator("#stop").press("Enter");
        assertThat(place("Fender lip, 12 o’clock")).containsText(clearIf(70));
        assertThat(page.locator("#stop")).hasAttribute("placeholder", "45 mm");
        // A bare number is in this person's inches.
        page.locator("#stop").fill("45");
        page.locator("#stop").press("Enter");
        assertThat(page.locator("#stop-bad")).containsText(Said.part("problem.range.length"));
        page.locator("#stop-bad .offer").click();
        assertThat(page.locator("#stop")).hasValue("45 mm");
        page.locator("#droop").fill("2 3/8");
        page.locator("#stop").press("Enter");
        assertThat(page.locator("#droop")).hasValue("2 3/8");
        assertThat(place("Fender lip, 12 o’clock")).not().containsText(Said.part("verdict.CLEAR_IF"));
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("verdict.CLEAR"));
        page.locator("#droop").fill("60 mm");
        page.locator("#lower").fill("60 mm");
        page.locator("#lower").press("Enter");
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        assertThat(page.locator("#lower")).hasValue("60 mm");
        assertThat(page.locator(".cures")).containsText(Said.part("remedy.proof"));
        page.locator(".ways .btn").first().click();
        assertThat(page.locator(".plan li").first()).isVisible();
        // A raised body has more bump to its stop: what clears at 60 does not clear by raising.
        assertThat(page.locator("#stop")).hasValue("45 mm");
        page.locator("#lower").fill("40 mm");
        page.locator("#lower").press("Enter");
        assertThat(page.locator("#stop")).hasValue("65 mm");
        assertThat(page.locator("#droop")).hasValue("40 mm");
        page.locator("#lower").fill("60 mm");
        page.locator("#lower").press("Enter");
        assertThat(page.locator("#stop")).hasValue("45 mm");
        String prove = page.url();
        page.locator(".strip a").last().click();
        assertThat(page.locator(".paper")).containsText(Said.part("sheet.clears"));
        assertThat(page.locator(".paper")).containsText(Said.by("sheet.plan"));
        assertThat(page.locator(".paper")).containsText(Said.part("eye.over"));
        page.navigate(prove);
        page.locator("#inner").fill("steep");
        page.locator("#inner").press("Enter");
        assertThat(page.locator("#inner-bad"))
                .containsText(Said.by("problem.range", "read", "steep", "least", "0", "most", "60"));
        assertThat(page.locator("#inner")).hasValue("steep");
        page.locator("#inner").fill("40");
        page.locator("[name=chains]").check();
        page.locator("#inner").press("Enter");
        assertThat(page.locator("#inner")).hasValue("40");
        // 37 mm over the tread are 37 mm less air.
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        page.getByLabel(Said.by("prove.delete.name", "name", "Fender lip, 12 o’clock"))
                .click();
        assertThat(page.locator(".places")).containsText("Fender lip: " + Said.by("verdict.NOT_LOOKED_AT"));
    }

    @Test
    void bad_probes_are_named_and_two_that_contradict_each_other() {
        receive(Screen.desk());
        probe("FENDER_LIP", "13", "OUTER_SHOULDER", "25 7/15");
        assertThat(page.locator("#clock-bad")).containsText(Said.part("problem.clock"));
        assertThat(page.locator("#gap-bad")).containsText(Said.part("refusal.NOT_ON_A_TAPE"));
        assertThat(page.locator("#clock")).hasValue("13");
        probe("STRUT", "12", "INNER_SIDEWALL", "18");
        assertThat(page.locator("#gap-bad")).containsText(Said.part("problem.probe.wide"));
        page.locator("#gap-bad .offer").click();
        assertThat(page.locator("#gap")).hasValue("18 mm");
        page.locator("#gap").press("Enter");
        assertThat(place("Strut or damper, 12 o’clock")).isVisible();
        probe("STRUT", "12", "INNER_SIDEWALL", "-1/4");
        assertThat(page.locator("#gap-bad")).not().isEmpty();
        probe("STRUT", "12", "INNER_SIDEWALL", "1 1/2");
        assertThat(page.locator(".wrong")).containsText(Said.part("contradiction.TWO_GAPS"));
        assertThat(page.locator(".wrong")).containsText("18 mm");
        probe("FRAME", "9", "INNER_SIDEWALL", "11 1/2");
        assertThat(page.locator("#gap-bad")).containsText(Said.part("problem.probe.hub"));
    }

    @Test
    void a_drive_finds_what_nobody_probed_and_proves_what_left_no_mark() {
        receive(Screen.desk());
        probe("INNER_ARCH", "12", "TREAD", "1 1/4");
        assertThat(place("Inner arch, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        page.locator(".chip.set")
                .filter(new Locator.FilterOptions().setHasText(Said.by("prove.road")))
                .click();
        assertThat(page.locator(".chalk")).containsText("Inner arch, 12 o’clock");
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
        assertThat(page.locator(".proved")).containsText(Said.by("driven.locks", "bump", inches(48), "lean", "2.5"));
        // 32 mm were probed and 48 mm of bump left no mark: it lies further out than that.
        page.locator(".chip.set").first().click();
        assertThat(place("Inner arch, 12 o’clock")).containsText(Said.part("taken.unmarked"));
        page.locator(".chip.set")
                .filter(new Locator.FilterOptions().setHasText(Said.by("prove.road")))
                .click();
        page.locator("#place").selectOption("LINER_FRONT");
        page.locator("#face").selectOption("OUTER_SHOULDER");
        page.locator("#clock").fill("9.5");
        page.locator("#clock").press("Enter");
        assertThat(page.locator(".proved")).containsText("Liner, front, 9.5 o’clock");
        assertThat(page.locator(".proved")).containsText(Pattern.compile("[Cc]ause"));
        page.locator(".chip.set").first().click();
        assertThat(place("Liner, front, 9.5 o’clock"))
                .containsText(Said.by("taken.mark", "face", Said.by("face.OUTER_SHOULDER")));
        assertThat(place("Liner, front, 9.5 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        page.getByLabel(Said.by("prove.delete.name", "name", "Liner, front, 9.5 o’clock"))
                .click();
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
        page.locator("#points").fill("0, 0\n40, 9\n90, 12");
        page.locator("#own button").click();
        assertThat(page.locator(".grounds")).containsText("home: " + Said.by("finding.SCRAPES.title"));
        assertThat(page.locator(".nearest")).containsText("front lip");
        page.locator("#hand-along").focus();
        page.keyboard().press("Home");
        assertThat(page.locator(".nearest")).containsText(Said.part("ground.here"));
        page.locator(".strip a").last().click();
        assertThat(page.locator(".paper")).containsText(Said.part("sheet.ground"));
        assertThat(page.locator(".paper")).containsText(Said.by("finding.SCRAPES.title"));
    }

    /** Close for the hour that the eye told: the page asks for a tape, and what is taped counts instead. */
    @Test
    void an_hour_by_eye_is_taped_when_the_page_asks_for_it() {
        receive(Screen.desk());
        probe("LINER_FRONT", "10", "TREAD", "2 11/16");
        page.locator("#stop").fill("30 mm");
        page.locator("#inner").fill("38");
        page.locator("#outer").fill("32");
        page.locator("#outer").press("Enter");
        Locator liner = place("Liner, front, 10 o’clock");
        assertThat(liner).containsText(Said.by("verdict.CLOSE"));
        assertThat(liner.locator(".ask")).containsText(Said.by("ask.AXIS"));
        liner.locator(".ask a").click();
        page.locator("#axis").fill("60 mm");
        page.locator("#outer").press("Enter");
        assertThat(liner).containsText(Said.by("verdict.CLOSE"));
        assertThat(liner.locator(".ask")).containsText(Said.by("ask.HOUR"));
        liner.locator(".ask a").click();
        assertThat(page.locator("#gap")).hasValue("2 11/16");
        assertThat(page.locator("#place")).hasValue("LINER_FRONT");
        page.locator("#along").fill("4");
        page.locator("#along").press("Enter");
        assertThat(page.locator("#along-bad")).containsText("10 o’clock");
        page.locator("#along").fill("13");
        page.locator("#across").fill("14");
        page.locator("#across").press("Enter");
        assertThat(page.locator("#across-bad")).containsText(Said.part("problem.probe.across"));
        page.locator("#across").fill("4 1/2");
        page.locator("#across").press("Enter");
        assertThat(page.locator(".places")).containsText(Said.by("taken.taped", "spot", "13 in, 4 1/2"));
        assertThat(place("Liner, front")).hasCount(1);
        assertThat(place("Liner, front")).containsText(Said.by("verdict.CLEAR"));
        assertThat(place("Liner, front").locator(".ask")).hasCount(0);
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

    private void read(String height) {
        page.locator("#in-LF").fill(height);
        page.locator("#in-LF").press("Enter");
        assertThat(page.locator("#arch-LF.taken")).isVisible();
    }

    @Test
    void what_is_measured_after_lowering_is_measured_there() {
        receive(Screen.desk());
        probe("INNER_ARCH", "12", "TREAD", "150 mm");
        assertThat(page.locator("#lower")).hasValue("");
        String prove = page.url();
        page.locator(".strip a").nth(1).click();
        read("380 mm");
        page.getByText(Said.by("measure.set-down")).click();
        assertThat(page.locator(".stages [aria-current]")).containsText(Said.by("stage.FIRST_SET_DOWN"));
        page.navigate(prove);
        // Lowered, and nobody has measured by how much: that is said, with the reading that tells.
        assertThat(page.locator("#range")).containsText(Said.part("prove.height.missing"));
        page.locator(".strip a").nth(1).click();
        read("340 mm");
        page.navigate(prove);
        assertThat(page.locator("#range"))
                .containsText(Said.by("prove.height", "now", inches(40), "planned", inches(40)));
        assertThat(page.locator("#range")).not().containsText(Said.part("prove.height.missing"));
        assertThat(page.locator("#lower")).hasValue("");
        String first = place("Inner arch, 12 o’clock").locator(".gap").textContent();
        // The same arch probed now, 40 mm lower, is the same point: its gap is the same.
        page.getByLabel(Said.by("prove.delete.name", "name", "Inner arch, 12 o’clock"))
                .click();
        assertThat(place("Inner arch, 12 o’clock")).hasCount(0);
        probe("INNER_ARCH", "12", "TREAD", "110 mm");
        assertThat(place("Inner arch, 12 o’clock").locator(".gap")).hasText(first);
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
        assertThat(page.locator(".proved")).containsText("Liner, front, 9.5 o’clock");
        assertTrue(page.locator(".proved").textContent().contains(Said.part("driven.part")));
    }
}
