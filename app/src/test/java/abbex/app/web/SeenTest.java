package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import abbex.app.support.EveryPage;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * What has to be seen in a bay: whatever can be pressed or filled stands out from what is behind it by 3 : 1, and so do the marks
 * of the verdicts (WCAG 2.2, 1.4.11, with its relative luminance); no digit of a fraction is smaller than 8 px.
 */
@ExtendWith(Shop.class)
class SeenTest {
    /** Of a control its own ground or one of its borders stands out, unless it is its text alone; of a mark its colour. */
    private static final String FAINT = """
            () => {
              const canvas = document.createElement('canvas').getContext('2d', {willReadFrequently: true});
              const rgba = (css) => {
                canvas.clearRect(0, 0, 1, 1);
                canvas.fillStyle = css;
                canvas.fillRect(0, 0, 1, 1);
                return [...canvas.getImageData(0, 0, 1, 1).data];
              };
              const luminance = (c) => {
                const [r, g, b] = c.slice(0, 3).map((v) => {
                  v /= 255;
                  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
                });
                return 0.2126 * r + 0.7152 * g + 0.0722 * b;
              };
              const ratio = (a, b) => {
                const [x, y] = [luminance(a), luminance(b)].sort((p, q) => q - p);
                return (x + 0.05) / (y + 0.05);
              };
              const ground = (e) => {
                for (let at = e; at; at = at.parentElement) {
                  const c = rgba(getComputedStyle(at).backgroundColor);
                  if (c[3] > 250) return c;
                }
                return [255, 255, 255, 255];
              };
              const seen = (e) => e.checkVisibility({opacityProperty: true, visibilityProperty: true})
                && e.getBoundingClientRect().width > 2;
              const name = (e) => e.tagName.toLowerCase() + '#' + e.id + '.' + (e.className.baseVal ?? e.className);
              const faint = [];
              const controls = 'input:not([type=hidden], [type=range], [type=checkbox], [type=radio]), select, textarea, '
                + 'button:not(.plain, .offer), .btn, .chip, .face, .pick-shape, .nudge, .side';
              for (const e of document.querySelectorAll(controls)) {
                if (!seen(e) || e.disabled) continue;
                const style = getComputedStyle(e);
                const behind = ground(e.parentElement);
                const own = rgba(style.backgroundColor);
                const edges = ['Top', 'Right', 'Bottom', 'Left']
                  .filter((s) => style['border' + s + 'Style'] !== 'none' && parseFloat(style['border' + s + 'Width']) >= 1
                    && rgba(style['border' + s + 'Color'])[3] > 10)
                  .map((s) => ratio(rgba(style['border' + s + 'Color']), behind));
                const best = Math.max(...edges, own[3] > 250 ? ratio(own, behind) : 1, 1);
                if (edges.length + (own[3] > 250 ? 1 : 0) && best < 3) faint.push(name(e) + ' ' + best.toFixed(2));
              }
              for (const e of document.querySelectorAll('.said > svg, .sign, .worst h2 svg, .judged svg')) {
                if (!seen(e)) continue;
                const best = ratio(rgba(getComputedStyle(e).color), ground(e));
                if (best < 3) faint.push(name(e) + ' of ' + name(e.parentElement) + ' ' + best.toFixed(2));
              }
              return [...new Set(faint)];
            }
            """;

    /** A diagonal fraction's digits are three eighths of its size in the face that ships; each is drawn by the one renderer. */
    private static final String SMALL = """
            () => {
              const seen = (e) => e.checkVisibility() && e.getBoundingClientRect().width > 2 && !e.closest('.visually-hidden');
              const at = (e) => e.parentElement.tagName + '.' + (e.parentElement.className.baseVal ?? e.parentElement.className);
              const small = [...document.querySelectorAll('.frac')].filter(seen)
                .map((e) => {
                  const drawn = e.ownerSVGElement ? Math.hypot(e.getScreenCTM().a, e.getScreenCTM().b) : 1;
                  return [e, parseFloat(getComputedStyle(e).fontSize) * drawn * 0.375];
                })
                .filter(([, px]) => px < 8)
                .map(([e, px]) => e.textContent + ' in ' + at(e) + ' ' + px.toFixed(1));
              const bare = [];
              const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
              while (walk.nextNode()) {
                const e = walk.currentNode.parentElement;
                if (/\\d⁄\\d/.test(walk.currentNode.data) && !e.closest('.frac, option, .visually-hidden, script') && seen(e))
                  bare.push('bare ' + walk.currentNode.data.trim().slice(0, 60) + ' in ' + e.tagName + '.' + (e.className.baseVal ?? e.className));
              }
              return [...new Set([...small, ...bare])];
            }
            """;

    @Test
    void every_control_and_mark_stands_out_and_every_fraction_is_large_enough() {
        List<String> found = new ArrayList<>();
        try (Screen screen = Screen.desk().signIn("tamsin")) {
            for (String path : EveryPage.paths()) {
                screen.open(path);
                at(screen.page, FAINT).forEach(f -> found.add(path + ": " + f));
                at(screen.page, SMALL).forEach(f -> found.add(path + ": " + f));
                screen.page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
                at(screen.page, FAINT).forEach(f -> found.add(path + " dim: " + f));
                screen.page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
            }
        }
        assertEquals(List.of(), found);
    }

    @SuppressWarnings("unchecked")
    private static List<String> at(Page page, String script) {
        return (List<String>) page.evaluate(script);
    }

    /** The check itself sees a pale border and a small fraction. */
    @Test
    void a_pale_border_and_a_small_fraction_are_found() {
        try (Screen screen = Screen.of(1280, 800, false).signIn("tamsin")) {
            screen.open("/account");
            screen.page.evaluate(
                    "document.querySelector('main').insertAdjacentHTML('beforeend',"
                            + " '<button class=\"pale\">x</button><p class=\"hint\">3 <span class=\"frac tiny\">3⁄8</span></p>')");
            screen.page.evaluate(
                    "document.querySelector('.pale').style.cssText = 'border:1px solid #c8c8c8;background:#e7e8e4'");
            screen.page.evaluate("document.querySelector('.tiny').style.fontSize = '16px'");
            assertFalse(at(screen.page, FAINT).isEmpty());
            assertFalse(at(screen.page, SMALL).isEmpty());
        }
    }
}
