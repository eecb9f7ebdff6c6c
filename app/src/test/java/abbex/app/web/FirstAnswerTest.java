package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

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

    private static final int[] DESK = {1280, 800, 800};
    /** Above where the thumbs are. */
    private static final int[] TABLET = {800, 1280, 1000};

    @Test
    void stands_above_the_edge() {
        List<String> below = new ArrayList<>();
        try (Screen screen = Screen.desk().signIn("tamsin")) {
            answers().forEach((path, answer) -> {
                screen.open(path);
                for (int[] size : List.of(DESK, TABLET)) {
                    screen.page.setViewportSize(size[0], size[1]);
                    BoundingBox box = screen.page.locator(answer).first().boundingBox();
                    if (box == null || box.y + box.height > size[2]) {
                        below.add(path + " " + answer
                                + (box == null ? " is not seen" : " ends at " + (box.y + box.height)));
                    }
                }
                screen.page.setViewportSize(DESK[0], DESK[1]);
            });
        }
        assertEquals(List.of(), below);
    }

    /**
     * WCAG 2.2, 1.4.4 and 1.4.10: at twice the size a window of 1280 by 800 is one of 640 by 400. What can be pressed can be
     * reached there: it scrolls into view. That no page is wider is said by {@link AxeTest}.
     */
    @Test
    void twice_as_large_it_can_be_reached() {
        List<String> out = new ArrayList<>();
        try (Screen screen = Screen.enlarged().signIn("tamsin")) {
            answers().forEach((path, answer) -> {
                screen.open(path);
                screen.page.locator(answer).first().scrollIntoViewIfNeeded();
                BoundingBox box = screen.page.locator(answer).first().boundingBox();
                if (box.y + box.height < 0 || box.y > 400) {
                    out.add(path + " " + answer);
                }
            });
        }
        assertEquals(List.of(), out);
        assertTrue(answers().size() > 10);
    }
}
