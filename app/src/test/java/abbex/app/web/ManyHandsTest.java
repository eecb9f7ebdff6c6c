package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import abbex.app.support.Screen;
import abbex.app.support.Shop;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Two technicians on one sheet see each other's readings without reloading; neither loses one. */
@ExtendWith(Shop.class)
class ManyHandsTest {
    @Test
    void two_browsers_on_one_sheet() {
        try (Screen orla = Screen.desk().signIn("orla");
                Screen milo = Screen.of(800, 1280, false).signIn("milo")) {
            orla.open("/arrive");
            orla.page.locator("#plate").fill("MH " + System.nanoTime() % 1_000_000);
            orla.page.locator("#name").fill("test hatch");
            orla.page.keyboard().press("Enter");
            assertThat(orla.page.locator("#in-LF")).isFocused();
            milo.page.navigate(orla.page.url());
            milo.page.locator("#in-RR").fill("14 5");
            orla.page.locator("#in-LF").fill("14 3/8");
            orla.page.keyboard().press("Enter");
            orla.page.locator("#in-RR").fill("14 1/2");
            orla.page.keyboard().press("Enter");
            assertThat(milo.page.locator("#arch-LF .hero")).hasText("14\u202f3⁄8");
            assertThat(milo.page.locator("#in-RR")).hasValue("14 5");
            milo.page.locator("#in-RR").fill("14 5/8");
            milo.page.locator("#in-RR").press("Enter");
            assertThat(milo.page.locator("#arch-RR .hero")).hasText("14\u202f5⁄8");
            assertThat(milo.page.locator("#arch-RR .others")).hasText("OV 14\u202f1⁄2");
            assertThat(orla.page.locator("#arch-RR .others")).hasText("MA 14\u202f5⁄8");
            assertThat(orla.page.locator("#arch-RR .hero")).hasText("14\u202f1⁄2");
        }
    }
}
