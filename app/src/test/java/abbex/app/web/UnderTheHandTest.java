package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.app.support.Said;
import abbex.app.support.Screen;
import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The drawing of a corner is touched: a gap in four acts, limits dragged, and what fingers and networks do wrong. */
class UnderTheHandTest extends AtACorner {
    private int acts;

    private void tap(double x, double y) {
        acts++;
        page.touchscreen().tap(x, y);
    }

    private void tap(Locator target) {
        target.scrollIntoViewIfNeeded();
        BoundingBox box = target.boundingBox();
        tap(box.x + box.width / 2, box.y + box.height / 2);
    }

    private void tapHour(Locator face, double hour) {
        live();
        face.scrollIntoViewIfNeeded();
        BoundingBox box = face.boundingBox();
        double out = Math.min(box.width, box.height) / 2 * 0.72;
        double angle = Math.toRadians(30 * hour);
        tap(box.x + box.width / 2 + out * Math.sin(angle), box.y + box.height / 2 - out * Math.cos(angle));
        assertThat(page.locator("#clock")).not().hasValue("");
    }

    private void tapMark(int mark) {
        Locator path = page.locator("#gaptape [data-mark='" + mark + "']").first();
        path.scrollIntoViewIfNeeded();
        BoundingBox box = path.boundingBox();
        tap(box.x + box.width / 2, box.y + box.height + 12);
    }

    @Test
    void a_gap_is_four_taps_clock_face_mark_and_save() {
        receive(Screen.tablet());
        acts = 0;
        tapHour(page.locator("#clock-face"), 1);
        tap(page.locator(".face").nth(1));
        assertThat(page.locator("#place")).hasValue("FENDER_LIP");
        tapMark(7);
        assertThat(page.locator("#gap")).hasValue("7/16");
        tap(page.getByText(Said.part("prove.save")));
        assertThat(place("Fender lip, 1 o’clock")).isVisible();
        assertEquals(4, acts);
        assertThat(place("Fender lip, 1 o’clock"))
                .containsText(Said.by("taken.probe", "read", "7⁄16", "face", Said.by("face.OUTER_SHOULDER")));
        // The list, the cut and the clock show the one place.
        assertThat(page.locator(".places .here")).containsText("Fender lip, 1 o’clock");
        assertThat(page.locator(".clock .at.here")).hasCount(1);
        assertThat(page.locator(".spot-at.here text")).hasText("1");
    }

    @Test
    void a_witness_mark_is_three_taps_wheel_face_and_what_it_was_seen_on() {
        receive(Screen.tablet());
        page.locator(".chip.set")
                .filter(new Locator.FilterOptions().setHasText(Said.by("prove.road")))
                .tap();
        // The ring is drawn to where it was found on its rod.
        Locator rod = page.locator(".ringrod[data-field=bumpRF]");
        drag(rod.locator(".o"), 0, -48);
        assertThat(page.locator("#bumpRF")).hasValue(Pattern.compile("\\d+( \\d+/\\d+)?"));
        page.locator("#bumpLF").fill("2");
        page.locator("#bumpRR").fill("2");
        page.locator("#bumpLR").fill("2");
        page.locator("#driving button").tap();
        Locator wheel = page.locator(".roadwheel[data-corner=RF] .clock");
        assertThat(wheel).isVisible();
        page.waitForLoadState();
        acts = 0;
        tapHour(wheel, 2.5);
        assertThat(page.locator("#corner")).hasValue("RF");
        tap(page.locator(".marks .face").nth(1));
        tap(page.locator("[name=on][value=CHALK]"));
        assertThat(page.locator(".results [data-corner=RF]")).containsText("2.5 o’clock");
        assertThat(wheel.locator(".witness")).hasCount(1);
        assertEquals(3, acts);
        // What it was seen on is said: Enter in the hour's field only leads there.
        live();
        page.locator("#clock").fill("9");
        page.locator("#clock").press("Enter");
        assertThat(page.locator("[name=on]").first()).isFocused();
    }

    private void drag(Locator handle, double right, double down) {
        live();
        handle.scrollIntoViewIfNeeded();
        BoundingBox box = handle.boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        for (int i = 1; i <= 5; i++) {
            page.mouse().move(x + right * i / 5, y + down * i / 5);
        }
        page.mouse().up();
    }

    @Test
    void stop_and_lock_are_dragged_to_where_they_were_measured() {
        receive(Screen.desk());
        assertThat(page.locator(".travel .usual[data-field=stop]")).hasCount(1);
        Locator stop = page.locator(".travel [data-field=stop] .grip");
        // Out of the drawing, and back into it.
        drag(stop, 400, 20);
        assertThat(page.locator("#stop")).hasValue(Pattern.compile("1 \\d+/\\d+"));
        assertThat(page.locator("#dragged")).containsText(Said.by("sweep.STOP"));
        String typed = page.locator("#stop").inputValue();
        // The next tap on the clock is a tap; one on a lock leads to its field and says no hour.
        page.locator("#clock-face").click(new Locator.ClickOptions().setPosition(60, 150));
        assertThat(page.locator("#clock")).not().hasValue("");
        page.locator("#clock").fill("");
        page.locator(".locks [data-field=outer] .grip").click();
        assertThat(page.locator("#outer")).isFocused();
        assertThat(page.locator("#clock")).hasValue("");
        // By its key: what was unfolded may still move the button.
        page.locator("#dragged button").press("Enter");
        assertThat(page.locator(".travel .usual[data-field=stop]")).hasCount(0);
        assertThat(page.locator("#stop")).hasValue(typed);
        drag(page.locator(".locks [data-field=inner] .grip"), 14, -6);
        assertThat(page.locator("#inner")).hasValue(Pattern.compile("[12]\\d"));
        // The end of a drag is no tap on the clock.
        assertThat(page.locator("#clock")).hasValue("");
        // By its key: what was unfolded may still move the button.
        page.locator("#dragged button").press("Enter");
        assertThat(page.locator(".locks .usual")).hasCount(1);
        // A tap on a bracket leads to its field.
        live();
        page.locator(".travel [data-field=droop] .value").click();
        assertThat(page.locator("#droop")).isFocused();
    }

    private void touch(CDPSession cdp, String type, double... at) {
        JsonArray points = new JsonArray();
        for (int i = 0; i < at.length; i += 2) {
            JsonObject point = new JsonObject();
            point.addProperty("x", at[i]);
            point.addProperty("y", at[i + 1]);
            point.addProperty("id", i / 2);
            points.add(point);
        }
        JsonObject event = new JsonObject();
        event.addProperty("type", type);
        event.add("touchPoints", points);
        cdp.send("Input.dispatchTouchEvent", event);
    }

    /** The pose as drawn, once the answers to what was dragged are in. */
    private String stands() {
        String is = page.locator(".cutsvg .planned").getAttribute("transform");
        String was;
        do {
            was = is;
            page.waitForTimeout(700);
            is = page.locator(".cutsvg .planned").getAttribute("transform");
        } while (!is.equals(was));
        return is;
    }

    @Test
    void a_second_finger_moves_nothing_and_without_a_network_the_last_pose_stays() {
        receive(Screen.tabletThatKeeps());
        Page on = page;
        live();
        page.locator("#cut").scrollIntoViewIfNeeded();
        BoundingBox box = page.locator(".cutsvg").boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        CDPSession cdp = on.context().newCDPSession(on);
        touch(cdp, "touchStart", x, y);
        touch(cdp, "touchMove", x, y - 20);
        assertThat(page.locator("#hand-bump + output")).containsText("up");
        String one = page.locator("#hand-bump").inputValue();
        touch(cdp, "touchStart", x, y - 20, x + 30, y);
        touch(cdp, "touchMove", x, y - 20, x + 30, y + 60);
        touch(cdp, "touchEnd");
        assertThat(page.locator("#hand-bump")).hasValue(one);
        cdp.detach();

        String before = stands();
        screen.alone(true);
        page.locator("#hand-bump").focus();
        page.keyboard().press("Home");
        assertThat(page.locator("#hand-bump + output")).containsText("down");
        assertThat(page.locator(".cutsvg .planned")).hasAttribute("transform", before);
        screen.alone(false);
        page.keyboard().press("ArrowUp");
        assertThat(page.locator(".cutsvg .planned")).not().hasAttribute("transform", before);
    }
}
