package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.app.support.Screen;
import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What clears at a corner, from the first probe to the remedy in the plan: by fingers, by keys alone, and what is typed wrong. */
class ProveTest extends AtACorner {
    /** A finger on the wheel at an hour, so far out that it lies on the tread. */
    private void tapClock(double hour, double out) {
        live();
        Locator face = page.locator("#clock-face");
        face.scrollIntoViewIfNeeded();
        BoundingBox box = face.boundingBox();
        double radius = Math.min(box.width, box.height) / 2 * out;
        double angle = Math.toRadians(30 * hour);
        page.touchscreen()
                .tap(
                        box.x + box.width / 2 + radius * Math.sin(angle),
                        box.y + box.height / 2 - radius * Math.cos(angle));
        // The page has moved to the tyre's faces; only then does the next finger find what it points at.
        assertThat(page.locator("input[name=face]:checked")).isFocused();
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
        live();
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

        // It opens where the worst place is; from ride height the tyre follows the finger, and the gap that is said
        // with it.
        assertThat(page.locator("#nearest")).containsText("Fender lip, 12 o’clock");
        assertThat(page.locator(".spot-at.stop.here")).hasCount(1);
        page.locator(".travel .ride text").first().tap();
        assertThat(page.locator("#nearest")).containsText(Said.by("pose.ride"));
        String before = page.locator(".cutsvg .planned").getAttribute("transform");
        drag(-60, 120);
        assertThat(page.locator("#nearest")).containsText(Said.by("pose.bump"));
        assertThat(page.locator("#nearest")).containsText("left");
        assertThat(page.locator(".cutsvg .planned")).not().hasAttribute("transform", before);
        assertThat(page.locator("#hand-bump + output")).containsText("up");
        // The next tap comes when the drawing that this one asks for is there: one that falls into its exchange is
        // lost.
        page.waitForResponse(
                answer -> answer.url().contains("/cut"),
                () -> place("Fender lip, 12 o’clock").locator(".topose").tap());
        assertThat(page.locator(".spot-at.stop.here")).hasCount(1);

        page.locator(".ways .btn").first().tap();
        assertThat(page.locator(".plan")).containsText(Said.by("remedy.planned"));
        assertThat(page.locator(".plan")).containsText(Said.part("remedy.then"));
        // What is only planned ends no stop.
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        assertThat(page.locator(".cures")).hasCount(0);
        page.locator(".plan .plain").first().tap();
        assertThat(page.locator(".plan")).hasCount(0);
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
        tabTo("#clock");
        page.keyboard().type("12");
        tabTo("input[name=face]");
        page.keyboard().press("ArrowDown");
        assertThat(page.locator("#place")).hasValue("FENDER_LIP");
        tabTo("#gap");
        page.keyboard().type("2 3/4");
        page.keyboard().press("Enter");
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        assertThat(page.locator(".spot-at.stop.here")).hasCount(1);
        live();
        page.keyboard().press("r");
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
        assertThat(page.locator("#hand-bump + output")).hasText(Pattern.compile("[\\d⁄\u202f]+″ up"));
        assertThat(page.locator(".spot-at.stop")).hasCount(1);
        tabTo(".ways .btn");
        page.keyboard().press("Enter");
        assertThat(page.locator(".plan")).containsText(Said.by("remedy.planned"));
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
        tabTo(".plan .btn");
        page.keyboard().press("Enter");
        assertThat(page.locator(".plan")).containsText(Said.part("remedy.fitted"));
        // Fitted, and not measured again.
        assertThat(place("Fender lip, 12 o’clock")).containsText(Said.by("verdict.TOUCHES"));
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
        takeOffer("stop");
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
        page.locator(".strip a[href$='/sheet']").click();
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
        delete("Fender lip, 12 o’clock");
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
        takeOffer("gap");
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
        page.waitForLoadState();
        liner.locator(".ask a").click();
        page.locator("#axis").fill("60 mm");
        page.locator("#outer").press("Enter");
        assertThat(liner).containsText(Said.by("verdict.CLOSE"));
        assertThat(liner.locator(".ask")).containsText(Said.by("ask.HOUR"));
        // What was begun for another gap stays with that one.
        page.locator("#gap").fill("9/16");
        page.waitForLoadState();
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
        assertThat(page.locator(".places")).containsText(Said.by("taken.taped", "spot", "13 in, 4 1⁄2"));
        assertThat(place("Liner, front")).hasCount(1);
        assertThat(place("Liner, front")).containsText(Said.by("verdict.CLEAR"));
        assertThat(place("Liner, front").locator(".ask")).hasCount(0);
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
        // The same arch probed now, 40 mm lower, is the same point: its gap is the same, and lowering leaves it no
        // longer open.
        double first = gapInches();
        delete("Inner arch, 12 o’clock");
        assertThat(place("Inner arch, 12 o’clock")).hasCount(0);
        probe("INNER_ARCH", "12", "TREAD", "110 mm");
        assertThat(place("Inner arch, 12 o’clock")).hasCount(1);
        // Shown no finer than each is known.
        assertEquals(first, gapInches(), 1 / 8.0);
    }

    private double gapInches() {
        String text = place("Inner arch, 12 o’clock").locator(".gap").textContent();
        Matcher read =
                Pattern.compile("^\\s*(\\d+)?[\\s\\u202f]*(?:(\\d+)⁄(\\d+))?″").matcher(text);
        assertTrue(read.find(), text);
        double whole = read.group(1) == null ? 0 : Integer.parseInt(read.group(1));
        return read.group(2) == null
                ? whole
                : whole + (double) Integer.parseInt(read.group(2)) / Integer.parseInt(read.group(3));
    }
}
