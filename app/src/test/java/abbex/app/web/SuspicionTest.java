package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import abbex.app.support.Jobs;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A misread is named on the screen while the tape is still out, and the doubt goes when it is taken again. */
@ExtendWith(Shop.class)
class SuspicionTest {
    private static void walk(Page page, String method, String... readings) {
        page.locator("#chip-" + method).click();
        page.waitForURL(url -> url.contains("method=" + method));
        String[] corners = {"LF", "RF", "RR", "LR"};
        for (int i = 0; i < 4; i++) {
            Locator field = page.locator("#in-" + corners[i]);
            field.fill(readings[i]);
            field.press("Enter");
            assertThat(page.locator("#arch-" + corners[i] + ".taken")).isVisible();
        }
    }

    @Test
    void planted_named_and_taken_again() {
        try (Screen screen = Screen.desk().signIn("jorun")) {
            Page page = screen.page;
            screen.open("/arrive");
            page.locator("#plate").fill("SU " + System.nanoTime() % 1_000_000);
            page.locator("#name").fill("test hatch");
            page.keyboard().press("Enter");
            walk(page, "GF", "26 1/2", "26 1/2", "27", "27");
            walk(page, "HF", "14 1/4", "14 1/4", "14 5/8", "14 5/8");
            walk(page, "RIM", "23 1/2", "23 1/2", "23 7/8", "23 7/8");
            page.locator("form[action$='set-down'] button").click();
            walk(page, "GF", "25 1/4", "25 1/4", "25 7/8", "25 7/8");
            walk(page, "RIM", "22 1/4", "22 1/4", "22 3/4", "22 3/4");
            assertThat(page.locator(".suspect")).hasCount(0);
            // A slipped half inch at the left rear.
            walk(page, "HF", "13", "13", "13 1/2", "14");
            assertThat(page.locator("#arch-LR .suspect")).containsText("All others say 13");
            assertThat(page.locator(".suspect")).hasCount(1);
            assertThat(page.locator("#says li").first()).containsText("Left rear, hub to lip: probably misread");
            page.locator("#in-LR").fill("13 1/2");
            page.locator("#in-LR").press("Enter");
            assertThat(page.locator(".suspect")).hasCount(0);
            assertThat(page.locator("#says")).not().containsText("probably misread");
        }
    }

    @Test
    void the_demos_misread_is_named_at_its_arch_and_on_the_floor() {
        try (Screen screen = Screen.desk().signIn("orla")) {
            screen.open("/jobs/" + Jobs.id("GN 2-118") + "/measure");
            assertThat(screen.page.locator("#arch-RF .suspect")).containsText("All others say 13");
            assertThat(screen.page.locator("#says li").first())
                    .containsText("Right front, hub to lip: probably misread");
            screen.page.locator("#arch-LF .fell summary").click();
            assertThat(screen.page.locator("#arch-LF .fell")).containsText("All readings of the job together say 1");
            screen.open("/");
            assertThat(screen.page.locator("main")).containsText("Take again: right front, hub to lip");
        }
    }
}
