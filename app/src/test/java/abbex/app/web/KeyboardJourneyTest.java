package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.microsoft.playwright.Page;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A technician with a keyboard only, from sign-in to the printed sheet of a new car. The heights are invented; the pace of
 * 200 ms a key is the one that was set for this journey.
 */
@ExtendWith(Shop.class)
class KeyboardJourneyTest {
    private static final Duration A_KEY = Duration.ofMillis(200);
    private static final List<String> BEFORE = List.of("14 3/8", "14 3/8", "14 5/8", "14 11/16");
    private static final List<String> AFTER = List.of("13 3/16", "13 3/16", "13 13/16", "13 7/8");

    private Page page;
    private int keys;

    @Test
    void from_sign_in_to_print() {
        try (Screen screen = Screen.deskThatKeeps()) {
            page = screen.page;
            page.addInitScript("window.print = () => { document.documentElement.dataset.printed = 'yes'; };");
            long began = System.nanoTime();
            screen.open("/sign-in");
            // Nobody types before there is a field to type in.
            assertThat(page.locator("#username")).isFocused();
            type("orla");
            press("Tab");
            type(Shop.password());
            press("Enter");
            assertThat(page.locator("h1")).hasText(Said.by("board.title"));
            // No hand is quicker than the page's own script.
            page.waitForLoadState();
            press("n");
            assertThat(page.locator("#plate")).isFocused();
            type("QA 1-001");
            press("Tab");
            type("Hatch, 2022");
            tabTo("outline-CAR-HATCH");
            press("Space");
            tabTo("kit");
            type("springs");
            tabTo("promiseFRONT");
            type("30 mm");
            tabTo("promiseREAR");
            type("20 mm");
            press("Enter");
            assertThat(page.locator("#in-LF")).isFocused();
            int start = keys;
            read(BEFORE);
            int perReading = keys - start;
            setDown();
            read(AFTER);
            assertThat(page.locator("#sum")).containsText("front ↓");
            press("Alt+h");
            assertThat(page.locator(".paper h1")).containsText("QA 1-001");
            assertEquals(
                    "↓ 1 3⁄16″",
                    page.locator(".drop.best")
                            .first()
                            .locator("span")
                            .first()
                            .innerText()
                            .replace('\u202f', ' ')
                            .replace('\u00a0', ' '));
            tabToText(Said.part("sheet.hand-over") + " …");
            press("Enter");
            // New parts, and no card says how they were tightened: asked about once.
            assertThat(page.locator(".answer")).hasCount(1);
            for (int i = 0;
                    i < 40 && page.locator(".answer input[type=radio]:focus").count() == 0;
                    i++) {
                press("Tab");
            }
            press("Space");
            press("Enter");
            assertThat(page.locator(".versions")).containsText(Said.by("sheet.version", "number", "1"));
            tabToText(Said.by("sheet.print"));
            press("Enter");
            assertEquals("yes", page.locator("html").getAttribute("data-printed"));
            Duration worked = Duration.ofNanos(System.nanoTime() - began);
            Duration paced = A_KEY.multipliedBy(keys).plus(worked);
            System.out.printf(
                    "keyboard journey: %d keys, %.2f keys a reading (with Enter), %.1f s at 200 ms a key, machine's time included%n",
                    keys, perReading / 4.0, paced.toMillis() / 1000.0);
            assertTrue(keys * 200 < 180_000, keys + " keys");
            assertTrue(paced.compareTo(Duration.ofMinutes(3)) < 0, paced.toString());
        }
    }

    private void read(List<String> walk) {
        List<String> corners = List.of("LF", "RF", "RR", "LR");
        for (int i = 0; i < 4; i++) {
            assertThat(page.locator("#in-" + corners.get(i))).isFocused();
            type(walk.get(i));
            press("Enter");
        }
        assertThat(page.locator(".arch.taken")).hasCount(4);
    }

    /** After the last arch the focus stands on the next method, where single keys act. */
    private void setDown() {
        press("s");
        assertThat(page.locator(".stages [aria-current]")).containsText(Said.part("stage.FIRST_SET_DOWN"));
    }

    private String focused() {
        return String.valueOf(page.evaluate("document.activeElement.textContent.trim()"));
    }

    private void tabTo(String id) {
        for (int i = 0; i < 15; i++) {
            press("Tab");
            if (id.equals(page.evaluate("document.activeElement.id"))) {
                return;
            }
        }
        throw new AssertionError(id + " was not reached");
    }

    private void tabToText(String text) {
        for (int i = 0; i < 25; i++) {
            press("Tab");
            if (focused().equals(text)) {
                return;
            }
        }
        throw new AssertionError(text + " was not reached");
    }

    private void type(String text) {
        keys += text.length();
        page.keyboard().type(text);
    }

    private void press(String key) {
        keys += 1 + (key.contains("+") ? 1 : 0);
        page.keyboard().press(key);
    }
}
