package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * The keystroke-level time of a before/after sheet of 16 readings with its drops, by keyboard and by thumb, against tape,
 * paper and calculator; docs/keystrokes.md tells how it was counted. Operators after Card, Moran and Newell, The
 * keystroke-level model, 1980, from memory; what that has no operator for is marked as ours.
 */
@ExtendWith(Shop.class)
class KeystrokesTest {
    /** A key, by somebody who types now and then. */
    private static final double KEY = 0.28;
    /** A key of a calculator with fractions to be thought of: the model's "complex codes" and "random letters". */
    private static final double CALCULATOR_KEY = 0.5;
    /** Getting ready in the mind, once for each reading and each result. */
    private static final double MIND = 1.35;
    /** The hand to the pen or back. */
    private static final double HAND = 0.4;
    /** A tap of a gloved finger on a large target, reach and all (ours; the model's pointing with a mouse takes 1.1). */
    private static final double TAP = 0.8;
    /** A character by hand (ours, about 20 words a minute). */
    private static final double WRITTEN = 0.6;

    private static final String[][] BEFORE = {
        {"14 1/4", "14 3/16", "14 9/16", "14 5/8"}, {"26 1/4", "26 3/16", "26 9/16", "26 5/8"}
    };
    private static final String[][] AFTER = {
        {"13 1/16", "13", "13 3/4", "13 13/16"}, {"25 1/16", "25", "25 3/4", "25 13/16"}
    };
    private static final int READINGS = 16;
    private static final int DROPS = 8;
    private static final int MEANS = 2;

    private static double paper() {
        double characters = 0;
        for (String[][] sheet : new String[][][] {BEFORE, AFTER}) {
            for (String[] walk : sheet) {
                for (String text : walk) {
                    characters += text.length();
                }
            }
        }
        double writing = READINGS * (MIND + 2 * HAND) + characters * WRITTEN;
        // "14 + 1 / 4 - ( 13 + 1 / 16 ) =" and back into sixteenths: "x 16 =", then five characters are written.
        double result = 2 * MIND + (17 + 4) * CALCULATOR_KEY + MIND + 2 * HAND + 5 * WRITTEN;
        return writing + (DROPS + MEANS) * result;
    }

    private static void receive(Screen screen) {
        screen.page.addInitScript("""
                addEventListener('keydown', (e) => { if (!['Shift', 'Alt'].includes(e.key)) count('keys'); }, true);
                addEventListener('pointerup', () => count('taps'), true);
                function count(what) { sessionStorage.setItem(what, Number(sessionStorage.getItem(what) || 0) + 1); }
                """);
        screen.receive("KS " + System.nanoTime() % 1_000_000);
        assertThat(screen.page.locator("#tape-toggle")).isVisible();
        screen.page.evaluate("sessionStorage.setItem('keys', 0); sessionStorage.setItem('taps', 0)");
    }

    private static double counted(Page page, String what) {
        return Double.parseDouble(String.valueOf(page.evaluate("w => sessionStorage.getItem(w)", what)));
    }

    private static void report(String how, double seconds, double keys, double taps) {
        System.out.printf(
                "%s: %.0f keys, %.0f taps, %.0f s; paper and calculator %.0f s; share %.2f%n",
                how, keys, taps, seconds, paper(), seconds / paper());
    }

    @Test
    void by_keyboard_in_less_than_half_the_time_of_paper() {
        try (Screen screen = Screen.desk().signIn("orla")) {
            receive(screen);
            Page page = screen.page;
            for (int sheet = 0; sheet < 2; sheet++) {
                for (int method = 0; method < 2; method++) {
                    if (method == 1) {
                        // The walk ends at the next method: Enter goes there.
                        page.locator(".chip[href*='method=GF']").focus();
                        page.keyboard().press("Enter");
                        assertThat(page.locator("#walk")).hasAttribute("data-method", "GF");
                    }
                    assertThat(page.locator("#in-LF")).isFocused();
                    for (String text : (sheet == 0 ? BEFORE : AFTER)[method]) {
                        page.keyboard().type(text);
                        page.keyboard().press("Enter");
                    }
                    assertThat(page.locator(".arch.taken")).hasCount(4);
                }
                if (sheet == 0) {
                    Locator down = page.locator("form[action$='set-down'] button");
                    down.focus();
                    page.keyboard().press("Enter");
                    assertThat(page.locator("#walk[data-method='HF'] .arch.taken"))
                            .hasCount(0);
                }
            }
            double keys = counted(page, "keys");
            double seconds = READINGS * MIND + 3 * MIND + keys * KEY;
            stateByKeys(page);
            double all = counted(page, "keys") + counted(page, "taps");
            report("keyboard, with both states", all * KEY, all, 0);
            assertTrue(all <= 165, all + " keys for the readings and both states");
            report("keyboard", seconds, keys, 0);
            assertTrue(keys / READINGS < 9, keys / READINGS + " keys a reading");
            assertTrue(seconds <= paper() / 2, seconds + " s against " + paper());
            assertThat(page.locator("#sum")).containsText("front ↓ 1");
        }
    }

    @Test
    void by_thumb_in_less_than_half_the_time_of_paper() {
        try (Screen screen = Screen.tablet().signIn("orla")) {
            receive(screen);
            Page page = screen.page;
            for (int sheet = 0; sheet < 2; sheet++) {
                for (int method = 0; method < 2; method++) {
                    if (method == 1) {
                        // The round is read: what took the last reading leads on, to what was read before.
                        if (sheet == 0) {
                            page.locator("#chip-GF").tap();
                        } else {
                            assertThat(page.locator("[data-take]")).containsText("ground to lip");
                            page.locator("[data-take]").tap();
                        }
                        assertThat(page.locator("#walk")).hasAttribute("data-method", "GF");
                    }
                    for (String text : (sheet == 0 ? BEFORE : AFTER)[method]) {
                        tap(page, text);
                    }
                    assertThat(page.locator(".arch.taken")).hasCount(4);
                }
                if (sheet == 0) {
                    page.locator("form[action$='set-down'] button").tap();
                    page.locator("#chip-HF").tap();
                    assertThat(page.locator("#walk[data-method='HF'] .arch.taken"))
                            .hasCount(0);
                }
            }
            double taps = counted(page, "taps");
            double seconds = READINGS * MIND + 4 * MIND + taps * TAP;
            stateByThumb(page);
            double all = counted(page, "keys") + counted(page, "taps");
            report("thumb, with both states", all * TAP, 0, all);
            assertTrue(all <= 90, all + " taps for the readings and both states");
            report("thumb", seconds, 0, taps);
            assertTrue(taps / READINGS < 4, taps / READINGS + " taps a reading");
            assertTrue(seconds <= paper() / 2, seconds + " s against " + paper());
        }
    }

    private static Locator sheet(Page page, int i) {
        return page.locator("#stages a").nth(i);
    }

    /** The state before is typed, pressures one after the other; the one after is the same. */
    private static void stateByKeys(Page page) {
        sheet(page, 0).click();
        page.locator("#state summary").click();
        page.locator("#PRESSURE_LF").focus();
        for (String psi : new String[] {"36", "36", "38", "38"}) {
            page.keyboard().type(psi);
            page.keyboard().press("Tab");
        }
        page.locator(".fill[data-for=LOAD]").first().click();
        page.locator("#LOAD").press("Enter");
        assertThat(page.locator("#state summary")).containsText("36");
        sheet(page, 1).click();
        page.locator("#state summary").click();
        page.locator("[data-same='']").click();
        page.locator("#LOAD").press("Enter");
        assertThat(page.locator("#state summary")).containsText("36");
    }

    private static void stateByThumb(Page page) {
        sheet(page, 0).tap();
        page.locator("#state summary").tap();
        for (String wheel : new String[] {"LF", "RF", "RR", "LR"}) {
            page.locator("#PRESSURE_" + wheel).tap();
            page.keyboard().type("36");
        }
        page.locator(".fill[data-for=LOAD]").first().tap();
        page.locator("#stateform .btn-primary").tap();
        assertThat(page.locator("#state summary")).containsText("36");
        sheet(page, 1).tap();
        page.locator("#state summary").tap();
        page.locator("[data-same='']").tap();
        page.locator("#stateform .btn-primary").tap();
        assertThat(page.locator("#state summary")).containsText("36");
    }

    /** Whole inches by the nudges, the mark by a tap, and it is taken. */
    private static void tap(Page page, String text) {
        String[] parts = text.split(" ");
        int whole = Integer.parseInt(parts[0]);
        int shown = Integer.parseInt(page.locator(".inch text.whole").first().textContent());
        for (int i = 0; i < Math.abs(whole - shown); i++) {
            page.locator(".nudge[data-by='" + (whole > shown ? 1 : -1) + "']").tap();
        }
        int mark = 0;
        if (parts.length > 1) {
            String[] fraction = parts[1].split("/");
            mark = Integer.parseInt(fraction[0]) * 16 / Integer.parseInt(fraction[1]);
        }
        Locator path = page.locator(".inch [data-mark='" + mark + "']").first();
        BoundingBox box = path.boundingBox();
        for (int tries = 0; box == null && tries < 50; tries++) {
            // The inch was drawn anew between being found and being measured.
            page.waitForTimeout(50);
            box = path.boundingBox();
        }
        page.touchscreen().tap(box.x + box.width / 2, box.y + 20);
        String corner = page.locator(".reading.dirty").first().getAttribute("id");
        assertEquals(text, page.locator("#" + corner).inputValue());
        page.locator("[data-take]").tap();
        assertThat(page.locator("#" + corner.replace("in-", "arch-") + ".taken"))
                .hasCount(1);
    }
}
