package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.SelectOption;
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
            screen.receive("SU " + System.nanoTime() % 1_000_000);
            walk(page, "GF", "26 1/2", "26 1/2", "27", "27");
            walk(page, "HF", "14 1/4", "14 1/4", "14 5/8", "14 5/8");
            walk(page, "RIM", "23 1/2", "23 1/2", "23 7/8", "23 7/8");
            page.locator("form[action$='set-down'] button").click();
            walk(page, "GF", "25 1/4", "25 1/4", "25 7/8", "25 7/8");
            walk(page, "RIM", "22 1/4", "22 1/4", "22 3/4", "22 3/4");
            assertThat(page.locator(".suspect")).hasCount(0);
            // A slipped half inch at the left rear.
            walk(page, "HF", "13", "13", "13 1/2", "14");
            assertThat(page.locator("#arch-LR .suspect")).containsText("The others give 13");
            assertThat(page.locator(".suspect")).hasCount(1);
            assertThat(page.locator("#says li").first())
                    .containsText(Said.by("finding.READING_SUSPECT.title", "place", "Left rear, hub to lip"));
            page.locator("#in-LR").fill("13 1/2");
            page.locator("#in-LR").press("Enter");
            assertThat(page.locator(".suspect")).hasCount(0);
            assertThat(page.locator("#says")).not().containsText(Said.part("finding.READING_SUSPECT.title"));
        }
    }

    @Test
    void the_demos_misread_is_named_at_its_arch_and_on_the_floor() {
        try (Screen screen = Screen.desk().signIn("orla")) {
            screen.open("/jobs/" + Jobs.id("GN 2-118") + "/measure");
            assertThat(screen.page.locator("#arch-RF .suspect")).containsText("The others give 13");
            assertThat(screen.page.locator("#says li").first())
                    .containsText(Said.by("finding.READING_SUSPECT.title", "place", "Right front, hub to lip"));
            screen.page.locator("#arch-LF .fell summary").click();
            assertThat(screen.page.locator("#arch-LF .fell")).containsText(Said.part("adjusted"));
            screen.open("/");
            assertThat(screen.page.locator("main"))
                    .containsText(Said.by("next.again", "place", "right front", "way", "hub to lip"));
        }
    }

    /** On one sheet the data cannot choose; what is asked for is read by somebody else, and then they do. */
    @Test
    void what_settles_it_is_asked_for() {
        String sheet;
        try (Screen screen = Screen.desk().signIn("jorun")) {
            Page page = screen.page;
            screen.receive("SE " + System.nanoTime() % 1_000_000);
            walk(page, "GF", "26 1/2", "26 1/2", "27", "27");
            walk(page, "RIM", "23 1/2", "23 1/2", "23 7/8", "23 7/8");
            walk(page, "HF", "14 1/4", "14 3/4", "14 5/8", "14 5/8");
            assertThat(page.locator("#says li").first())
                    .containsText(Said.by("asked.again", "spot", "right front, hub to lip"));
            sheet = page.url().replaceFirst("^http://[^/]+", "");
            screen.open("/");
            assertThat(page.locator("main"))
                    .containsText(Said.by("next.repeat", "place", "right front", "way", "hub to lip"));
        }
        try (Screen screen = Screen.desk().signIn("milo")) {
            Page page = screen.page;
            screen.open(sheet);
            page.locator("#in-RF").fill("14 1/4");
            page.locator("#in-RF").press("Enter");
            assertThat(page.locator("#says li").first())
                    .containsText(Said.by("finding.READING_SUSPECT.title", "place", "Right front, hub to lip"));
            assertThat(page.locator("#says li").first()).containsText("14 3⁄4");
        }
    }

    @Test
    void another_sheet_is_chosen_to_compare_with() {
        try (Screen screen = Screen.desk().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + Jobs.id("WU 9-016") + "/measure");
            page.locator("#chip-RIM").click();
            assertThat(page.locator("#arch-LF .fell summary")).containsText("↓ 1");
            // A choice acts once the page has its script.
            page.waitForLoadState();
            page.locator("#against").selectOption(new SelectOption().setLabel(Said.part("stage.FIRST_SET_DOWN")));
            assertThat(page.locator(".compared")).containsText("tyre pressure left front");
            assertThat(page.locator("#arch-LF .fell summary")).containsText("↓ 1⁄8");
            assertThat(page.locator("#chip-RIM")).hasAttribute("aria-current", "true");
            page.locator("#chip-HF").click();
            assertThat(page.locator("#against option[selected]")).hasText(Said.part("stage.FIRST_SET_DOWN"));
        }
    }
}
