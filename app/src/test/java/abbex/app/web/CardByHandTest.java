package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A whole card from the plan to the last torque by thumbs alone. Trucks and motorcycles go from arrival to hand-over in
 * {@link JourneyTest}, by keys too.
 */
@ExtendWith(Shop.class)
class CardByHandTest {
    private final Visitor orla = Visitor.signedIn("orla");

    private String received(String name, String... fields) {
        String job = UUID.randomUUID().toString();
        orla.get("/arrive");
        String[] all = new String[6 + fields.length];
        System.arraycopy(
                new String[] {"job", job, "plate", "FT " + System.nanoTime() % 10_000_000, "name", name}, 0, all, 0, 6);
        System.arraycopy(fields, 0, all, 6, fields.length);
        assertEquals(302, orla.post("/arrive", all).statusCode());
        return job;
    }

    /** From the plan: the drop on the label is entered there, then the card is begun. */
    private static void begin(Screen screen, String job, CardHand hand, String drop, String... facts) {
        Page page = screen.signIn("orla").page;
        screen.open("/jobs/" + job + "/plan");
        Locator box = page.locator("#" + drop);
        for (Locator fold : page.locator("details:has(#" + drop + ")").all()) {
            if (fold.getAttribute("open") == null) {
                hand.press(fold.locator("> summary"));
            }
        }
        hand.type(box, "1");
        hand.press(page.locator("form:has(#" + drop + ") button.btn-primary").first());
        assertThat(page.locator(".strip a[href$='/fit']")).isVisible();
        hand.press(page.locator(".strip a[href$='/fit']"));
        for (String fact : facts) {
            hand.tick(page.locator("input[name='" + fact + "']"));
        }
        hand.press(page.locator(".begin .btn"));
        assertThat(page.locator(".bayview h1")).isVisible();
    }

    private static void finished(Screen screen, String job) {
        assertEquals(
                List.of(),
                screen.page
                        .locator(".cardblock li:not(.clear) a b, .corner > section:first-child > .fates b")
                        .allInnerTexts());
        assertThat(screen.page.locator(".whyline")).hasText(Said.by("fit.finished"));
        assertEquals(List.of(), screen.complaints());
        screen.open("/jobs/" + job + "/sheet");
    }

    private void card(Screen screen, CardHand hand, String drop, List<String> facts, String... fields) {
        try (screen) {
            String job = received(drop + UUID.randomUUID(), fields);
            begin(screen, job, hand, drop, facts.toArray(String[]::new));
            CardHand.work(screen.page, job, hand);
            finished(screen, job);
        }
    }

    private static final String[] STRUTS = {"archFront", "STRUT"};

    @Test
    void a_strut_car_alone_on_jacks_by_thumbs() {
        card(Screen.tablet(), CardHand.THUMB, "FRONT_BOX", List.of("helper"), STRUTS);
    }
}
