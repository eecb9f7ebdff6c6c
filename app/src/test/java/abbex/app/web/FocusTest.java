package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.app.support.Jobs;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Whatever of a page is exchanged, the focus stays where it was or goes where the work goes on; never to nowhere. */
@ExtendWith(Shop.class)
class FocusTest {
    private Screen screen;
    private Page page;

    private void as(String name) {
        screen = Screen.desk().signIn(name);
        page = screen.page;
    }

    @AfterEach
    void close() {
        screen.close();
    }

    /** A form, a field of it and a text that it cannot take. */
    private record Refused(String path, String open, String field, String text) {}

    private static List<Refused> forms() {
        String half = "/jobs/" + Jobs.id("KT 4-207");
        String sheet = half + "/sheets/" + Jobs.sheet(Jobs.id("KT 4-207"));
        return List.of(
                new Refused("/arrive", "", "WHEELBASE", "wide"),
                new Refused(half + "/arrive", "", "WHEELBASE", "wide"),
                new Refused(sheet + "?open=STATE", "", "PRESSURE_LF", "hard"),
                new Refused(sheet + "?open=POINTS", "", "pointName", ""),
                new Refused(half + "/fitment", "#sets > summary", "TYRE_FRONT", "round"),
                new Refused(half + "/prove?corner=LF", "", "gap", "25 7/15"),
                new Refused(half + "/prove?corner=LF", "", "stop", "steep"),
                new Refused(half + "/prove/road", "", "lean", "steep"),
                new Refused("/jobs/" + Jobs.id("LE 3-275") + "/prove/road", "#driving > summary", "lean", "steep"),
                new Refused(half + "/ground", "", "height", "4 7/15"),
                new Refused(half + "/ground", "#own > summary", "called", ""),
                new Refused("/gaps", "", "STRUT", "3/7"),
                new Refused("/rules", "", "PROMISE", "much"),
                new Refused("/rules", "", "RF", "3/7"),
                new Refused("/people", "", "initials", "far too many letters"),
                new Refused("/keys", "", "name", ""),
                new Refused("/account", "", "zone", "Nowhere/Never"));
    }

    /** A form that came back has the focus in the first field that is wrong, with its text. */
    @Test
    void every_form_that_is_refused_goes_to_what_is_wrong() {
        as("tamsin");
        List<String> lost = new ArrayList<>();
        for (Refused form : forms()) {
            screen.open(form.path());
            page.waitForLoadState();
            Locator field = page.locator("#" + form.field()).first();
            if (!field.isVisible()) {
                page.locator(form.open().isEmpty() ? "main details:not([open]) > summary" : form.open())
                        .last()
                        .click();
            }
            field.fill(form.text());
            field.press("Enter");
            page.waitForLoadState();
            page.locator("[aria-invalid=true]").first().waitFor();
            String focus = String.valueOf(page.evaluate(
                    "document.activeElement.getAttribute('aria-invalid') + ' ' + document.activeElement.id"));
            if (!focus.startsWith("true")) {
                lost.add(form + ": " + focus);
            }
        }
        assertEquals(List.of(), lost);
    }

    @Test
    void what_is_exchanged_under_the_hand_leaves_the_hand_where_it_is() {
        as("orla");
        String half = "/jobs/" + Jobs.id("KT 4-207");
        // The finder: what was found comes under the field.
        screen.open("/");
        page.keyboard().press("/");
        assertThat(page.locator("#find")).isFocused();
        page.keyboard().type("hatch");
        assertThat(page.locator("#found a").first()).isVisible();
        assertThat(page.locator("#find")).isFocused();
        // A pose: the slider.
        screen.open(half + "/prove?corner=LF");
        assertThat(page.locator("#cutaway[data-live]")).isVisible();
        page.locator("#hand-bump").focus();
        page.keyboard().press("Home");
        assertThat(page.locator("#nearest")).containsText("roop");
        assertThat(page.locator("#hand-bump")).isFocused();
        // A driveway that is drawn as it is typed: the text.
        screen.open(half + "/ground");
        page.locator("#own > summary").click();
        page.locator("#points").focus();
        page.keyboard().type("0, 0");
        page.keyboard().press("Enter");
        page.keyboard().type("40, 6");
        assertThat(page.locator("#drawn circle")).hasCount(2);
        assertThat(page.locator("#points")).isFocused();
        // What is fetched when it is unfolded: the fold.
        screen.open(half + "/measure");
        page.waitForLoadState();
        page.locator("#state summary").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#stateform")).isVisible();
        assertThat(page.locator("#state summary")).isFocused();
    }

    @Test
    void a_reading_goes_on_to_the_next_one_and_back_to_what_was_refused() {
        as("orla");
        screen.receive("FC " + System.nanoTime() % 1_000_000);
        assertThat(page.locator("#in-LF")).isFocused();
        page.keyboard().type("14 1/4");
        page.keyboard().press("Enter");
        assertThat(page.locator("#arch-LF.taken")).isVisible();
        assertThat(page.locator("#in-RF")).isFocused();
        page.keyboard().type("14 7/15");
        page.keyboard().press("Enter");
        assertThat(page.locator("#bad-RF")).not().isEmpty();
        assertThat(page.locator("#in-RF")).isFocused();
        // Undone from its button the arch is exchanged: its field has the focus.
        page.locator("#arch-LF .undo button").press("Enter");
        assertThat(page.locator("#arch-LF.taken")).hasCount(0);
        String at = String.valueOf(page.evaluate("document.activeElement.id"));
        assertEquals(true, at.startsWith("in-"), at);
    }
}
