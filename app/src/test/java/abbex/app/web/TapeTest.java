package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The enlarged tape by real touches, and the large read-back. */
@ExtendWith(Shop.class)
class TapeTest {
    private Screen screen;
    private Page page;

    @AfterEach
    void close() {
        screen.close();
    }

    private void receive(Screen on, String who) {
        screen = on.signIn(who);
        page = screen.page;
        screen.receive("TP " + System.nanoTime() % 1_000_000);
        assertThat(page.locator("#tape-toggle")).isVisible();
    }

    private void tap(Locator target) {
        assertThat(target).isVisible();
        BoundingBox box = target.boundingBox();
        page.touchscreen().tap(box.x + box.width / 2, box.y + box.height / 2);
    }

    /** The place of a mark on the tape that is shown, beside it by so much of a gap. */
    private double[] mark(int mark, double beside) {
        assertThat(page.locator(".inch svg")
                        .filter(new Locator.FilterOptions().setHas(page.locator("[data-mark='" + mark + "']")))
                        .first())
                .isVisible();
        // In one look: the tape is drawn anew when its room changes.
        List<?> at = (List<?>) page.evaluate(
                "([mark, beside]) => {"
                        + "const one = document.querySelector(`.inch svg [data-mark='${mark}']`);"
                        + "const svg = one.ownerSVGElement;"
                        + "const room = svg.getBoundingClientRect();"
                        + "const x = (path) => Number(path.getAttribute('d').split(/[M ]/)[1]);"
                        + "const [first, second] = svg.querySelectorAll('path.mark');"
                        + "return [room.x + x(one) + beside * (x(second) - x(first)), room.y + room.height / 2];}",
                List.of(mark, beside));
        return new double[] {((Number) at.get(0)).doubleValue(), ((Number) at.get(1)).doubleValue()};
    }

    private void tapMark(int mark, double beside) {
        double[] at = mark(mark, beside);
        page.touchscreen().tap(at[0], at[1]);
    }

    private void nudge(int by) {
        tap(page.locator(".nudge[data-by='" + by + "']"));
    }

    private void take() {
        tap(page.locator("[data-take]"));
    }

    @Test
    void a_walk_by_thumbs_alone() {
        receive(Screen.tablet(), "orla");
        assertThat(page.locator("#tape")).isVisible();
        assertThat(page.locator("#in-LF")).hasAttribute("inputmode", "none");
        assertThat(page.locator(".tape-title")).hasText("Left front, hub to lip");
        // Nothing was read yet: the tape begins in the middle of what is usual.
        nudge(-1);
        tapMark(1, 0);
        assertThat(page.locator("#in-LF")).hasValue("14 1/16");
        take();
        assertThat(page.locator("#arch-LF .hero")).containsText("14");
        assertThat(page.locator(".tape-title")).hasText("Right front, hub to lip");
        // The tape begins where the other side ended.
        tapMark(3, 0);
        assertThat(page.locator("#in-RF")).hasValue("14 3/16");
        take();
        tapMark(7, 0);
        nudge(1);
        assertThat(page.locator("#in-RR")).hasValue("15 7/16");
        nudge(-1);
        take();
        tapMark(16, 0);
        assertThat(page.locator("#in-LR")).hasValue("15");
        take();
        assertThat(page.locator(".arch.taken")).hasCount(4);
        // Taken back by a thumb as well.
        page.locator("#in-LR").tap();
        tap(page.locator("[data-undo]"));
        assertThat(page.locator(".arch.taken")).hasCount(3);
        // It is the arch in work that is taken back, not the last one.
        page.locator("#in-LF").tap();
        tap(page.locator("[data-undo]"));
        assertThat(page.locator("#arch-LF.taken")).hasCount(0);
        assertThat(page.locator("#arch-RR.taken")).hasCount(1);
    }

    @Test
    void what_is_typed_by_keys_is_shown_on_the_tape() {
        receive(Screen.tablet(), "orla");
        page.locator("#in-LF").pressSequentially("17 3/8");
        assertThat(page.locator(".nudge[data-by='1'] span")).hasText("18");
        tapMark(7, 0);
        assertThat(page.locator("#in-LF")).hasValue("17 7/16");
        page.locator("#in-LF").fill("9/16");
        assertThat(page.locator(".nudge[data-by='1'] span")).hasText("1");
        page.locator("#in-LF").fill("17 3/7");
        assertThat(page.locator(".nudge[data-by='1'] span")).hasText("1");
    }

    @Test
    void a_wet_glove_gets_the_nearest_mark_and_between_two_is_past_or_short() {
        receive(Screen.tablet(), "orla");
        nudge(-1);
        for (double slop : new double[] {-0.3, -0.15, 0.15, 0.3}) {
            tapMark(5, slop);
            assertThat(page.locator("#in-LF")).hasValue("14 5/16");
        }
        tapMark(5, 0.43);
        assertThat(page.locator("#in-LF")).hasValue("14 5/16+");
        tapMark(5, 0.57);
        assertThat(page.locator("#in-LF")).hasValue("14 3/8-");
        tap(page.locator("[data-side='-']"));
        assertThat(page.locator("#in-LF")).hasValue("14 3/8");
        tap(page.locator("[data-side='+']"));
        assertThat(page.locator("#in-LF")).hasValue("14 3/8+");
        take();
        assertThat(page.locator("#arch-LF .hero")).containsText("+");
    }

    private static JsonObject touch(String type, double[]... points) {
        JsonArray all = new JsonArray();
        for (double[] point : points) {
            JsonObject one = new JsonObject();
            one.addProperty("x", point[0]);
            one.addProperty("y", point[1]);
            one.addProperty("id", all.size());
            all.add(one);
        }
        JsonObject event = new JsonObject();
        event.addProperty("type", type);
        event.add("touchPoints", all);
        return event;
    }

    @Test
    void two_fingers_and_a_scroll_take_nothing_and_say_so() {
        receive(Screen.tablet(), "orla");
        CDPSession hands = screen.context.newCDPSession(page);
        double[] one = mark(3, 0);
        double[] other = mark(11, 0);
        hands.send("Input.dispatchTouchEvent", touch("touchStart", one));
        hands.send("Input.dispatchTouchEvent", touch("touchStart", one, other));
        hands.send("Input.dispatchTouchEvent", touch("touchEnd"));
        assertThat(page.locator(".tape-status")).hasText(Said.part("script.tape.two"));
        assertThat(page.locator("#in-LF")).hasValue("");
        hands.send("Input.dispatchTouchEvent", touch("touchStart", one));
        for (int i = 1; i < 12; i++) {
            hands.send("Input.dispatchTouchEvent", touch("touchMove", new double[] {one[0], one[1] - 20 * i}));
        }
        hands.send("Input.dispatchTouchEvent", touch("touchEnd"));
        assertThat(page.locator(".tape-status")).hasText(Said.by("script.tape.scroll"));
        assertThat(page.locator("#in-LF")).hasValue("");
        // And a plain tap after it is a tap again.
        tapMark(4, 0);
        assertThat(page.locator("#in-LF")).hasValue("15 1/4");
    }

    @Test
    void a_centimetre_for_who_reads_millimetres() {
        receive(Screen.tablet(), "pell");
        String start = page.locator(".inch text.whole").first().textContent();
        tapMark(3, 0);
        assertThat(page.locator("#in-LF")).hasValue(String.valueOf(Integer.parseInt(start) + 3));
        take();
        assertThat(page.locator("#arch-LF .hero")).containsText(String.valueOf(Integer.parseInt(start) + 3));
    }

    @Test
    void every_target_has_room_for_a_glove() {
        for (boolean tablet : new boolean[] {true, false}) {
            receive(tablet ? Screen.tablet() : Screen.deskThatKeeps(), "orla");
            if (!tablet) {
                page.locator("#tape-toggle").click();
            }
            for (Locator button : page.locator("#tape button:visible").all()) {
                BoundingBox box = button.boundingBox();
                assertTrue(
                        box.width >= 48 && box.height >= 48, button.innerText() + " " + box.width + "x" + box.height);
            }
            assertTrue(mark(1, 0)[0] - mark(0, 0)[0] >= 48, "a mark's room");
            if (tablet) {
                screen.close();
            }
        }
    }

    /** The tape by keys, and a keyboard that is plugged in beside it. */
    @Test
    void keys_do_all_of_it_too() {
        receive(Screen.desk(), "orla");
        assertThat(page.locator("#tape")).isHidden();
        page.keyboard().press("Alt+t");
        assertThat(page.locator("#tape")).isVisible();
        assertThat(page.locator("#in-LF")).isFocused();
        page.keyboard().type("14 1/16");
        assertThat(page.locator(".tape-value")).hasText("14 1⁄16");
        page.keyboard().press("Enter");
        assertThat(page.locator("#in-RF")).isFocused();
        page.locator(".inch").focus();
        for (String key : List.of("ArrowRight", "ArrowRight", "ArrowRight", "PageUp", "PageDown")) {
            page.keyboard().press(key);
        }
        assertThat(page.locator("#in-RF")).hasValue("14 1/8");
        assertThat(page.locator(".inch")).hasAttribute("aria-valuetext", "14 1/8");
        page.keyboard().press("Enter");
        assertThat(page.locator("#arch-RF .hero")).containsText("14");
    }

    @Test
    void two_people_read_and_write() {
        receive(Screen.desk(), "orla");
        page.keyboard().type("14 1/16");
        page.keyboard().press("Enter");
        // Who reads aloud sees first that the first arch is taken.
        assertThat(page.locator("#arch-LF.taken")).isVisible();
        page.keyboard().press("Alt+r");
        Locator panel = page.locator("#tape.aloud");
        assertThat(panel).isVisible();
        assertThat(panel.locator(".tape-title")).hasText("Right front, hub to lip");
        page.keyboard().type("14 3/8");
        assertThat(panel.locator(".tape-value")).hasText("14 3⁄8");
        double size = ((Number) panel.locator(".tape-value").evaluate("e => parseFloat(getComputedStyle(e).fontSize)"))
                .doubleValue();
        assertTrue(size >= 90, "read from the other side of the car: " + size);
        page.keyboard().press("Enter");
        assertThat(panel.locator(".tape-title")).hasText("Right rear, hub to lip");
        page.keyboard().press("Escape");
        assertThat(panel).hasCount(0);
        assertEquals("14 3/8", page.locator("#in-RF").inputValue());
    }

    /** Tread to lip begins at 1 1/2; two inches less is tuck, where past a mark lies to its left. */
    @Test
    void past_a_mark_of_tuck_by_a_thumb() {
        receive(Screen.tablet(), "orla");
        page.locator("#chip-TG").click();
        assertThat(page.locator("#walk")).hasAttribute("data-method", "TG");
        assertThat(page.locator(".tape-title")).hasText("Left front, tread to lip");
        nudge(-1);
        nudge(-1);
        tapMark(10, 0);
        assertThat(page.locator("#in-LF")).hasValue("-3/8");
        tap(page.locator(".side[data-side='+']"));
        assertThat(page.locator("#in-LF")).hasValue("-3/8+");
        assertThat(page.locator(".side[data-side='+']")).hasAttribute("aria-pressed", "true");
        tapMark(10, 0.43);
        assertThat(page.locator("#in-LF")).hasValue("-3/8-");
        take();
        assertThat(page.locator("#arch-LF.taken")).isVisible();
        assertThat(page.locator("#in-LF")).hasValue("-3/8-");
    }

    /** What it fills is never under it: the field, the arch down to the floor line, and the drop, at desk and tablet. */
    @ParameterizedTest(name = "{0} x {1}")
    @CsvSource({"1280,800", "800,1280"})
    void covers_nothing_of_what_it_fills(int width, int height) {
        screen = Screen.of(width, height, false).signIn("orla");
        page = screen.page;
        screen.open("/jobs/" + Jobs.id("KT 4-207") + "/measure");
        if (!page.locator("#tape").isVisible()) {
            page.locator("#tape-toggle").click();
        }
        assertThat(page.locator("#tape")).isVisible();
        for (String corner : List.of("LF", "RF", "RR", "LR")) {
            page.locator("#in-" + corner).focus();
            assertThat(page.locator("#tape .tape-title")).not().isEmpty();
            page.waitForTimeout(100);
            double tape = page.locator("#tape").boundingBox().y;
            for (String part : List.of(".reading", ".elevation", ".under")) {
                BoundingBox box =
                        page.locator("#arch-" + corner + " " + part).first().boundingBox();
                assertTrue(
                        box.y + box.height <= tape + 1 && box.y >= 0,
                        corner + part + " ends at " + (box.y + box.height) + ", the tape begins at " + tape);
            }
        }
    }
}
