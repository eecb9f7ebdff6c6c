package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.WaitUntilState;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A hand that is faster than the page: what it did before the scripts were ready counts as if it had waited. */
@ExtendWith(Shop.class)
class EarlyHandTest {
    private Screen screen;
    private Page page;

    @BeforeEach
    void receive() {
        screen = Screen.desk().signIn("orla");
        page = screen.page;
        screen.receive("EA " + System.nanoTime() % 1_000_000);
        assertThat(page.locator("#in-LF")).isFocused();
    }

    @AfterEach
    void close() {
        screen.close();
    }

    /** What others stored draws the places again: a reading may be entered in the same moment, and the page stays. */
    @Test
    void a_reading_is_taken_in_the_moment_its_place_is_drawn_again() {
        page.evaluate("""
                () => {
                  window.stays = true;
                  const early = () => setTimeout(() => {
                    const field = document.getElementById('in-RF');
                    field.value = '14 1/8';
                    field.dispatchEvent(new Event('input', { bubbles: true }));
                    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
                  }, 0);
                  document.body.addEventListener('htmx:afterSwap', early, { once: true });
                  document.dispatchEvent(new CustomEvent('abbex:stored', { detail: [] }));
                }
                """);
        assertThat(page.locator("#arch-RF.taken")).isVisible();
        assertEquals(true, page.evaluate("window.stays"));
    }

    @Test
    void a_fold_that_is_opened_before_the_scripts_come_is_filled() {
        AtomicReference<Route> script = new AtomicReference<>();
        page.route("**/htmx.min.js", script::set);
        page.navigate(page.url(), new Page.NavigateOptions().setWaitUntil(WaitUntilState.COMMIT));
        page.locator("#points summary").click();
        assertThat(page.locator("#points .later")).isVisible();
        page.waitForCondition(() -> script.get() != null);
        script.get().resume();
        assertThat(page.getByText(Said.part("measure.point.add"))).isVisible();
    }

    /** What the page gives up waiting for is not what is tested: a slow machine must not reach it first. */
    private void unhurried() {
        page.evaluate("""
                () => {
                  const later = window.setTimeout;
                  window.setTimeout = (work, ms, ...rest) => later(work, ms === 3000 ? 60000 : ms, ...rest);
                  AbortSignal.timeout = () => new AbortController().signal;
                }
                """);
    }

    private void plan() {
        page.navigate(page.url().replaceFirst("/(measure|sheets).*", "/plan"));
        assertThat(page.locator("#bench[data-live]")).hasCount(1);
        page.evaluate("document.querySelectorAll('#bench details').forEach(fold => fold.open = true)");
    }

    /** What comes of the plan is drawn in the place of what stood there: a fold of it that is pressed meanwhile still opens. */
    @Test
    void what_is_pressed_stays_until_it_is_let_go() {
        plan();
        unhurried();
        page.locator("#FRONT_GETS_SPRINGS").check();
        String[] spring = {"OLD_RATE", "22 N/mm", "OLD_FREE", "360 mm", "NEW_RATE", "30 N/mm", "NEW_FREE", "300 mm"};
        for (int i = 0; i < spring.length; i += 2) {
            page.locator("#FRONT_" + spring[i]).fill(spring[i + 1]);
        }
        Locator fold = page.locator("#planned details summary").first();
        assertThat(fold).isVisible();
        AtomicReference<Route> answer = new AtomicReference<>();
        // An answer that is under way for what was typed before may still come; the last one is held.
        page.route("**/plan/at?*FRONT_NEW_SOLID=60*", answer::set);
        page.locator("#FRONT_NEW_SOLID").fill("60 mm");
        page.waitForCondition(() -> answer.get() != null);
        APIResponse comes = answer.get().fetch();
        fold.scrollIntoViewIfNeeded();
        page.evaluate("document.querySelector('#planned').firstElementChild.id = 'before'");
        BoundingBox box = fold.boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.waitForResponse(
                "**/plan/at?*FRONT_NEW_SOLID=60*",
                () -> answer.get().fulfill(new Route.FulfillOptions().setResponse(comes)));
        page.waitForTimeout(200);
        page.mouse().up();
        // It opened, and then what waited came, with the fold open.
        assertThat(page.locator("#before")).hasCount(0);
        assertThat(page.locator("#planned details").first()).hasAttribute("open", "");
    }

    /** A press that is never seen to end, such as one that a list of the browser's own took over, holds nothing up for good. */
    @Test
    void what_waits_for_a_press_comes_after_all() {
        plan();
        page.locator("#FRONT_GETS_SPRINGS").check();
        page.evaluate("document.querySelector('#planned').firstElementChild.id = 'before'");
        page.locator("#bench .btn-primary").dispatchEvent("pointerdown");
        page.locator("#FRONT_NEW_RATE").fill("30 N/mm");
        assertThat(page.locator("#before")).hasCount(0);
    }

    @Test
    void news_of_others_wait_while_something_is_pressed() {
        unhurried();
        AtomicReference<Route> news = new AtomicReference<>();
        page.route("**/news?**", route -> {
            if (!news.compareAndSet(null, route)) {
                route.resume();
            }
        });
        String job = page.url().replaceAll(".*/jobs/([0-9a-f-]{36}).*", "$1");
        String client = UUID.randomUUID().toString();
        String readings = "/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/readings";
        Visitor.signedIn("milo").htmx(readings, "method", "HF", "corner", "RF", "raw", "14 1/8", "client", client);
        page.waitForCondition(() -> news.get() != null);
        APIResponse comes = news.get().fetch();
        assertTrue(comes.text().contains("arch-RF"), comes.text());
        BoundingBox box = page.locator("#points summary").boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.waitForResponse("**/news?**", () -> news.get().fulfill(new Route.FulfillOptions().setResponse(comes)));
        page.waitForTimeout(200);
        assertThat(page.locator("#arch-RF.taken")).hasCount(0);
        page.mouse().up();
        assertThat(page.locator("#arch-RF.taken")).isVisible();
    }
}
