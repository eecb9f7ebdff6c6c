package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.TimeoutError;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Whole cards from the plan to the last torque: by thumbs alone, and by keys alone, each reached by the tab key. */
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

    /** How a hand does things: a tap, or keys alone. */
    private interface Hand {
        void press(Locator what);

        void type(Locator where, String text);

        void tick(Locator box);
    }

    private static final Hand THUMB = new Hand() {
        @Override
        public void press(Locator what) {
            what.tap();
        }

        @Override
        public void type(Locator where, String text) {
            where.tap();
            where.fill(text);
        }

        @Override
        public void tick(Locator box) {
            box.tap();
        }
    };

    private static final Hand KEYS = new Hand() {
        @Override
        public void press(Locator what) {
            to(what);
            what.page().keyboard().press("Enter");
        }

        @Override
        public void type(Locator where, String text) {
            to(where);
            where.page().keyboard().insertText(text);
        }

        @Override
        public void tick(Locator box) {
            to(box);
            box.page().keyboard().press("Space");
        }

        /** By the tab key, as often as it takes. */
        private void to(Locator what) {
            for (int i = 0; i < MOST; i++) {
                if (Boolean.TRUE.equals(what.evaluate("e => e === document.activeElement"))) {
                    return;
                }
                what.page().keyboard().press("Tab");
            }
            throw new AssertionError("no key reaches " + what);
        }
    };

    private static final int MOST = 400;
    private static final double SOON = 4000;

    /** Presses and waits for the page that comes of it: it has no mark of the one before. */
    private static void press(Page page, Hand hand, Locator what) {
        page.evaluate("document.querySelector('main').dataset.before = 'true'");
        hand.press(what);
        page.waitForCondition(() -> {
            try {
                return Boolean.TRUE.equals(
                        page.evaluate(
                                "!document.querySelector('main')?.dataset.before && document.readyState !== 'loading' && !!document.querySelector('.bayview[data-ready] .baybar, .fithead')"));
            } catch (PlaywrightException between) {
                // Between two pages there is none to ask.
                return false;
            }
        });
    }

    /** Does what each step asks for until the card has no next one. */
    private static void work(Page page, String job, Hand hand) {
        page.setDefaultTimeout(SOON);
        for (int i = 0; i < MOST && !page.url().endsWith("/fit"); i++) {
            try {
                step(page, hand);
            } catch (TimeoutError changed) {
                // The page that was looked at is another one by now: look again.
                page.waitForLoadState();
            }
        }
        assertTrue(page.url().endsWith("/fit"), () -> "the card of " + job + " has no end");
        page.setDefaultTimeout(20_000);
    }

    /** What is asked for first, told in one question: a page has many locators, and each asks by itself. */
    private static final String FIRST = """
            () => document.querySelector('.baybar button.act, .baybar a.act') ? 'act'
              : document.querySelector('form.fate:not([hidden])') ? 'bench'
              : [...document.querySelectorAll('form.capture input.form-control')].some((i) => !i.value) ? 'capture'
              : document.querySelector('.fastener[data-state=UNKNOWN]') ? 'spec' : 'reading'
            """;

    private static void step(Page page, Hand hand) {
        switch (String.valueOf(page.evaluate(FIRST))) {
            case "act" -> press(page, hand, page.locator(".baybar .act").first());
            case "bench" ->
                press(
                        page,
                        hand,
                        page.locator("form.fate:not([hidden]) button[value=HANDED_OVER]")
                                .first());
            case "capture" ->
                fill(
                        page,
                        hand,
                        page.locator("form.capture input.form-control").all().stream()
                                .filter(c -> c.inputValue().isEmpty())
                                .findFirst()
                                .orElseThrow());
            case "spec" -> {
                Locator unknown =
                        page.locator(".fastener[data-state=UNKNOWN] form.spec").first();
                hand.type(unknown.locator("input.form-control").first(), usual(unknown));
                press(page, hand, unknown.locator("button.btn").first());
            }
            default -> {
                Locator loose =
                        page.locator(".fastener[data-state=OPEN] form.tighten").first();
                hand.type(
                        loose.locator("input.form-control"),
                        loose.locator("xpath=..").locator(".torque b").first().innerText());
                press(page, hand, loose.locator("button.btn"));
            }
        }
    }

    /** What is tapped on a drawing is tapped; all else is entered. */
    private static void fill(Page page, Hand hand, Locator capture) {
        String item =
                capture.locator("xpath=ancestor::form//input[@name='item']").inputValue();
        Locator taps = page.locator(".taps:has([name=item][value='" + item + "']) button");
        if (taps.count() > 0) {
            press(page, hand, taps.nth(1));
        } else {
            hand.type(capture, "7");
            press(page, hand, capture.locator("xpath=ancestor::form//button"));
        }
    }

    /** What the thread usually takes, or a figure that all bear. */
    private static String usual(Locator form) {
        Locator bears = form.locator("p.soft");
        Matcher range =
                Pattern.compile("([0-9.]+) lbf·ft to ([0-9.]+)").matcher(bears.count() > 0 ? bears.innerText() : "");
        return range.find()
                ? Math.round((Double.parseDouble(range.group(1)) + Double.parseDouble(range.group(2))) / 2) + " lbf·ft"
                : "60 N·m";
    }

    /** From the plan: the drop on the label is entered there, then the card is begun. */
    private static void begin(Screen screen, String job, Hand hand, String drop, String... facts) {
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

    private void card(Screen screen, Hand hand, String drop, List<String> facts, String... fields) {
        try (screen) {
            String job = received(drop + UUID.randomUUID(), fields);
            begin(screen, job, hand, drop, facts.toArray(String[]::new));
            work(screen.page, job, hand);
            finished(screen, job);
        }
    }

    private static final String[] STRUTS = {"archFront", "STRUT"};
    private static final String[] LEAVES = {"kind", "TRUCK", "archRear", "SOLID_AXLE_LEAF"};
    private static final String[] BIKE = {"kind", "MOTORCYCLE"};

    @Test
    void a_strut_car_alone_on_jacks_by_keys() {
        card(Screen.desk(), KEYS, "FRONT_BOX", List.of(), STRUTS);
    }

    @Test
    void a_strut_car_alone_on_jacks_by_thumbs() {
        card(Screen.tablet(), THUMB, "FRONT_BOX", List.of("helper"), STRUTS);
    }

    @Test
    void a_live_axle_truck_with_two_people_by_thumbs() {
        card(Screen.tablet(), THUMB, "REAR_BOX", List.of("lift"), LEAVES);
    }

    @Test
    void a_live_axle_truck_with_two_people_by_keys() {
        card(Screen.desk(), KEYS, "REAR_BOX", List.of("lift"), LEAVES);
    }

    @Test
    void a_motorcycle_by_thumbs() {
        card(Screen.tablet(), THUMB, "REAR_BOX", List.of(), BIKE);
    }

    @Test
    void a_motorcycle_by_keys() {
        card(Screen.desk(), KEYS, "REAR_BOX", List.of(), BIKE);
    }
}
