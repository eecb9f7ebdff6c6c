package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.app.support.Jobs;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Wheels now and planned: what is typed, what is drawn, what is said, what goes into the sheet. */
@ExtendWith(Shop.class)
class FitmentTest {
    private Screen screen;
    private Page page;

    @BeforeEach
    void receive() {
        screen = Screen.desk().signIn("orla");
        page = screen.page;
        screen.open("/arrive");
        page.locator("#plate").fill("WH " + System.nanoTime() % 1_000_000);
        page.locator("#name").fill("test hatch");
        page.keyboard().press("Enter");
        assertThat(page.locator("#in-LF")).isFocused();
        page.locator(".strip a").nth(2).click();
        assertThat(page.locator("#name")).hasValue("as it stands");
    }

    @AfterEach
    void close() {
        assertEquals(List.of(), screen.complaints());
        screen.close();
    }

    private void keep(String name, String use, String tyre, String wheel) {
        if (!page.locator("#name").isVisible()) {
            page.locator("#sets summary").first().click();
        }
        page.locator("#name").fill(name);
        page.locator("#use").selectOption(use);
        page.locator("#TYRE_FRONT").fill(tyre);
        page.locator("#WHEEL_FRONT").fill(wheel);
        page.locator("#WHEEL_FRONT").press("Enter");
    }

    private Locator fact(String name) {
        return page.locator("dt:text-is('" + name + "') + dd").first();
    }

    /** checks.csv wheel-1: 8J ET45 to 9.5J ET35 goes out 29.05 mm and in 9.05 mm (arithmetic). */
    @Test
    void what_is_planned_against_what_stands_there_and_into_the_sheet() {
        keep("as it stands", "NOW", "225/45R17 91W", "8Jx17 ET45");
        assertThat(page.locator(".fitted")).hasCount(2);
        keep("wide", "PLANNED", "225/45R17 87V", "9.5x17 ET35");
        assertThat(page.locator(".planned path")).hasCount(4);
        assertThat(fact("Outer edge of the rim")).containsText("mm outward (1 5⁄32″)");
        assertThat(fact("Inner edge of the rim")).containsText("mm inward (11⁄32″)");
        assertThat(page.locator("#says")).containsText("Front: it carries less than the tyre from new");
        assertThat(page.locator("#says")).containsText("Rear: made for less speed than from new");
        assertThat(page.locator("#says")).containsText("The rim is wide for this tyre".substring(4));
        fact("Outer edge of the rim").locator("summary").click();
        assertThat(fact("Outer edge of the rim")).containsText("half the change of width, minus the change of offset");
        page.locator(".strip a").last().click();
        assertThat(page.locator(".paper")).containsText("Wheels, planned");
        assertThat(page.locator(".paper")).containsText("8Jx17 ET45");
        assertThat(page.locator(".paper")).containsText("it carries less than the tyre from new");
    }

    @Test
    void bad_texts_are_named_and_nothing_typed_is_lost() {
        keep("", "NOW", "265/75-16", "8x17 ET6.27");
        assertThat(page.locator("#name-bad")).containsText("A name is needed");
        assertThat(page.locator("#TYRE_FRONT-bad")).containsText("Was R meant?");
        assertThat(page.locator("#WHEEL_FRONT-bad")).containsText("looks like backspacing");
        assertThat(page.locator("#TYRE_FRONT")).hasValue("265/75-16");
        page.locator("#TYRE_FRONT-bad .offer").click();
        assertThat(page.locator("#TYRE_FRONT")).hasValue("265/75R16");
        page.locator("#WHEEL_FRONT-bad .offer").click();
        assertThat(page.locator("#WHEEL_FRONT")).hasValue("8Jx17 BS 6.27");
        page.locator("#name").fill("odd pair");
        page.locator("fieldset details summary").first().click();
        page.locator("#SPACER_FRONT").fill("12");
        page.locator("#THREAD_FRONT").fill("M12");
        page.locator("#TURNS_FRONT").fill("6");
        page.locator("#TURNS_FRONT").press("Enter");
        assertThat(page.locator("#THREAD_FRONT-bad")).containsText("such as M12x1.5");
        page.locator("#THREAD_FRONT").fill("M12x1.5");
        page.locator("#THREAD_FRONT").press("Enter");
        assertThat(page.locator("#says")).containsText("Front: too few turns hold the wheel");
        assertThat(page.locator(".chip.set")).containsText("odd pair");
        page.locator("#sets summary").first().click();
        page.getByLabel("Take odd pair away").click();
        assertThat(page.locator(".chip.set")).hasCount(0);
    }

    @Test
    void the_demo_has_a_set_that_serves_and_one_that_does_not() {
        screen.open("/jobs/" + Jobs.id("KT 4-207") + "/fitment");
        assertThat(page.locator("#says")).containsText("Front: load and speed serve");
        assertThat(page.locator("#says")).containsText("Front: nobody has counted the turns");
        screen.open("/jobs/" + Jobs.id("DK 8-590") + "/fitment");
        assertThat(page.locator("#says")).containsText("carries less than the tyre from new");
    }
}
