package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.extension.ExtendWith;

/** A corner of a vehicle that was just received, with a person at its page. */
@ExtendWith(Shop.class)
abstract class AtACorner {
    Screen screen;
    Page page;

    void receive(Screen on) {
        screen = on.signIn("orla");
        page = screen.page;
        screen.open("/arrive");
        page.locator("#plate").fill("PR " + System.nanoTime() % 1_000_000);
        page.locator("label[for='outline-CAR-HATCH']").click();
        page.locator("#name").fill("test hatch");
        page.locator("details.more summary").last().click();
        page.locator("#WHEELBASE").fill("2640 mm");
        page.locator("#WHEELBASE").press("Enter");
        assertThat(page.locator(".arch").first()).isVisible();
        page.locator(".strip a[href$='/fitment']").click();
        page.locator("#name").fill("as it stands");
        page.locator("#use").selectOption("NOW");
        page.locator("#TYRE_FRONT").fill("225/45R17 91W");
        page.locator("#WHEEL_FRONT").fill("7.5Jx17 ET45");
        page.locator("#WHEEL_FRONT").press("Enter");
        assertThat(page.locator(".fitted")).hasCount(1);
        page.locator(".strip a[href$='/prove']").click();
        assertThat(page.locator(".places")).containsText("Fender lip: " + Said.by("verdict.NOT_LOOKED_AT"));
    }

    @AfterEach
    void close() {
        assertEquals(List.of(), screen.complaints());
        screen.close();
    }

    /** A length as this person reads it. */
    static String inches(long mm) {
        return Numerals.text(Length.ofMm(mm), new Reader(LengthUnit.INCH, Graduation.SIXTEENTH_INCH, ZoneOffset.UTC));
    }

    static String clearIf(long bump) {
        return Said.by("verdict.CLEAR_IF", "bump", inches(bump));
    }

    /** What is offered under a field is taken: once the page has its script, and by its key, for late letters move it. */
    void takeOffer(String field) {
        page.waitForLoadState();
        page.locator("#" + field + "-bad .offer").press("Enter");
    }

    /** The drawings answer fingers and keys. */
    void live() {
        assertThat(page.locator("#cutaway[data-live], #roadwheels[data-live]")).isVisible();
    }

    Locator place(String name) {
        return page.locator(".places li").filter(new Locator.FilterOptions().setHasText(name));
    }

    /** What stands at a place is deleted, under its figure. */
    void delete(String name) {
        place(name).locator("summary").press("Enter");
        page.getByLabel(Said.by("prove.delete.name", "name", name)).click();
    }

    void probe(String place, String clock, String face, String gap) {
        page.locator("#clock").fill(clock);
        // By its key: letters that come late would move it away under a click.
        Locator chosen = page.locator("input[name=face][value=" + face + "]");
        chosen.press("Space");
        assertThat(chosen).isChecked();
        page.locator("#place").selectOption(place);
        page.locator("#gap").fill(gap);
        page.locator("#gap").press("Enter");
    }
}
