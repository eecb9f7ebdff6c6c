package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.app.support.EveryPage;
import abbex.app.support.Jobs;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.ResultType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Every page in both themes: axe-core (WCAG 2.2 rules) finds nothing, and nothing is wider than desk, tablet or phone, or than a
 * desk's window at twice the size (1.4.4 and 1.4.10).
 */
@ExtendWith(Shop.class)
class AxeTest {
    private static final int[] DESK = {1280, 800};
    private static final int[] TABLET = {800, 1280};
    private static final int[] PHONE = {390, 844};
    private static final int[] TWICE = {640, 400};

    /** What colours and sizes change; names, roles and order are the same page's. */
    private static final List<String> LOOKS = List.of(
            "color-contrast", "target-size", "scrollable-region-focusable", "link-in-text-block", "aria-hidden-focus");

    /** Axe is in the page since the first look. */
    private static final String AGAIN = """
            (rules) => axe.run(document, {runOnly: {type: 'rule', values: rules}, resultTypes: ['violations']})
              .then((all) => all.violations.map((v) => v.id + ' ' + v.nodes[0].target))
            """;

    @Test
    void every_page() {
        List<String> found = new ArrayList<>();
        try (Screen screen = Screen.desk()) {
            look(screen, "/sign-in", found);
            screen.signIn("tamsin");
            String half = Jobs.id("KT 4-207");
            for (String path : EveryPage.kindsAndMotorcycles()) {
                look(screen, path, found);
            }
            screen.open("/jobs/" + half + "/measure");
            screen.page.locator("#in-RR").fill("25 7/15");
            screen.page.locator("#in-RR").press("Enter");
            screen.page.locator("#tape-toggle").click();
            assertThat(screen.page.locator("#tape")).isVisible();
            screen.page.locator("#aloud-toggle").click();
            look(screen, null, found);
            screen.page.locator("[data-aloud]").click();
            screen.page.locator("#bad-RR .offer").waitFor();
            look(screen, null, found);
        }
        assertEquals(List.of(), found);
    }

    /** What passed is neither listed nor given its selectors, which is most of what a look costs. */
    private static AxeRunOptions violationsOnly() {
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of(ResultType.Violations.getKey()));
        return options;
    }

    /** By day at a desk with every rule, then dim on a tablet with those of its looks: of one page that is loaded once. */
    private static void look(Screen screen, String path, List<String> found) {
        if (path != null) {
            screen.open(path);
        }
        // No page here holds another: axe needs no window of its own to put their answers together.
        AxeBuilder axe = new AxeBuilder(screen.page).setLegacyMode(true).options(violationsOnly());
        axe.analyze()
                .getViolations()
                .forEach(v -> found.add(
                        path + ": " + v.getId() + " " + v.getNodes().get(0).getTarget()));
        width(screen, path, DESK, found);
        width(screen, path, PHONE, found);
        width(screen, path, TWICE, found);
        width(screen, path, TABLET, found);
        screen.page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
        ((List<?>) screen.page.evaluate(AGAIN, LOOKS)).forEach(v -> found.add(path + " dim: " + v));
        screen.page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
        screen.page.setViewportSize(DESK[0], DESK[1]);
    }

    private static void width(Screen screen, String path, int[] size, List<String> found) {
        screen.page.setViewportSize(size[0], size[1]);
        int wide = (int) screen.page.evaluate("document.documentElement.scrollWidth - window.innerWidth");
        if (wide > 0) {
            found.add(path + " is " + wide + " px wider than a window of " + size[0]);
        }
    }

    /** The look dim sees what is pale there and not by day. */
    @Test
    void what_is_pale_when_dim_is_found() {
        List<String> found = new ArrayList<>();
        try (Screen screen = Screen.desk().signIn("tamsin")) {
            screen.open("/account");
            screen.page.evaluate(
                    "document.querySelector('main').insertAdjacentHTML('beforeend', '<p class=\"pale\">pale</p>')");
            screen.page.evaluate("document.querySelector('.pale').style.color = '#222'");
            look(screen, null, found);
        }
        assertEquals(List.of("null dim: color-contrast .pale"), found);
    }
}
