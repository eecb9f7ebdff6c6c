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
import com.microsoft.playwright.options.ViewportSize;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every page in both themes: axe-core (WCAG 2.2 rules) finds nothing, and nothing is wider than desk, tablet or phone. */
@ExtendWith(Shop.class)
class AxeTest {
    /** Beside the size in which axe looks: narrower and wider windows, where only the width is looked at. */
    private static final int[][] SIZES = {{1280, 800}, {800, 1280}, {390, 844}};

    /** What colours and sizes change; names, roles and order are the same page's. */
    private static final List<String> LOOKS = List.of(
            "color-contrast", "target-size", "scrollable-region-focusable", "link-in-text-block", "aria-hidden-focus");

    @ParameterizedTest(name = "{0} x {1}, dim {2}")
    @CsvSource({"1280,800,false", "800,1280,true"})
    void every_page(int width, int height, boolean dim) {
        List<String> found = new ArrayList<>();
        try (Screen screen = Screen.of(width, height, dim)) {
            look(screen, "/sign-in", dim, found);
            screen.signIn("tamsin");
            String half = Jobs.id("KT 4-207");
            for (String path : dim ? EveryPage.kinds() : EveryPage.kindsAndMotorcycles()) {
                look(screen, path, dim, found);
            }
            screen.open("/jobs/" + half + "/measure");
            screen.page.locator("#in-RR").fill("25 7/15");
            screen.page.locator("#in-RR").press("Enter");
            screen.page.locator("#tape-toggle").click();
            assertThat(screen.page.locator("#tape")).isVisible();
            screen.page.locator("#aloud-toggle").click();
            look(screen, null, dim, found);
            screen.page.locator("[data-aloud]").click();
            screen.page.locator("#bad-RR .offer").waitFor();
            look(screen, null, dim, found);
        }
        assertEquals(List.of(), found);
    }

    /** What passed is neither listed nor given its selectors, which is most of what a look costs. */
    private static AxeRunOptions violationsOnly() {
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of(ResultType.Violations.getKey()));
        return options;
    }

    private static void look(Screen screen, String path, boolean dim, List<String> found) {
        if (path != null) {
            screen.open(path);
        }
        // No page here holds another: axe needs no window of its own to put their answers together.
        AxeBuilder axe = new AxeBuilder(screen.page).setLegacyMode(true).options(violationsOnly());
        if (dim) {
            axe.withRules(LOOKS);
        }
        axe.analyze()
                .getViolations()
                .forEach(v -> found.add(
                        path + ": " + v.getId() + " " + v.getNodes().get(0).getTarget()));
        if (dim) {
            // Colours change no width.
            return;
        }
        ViewportSize own = screen.page.viewportSize();
        for (int[] size : SIZES) {
            screen.page.setViewportSize(size[0], size[1]);
            int wide = (int) screen.page.evaluate("document.documentElement.scrollWidth - window.innerWidth");
            if (wide > 0) {
                found.add(path + " is " + wide + " px wider than a window of " + size[0]);
            }
        }
        screen.page.setViewportSize(own.width, own.height);
    }
}
