package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
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
        screen.receive("WH " + System.nanoTime() % 1_000_000);
        assertThat(page.locator("#in-LF")).isFocused();
        page.locator(".strip a[href$='/fitment']").click();
        assertThat(page.locator("#name")).hasValue(Said.by("fitment.name.now"));
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

    @Test
    void a_tyre_without_its_wheel_helps_as_far_as_it_can() {
        keep(Said.by("fitment.name.now"), "NOW", "205/55R16 91V", "");
        keep("larger", "PLANNED", "225/45R17 87V", "");
        assertThat(fact(Said.part("fitment.speedometer"))).containsText("0.38 %");
        assertThat(fact(Said.part("fitment.radius"))).containsText("larger 1.2 mm");
        assertThat(page.locator(".fitted").first()).containsText("225/45R17 87V");
        assertThat(page.locator("#says")).containsText(Said.by("finding.LOAD_BELOW.title", "place", "Front"));
        assertThat(page.locator("#says")).containsText(Said.by("finding.WHEEL_UNKNOWN.title", "place", "Front"));
        keep("with its wheel", "PLANNED", "225/45R17 91W", "7.5Jx17 ET45");
        assertThat(page.locator("#says")).not().containsText(Said.by("finding.WHEEL_UNKNOWN.title", "place", "Front"));
    }

    /** checks.csv wheel-1: 8J ET45 to 9.5J ET35 goes out 29.05 mm and in 9.05 mm (arithmetic). */
    @Test
    void what_is_planned_against_what_stands_there_and_into_the_sheet() {
        keep(Said.by("fitment.name.now"), "NOW", "225/45R17 91W", "8Jx17 ET45");
        // Both ends are alike and drawn once.
        assertThat(page.locator(".fitted")).hasCount(1);
        keep("wide", "PLANNED", "225/45R17 87V", "9.5x17 ET35");
        assertThat(page.locator(".section .planned path")).hasCount(2);
        // On the drawing each stands at the edge it speaks of, the outer one largest.
        assertThat(page.locator(".move.first")).containsText("1 5⁄32″ outward");
        assertThat(page.locator(".move")).hasCount(5);
        assertThat(fact(Said.part("fitment.outer.edge"))).containsText("1 5⁄32″ outward 29");
        assertThat(fact(Said.part("fitment.inner.edge"))).containsText("11⁄32″ inward 9");
        assertThat(page.locator("#says")).containsText(Said.by("finding.LOAD_BELOW.title", "place", "Front"));
        assertThat(page.locator("#says")).containsText(Said.by("finding.SPEED_BELOW.title", "place", "Rear"));
        assertThat(page.locator("#says"))
                .containsText(Said.part("finding.RIM_WIDE.title").substring(4));
        page.locator(".facts > summary").click();
        fact(Said.part("fitment.outer.edge")).locator("summary").click();
        assertThat(fact(Said.part("fitment.outer.edge"))).containsText(Said.part("reason.OUTER_EDGE"));
        page.locator(".strip a[href$='/sheet']").click();
        assertThat(page.locator(".paper")).containsText(Said.part("sheet.wheels"));
        assertThat(page.locator(".paper")).containsText("8Jx17 ET45");
        assertThat(page.locator(".paper")).containsText(Said.part("finding.LOAD_BELOW.title"));
    }

    /** Typed in one line it goes where it belongs; by thumb each press steps one number, the rim in both texts. */
    @Test
    void tyre_and_wheel_in_one_line_or_by_thumb() {
        keep(Said.by("fitment.name.now"), "NOW", "225/45R17 91W, 7.5Jx17 ET45 +5 mm", "");
        assertThat(page.locator(".fitted")).containsText("225/45R17 91W, 7.5Jx17 ET45 +5 mm");
        page.locator("#sets summary").first().click();
        page.locator("#name").fill("by thumb");
        page.locator("#use").selectOption("PLANNED");
        Locator front = page.locator(".thumbs").first();
        assertThat(front).isVisible();
        Locator rim = front.locator("[data-part=rim] [data-by='1']");
        rim.click();
        assertThat(page.locator("#TYRE_FRONT")).hasValue("225/45R17 91W");
        rim.click();
        front.locator("[data-part=aspect] [data-by='-1']").click();
        front.locator("[data-part=rimwidth] [data-by='1']").click();
        front.locator("[data-part=offset] [data-by='-1']").click();
        assertThat(page.locator("#TYRE_FRONT")).hasValue("225/40R18 91W");
        assertThat(page.locator("#WHEEL_FRONT")).hasValue("8Jx18 ET44");
        assertThat(front.locator("[data-part=rimwidth] output")).hasText("8J");
        // What the script does not read is stepped by the core, and never overwritten: 205/55R16 stood there then.
        page.locator("#TYRE_FRONT").fill("33x12.50R15");
        front.locator("[data-part=width] [data-by='1']").click();
        assertThat(page.locator("#TYRE_FRONT")).hasValue("33x13.00R15");
        front.locator("[data-part=width] [data-by='-1']").click();
        assertThat(page.locator("#TYRE_FRONT")).hasValue("33x12.50R15");
        page.locator("#TYRE_FRONT").fill("some size");
        front.locator("[data-part=rim] [data-by='1']").click();
        assertThat(front.locator("[data-part=rim] output")).hasText("–");
        assertThat(page.locator("#TYRE_FRONT")).hasValue("some size");
        page.locator("#TYRE_FRONT").fill("225/40R18 91W");
        page.locator("#WHEEL_FRONT").fill("8Jx18 ET44");
        page.locator("#WHEEL_FRONT").press("Enter");
        assertThat(page.locator(".fitted")).containsText("225/40R18 91W, 8Jx18 ET44");
    }

    @Test
    void bad_texts_are_named_and_nothing_typed_is_lost() {
        keep("", "NOW", "265/75-16", "8x17 ET6.27");
        assertThat(page.locator("#name-bad")).containsText(Said.part("problem.set.name"));
        assertThat(page.locator("#TYRE_FRONT-bad")).containsText(Said.part("tyre.DIAGONAL_CAR"));
        assertThat(page.locator("#WHEEL_FRONT-bad")).containsText(Said.part("wheel.refused.LIKE_BACKSPACING"));
        assertThat(page.locator("#TYRE_FRONT")).hasValue("265/75-16");
        // Once the page has its script, and by its key: late letters move what is under a click.
        page.waitForLoadState();
        page.locator("#TYRE_FRONT-bad .offer").press("Enter");
        assertThat(page.locator("#TYRE_FRONT")).hasValue("265/75R16");
        page.locator("#WHEEL_FRONT-bad .offer").press("Enter");
        assertThat(page.locator("#WHEEL_FRONT")).hasValue("8Jx17 BS 6.27");
        page.locator("#name").fill("odd pair");
        page.locator("fieldset details summary").first().click();
        page.locator("#SPACER_FRONT").fill("12");
        page.locator("#THREAD_FRONT").fill("M12");
        page.locator("#TURNS_FRONT").fill("6");
        page.locator("#TURNS_FRONT").press("Enter");
        assertThat(page.locator("#THREAD_FRONT-bad")).containsText(Said.part("problem.thread"));
        // A bare length is in the person's unit, and a spacer of 12 in most likely one of 12 mm.
        page.waitForLoadState();
        page.locator("#SPACER_FRONT-bad .offer").press("Enter");
        assertThat(page.locator("#SPACER_FRONT")).hasValue("12 mm");
        page.locator("#THREAD_FRONT").fill("M12x1.5");
        page.locator("#THREAD_FRONT").press("Enter");
        assertThat(page.locator("#says")).containsText(Said.by("finding.STUDS_SHORT.title", "place", "Front"));
        assertThat(page.locator(".chip.set")).containsText("odd pair");
        page.locator("#sets summary").first().click();
        page.getByLabel(Said.by("fitment.delete.name", "name", "odd pair")).click();
        assertThat(page.locator(".chip.set")).hasCount(0);
    }

    @Test
    void the_demo_has_a_set_that_serves_and_one_that_does_not() {
        screen.open("/jobs/" + Jobs.id("KT 4-207") + "/fitment");
        assertThat(page.locator("#says")).containsText(Said.by("finding.SERVES.title", "place", "Front"));
        assertThat(page.locator("#says")).containsText(Said.by("finding.STUDS_UNKNOWN.title", "place", "Front"));
        screen.open("/jobs/" + Jobs.id("DK 8-590") + "/fitment");
        assertThat(page.locator("#says")).containsText(Said.part("finding.LOAD_BELOW.title"));
    }
}
