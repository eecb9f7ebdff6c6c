package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.EveryPage;
import abbex.app.support.Jobs;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each page says first what is needed first: without a scroll at the desk, above the thumbs on a tablet, and enlarged twice. */
@ExtendWith(Shop.class)
class FirstAnswerTest {
    /** What each page is opened for. */
    private static Map<String, String> answers() {
        String half = "/jobs/" + Jobs.id("KT 4-207");
        Map<String, String> answers = new LinkedHashMap<>();
        answers.put("/", "#first-of-all, .first-of-all");
        answers.put("/arrive", "label[for='outline-CAR-HATCH']");
        answers.put(half + "/measure", "#arch-RF .reading");
        answers.put(half + "/fitment", ".worst");
        answers.put(half + "/prove?corner=LF", ".worst");
        answers.put(half + "/prove?corner=RR", ".worst");
        answers.put(half + "/prove/road", ".roadwheel .clock");
        answers.put(half + "/ground", ".worst");
        answers.put("/jobs/" + Jobs.id("GN 2-118") + "/sheet", ".firstline");
        answers.put("/jobs/" + Jobs.id("MQ 381") + "/prove?corner=REAR", ".worst");
        answers.put("/jobs/" + Jobs.id("VB 2-094") + "/hand-over", ".answer");
        return answers;
    }

    @ParameterizedTest(name = "{0} x {1}")
    @CsvSource({"1280,800,800", "800,1280,1000"})
    void stands_above_the_edge(int width, int height, int edge) {
        List<String> below = new ArrayList<>();
        try (Screen screen = Screen.of(width, height, false).signIn("tamsin")) {
            answers().forEach((path, answer) -> {
                screen.open(path);
                screen.page.waitForLoadState();
                BoundingBox box = screen.page.locator(answer).first().boundingBox();
                if (box == null || box.y + box.height > edge) {
                    below.add(
                            path + " " + answer + (box == null ? " is not seen" : " ends at " + (box.y + box.height)));
                }
            });
        }
        assertEquals(List.of(), below);
    }

    /** WCAG 2.2, 1.4.4 and 1.4.10: at twice the size a window of 1280 by 800 is one of 640 by 400. */
    @Test
    void twice_as_large_nothing_is_cut_off() {
        List<String> wide = new ArrayList<>();
        try (Screen screen = Screen.enlarged().signIn("tamsin")) {
            for (String path : EveryPage.kinds()) {
                screen.open(path);
                int over = (int) screen.page.evaluate("document.documentElement.scrollWidth - window.innerWidth");
                if (over > 0) {
                    wide.add(path + " is " + over + " px too wide");
                }
            }
            // What can be pressed can be reached: it scrolls into view, and nothing lies over it.
            answers().forEach((path, answer) -> {
                screen.open(path);
                screen.page.locator(answer).first().scrollIntoViewIfNeeded();
                BoundingBox box = screen.page.locator(answer).first().boundingBox();
                if (box.y + box.height < 0 || box.y > 400) {
                    wide.add(path + " " + answer + " cannot be reached");
                }
            });
        }
        assertEquals(List.of(), wide);
        assertTrue(answers().size() > 10);
    }
}
