package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.TimeoutError;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How a hand works a card: a tap, or keys alone, each reached by the tab key. */
interface CardHand {
    void press(Locator what);

    void type(Locator where, String text);

    void tick(Locator box);

    CardHand THUMB = new CardHand() {
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

    CardHand KEYS = new CardHand() {
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

    /** The same hand, with every press, field and typed text counted. */
    static Counted counted(CardHand hand) {
        return new Counted(hand, new AtomicInteger(), new ArrayList<>());
    }

    /**
     * A hand and what it did.
     *
     * @param presses of buttons and fields; the tab key is none
     * @param typed texts
     */
    record Counted(CardHand hand, AtomicInteger presses, List<String> typed) implements CardHand {
        @Override
        public void press(Locator what) {
            hand.press(what);
            presses.incrementAndGet();
        }

        @Override
        public void type(Locator where, String text) {
            hand.type(where, text);
            presses.incrementAndGet();
            typed.add(text);
        }

        @Override
        public void tick(Locator box) {
            hand.tick(box);
            presses.incrementAndGet();
        }
    }

    int MOST = 400;
    double SOON = 4000;

    /** Presses and waits for the page that comes of it: it has no mark of the one before. */
    static void press(Page page, CardHand hand, Locator what) {
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
    static void work(Page page, String job, CardHand hand) {
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
    String FIRST = """
            () => document.querySelector('.baybar .together') ? 'together'
              : document.querySelector('.baybar button.act, .baybar a.act') ? 'act'
              : document.querySelector('form.fate:not([hidden])') ? 'bench'
              : [...document.querySelectorAll('form.capture input.form-control')].some((i) => !i.value) ? 'capture'
              : document.querySelector('.fastener[data-state=UNKNOWN]') ? 'spec' : 'reading'
            """;

    private static void step(Page page, CardHand hand) {
        switch (String.valueOf(page.evaluate(FIRST))) {
            case "act" -> press(page, hand, page.locator(".baybar .act").first());
            case "together" -> press(page, hand, page.locator(".baybar .together button"));
            case "bench" ->
                press(
                        page,
                        hand,
                        page.locator(
                                        ".fate-all button[value=HANDED_OVER], form.fate:not([hidden]) button[value=HANDED_OVER]")
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
                unknown.locator("select[name=source]").selectOption("SERVICE_MANUAL");
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
    private static void fill(Page page, CardHand hand, Locator capture) {
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
}
