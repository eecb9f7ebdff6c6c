package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.page.Words;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Motorcycles by thumbs, trucks by keys and points that a shop named, from arrival to sheet; the other way round in {@link JourneyTest}. */
@ExtendWith(Shop.class)
class KindsTest {
    private Screen screen;
    private Page page;

    @AfterEach
    void close() {
        assertEquals(List.of(), screen.complaints());
        screen.close();
    }

    /** What a hand does on its way from arrival to sheet. */
    private abstract class Hand {
        abstract Screen device();

        abstract void go(String id);

        abstract void press(String text);

        abstract void choose(String id, String letter, String value);

        abstract void read(String reading);

        /** What the vehicle looks like. */
        abstract void outline(String value);

        void write(String id, String text) {
            go(id);
            page.keyboard().type(text);
        }

        void round(String code, String... readings) {
            if (!code.equals(page.locator("#walk").getAttribute("data-method"))) {
                go("chip-" + code);
                press("");
                assertThat(page.locator("#walk[data-method='" + code + "'] .reading:focus"))
                        .isVisible();
                assertThat(page.locator("#tape-toggle")).isVisible();
            }
            Arrays.stream(readings).forEach(this::read);
            assertThat(page.locator(".arch.taken")).hasCount(readings.length);
        }
    }

    private final class Keys extends Hand {
        @Override
        Screen device() {
            return Screen.desk();
        }

        @Override
        void go(String id) {
            reach("document.activeElement.id === '" + id + "'", id);
        }

        @Override
        void press(String text) {
            if (!text.isEmpty()) {
                reach("document.activeElement.textContent.trim() === '" + text + "'", text);
            }
            page.keyboard().press("Enter");
        }

        private void reach(String there, String name) {
            for (int i = 0; i < 90; i++) {
                if (Boolean.TRUE.equals(page.evaluate(there))) {
                    return;
                }
                page.keyboard().press("Tab");
            }
            throw new AssertionError(name + " was not reached");
        }

        @Override
        void outline(String value) {
            go("outline-CAR-HATCH");
            page.keyboard().press("Space");
            for (int i = 0; i < 4 && !page.locator("#outline-" + value).isChecked(); i++) {
                page.keyboard().press("ArrowRight");
            }
            assertThat(page.locator("#outline-" + value)).isChecked();
        }

        @Override
        void choose(String id, String letter, String value) {
            go(id);
            page.keyboard().press(letter);
            assertThat(page.locator("#" + id)).hasValue(value);
        }

        @Override
        void read(String reading) {
            Locator field = page.locator(".reading:focus");
            assertThat(field).hasValue("");
            page.keyboard().type(reading);
            page.keyboard().press("Enter");
        }
    }

    private final class Thumbs extends Hand {
        @Override
        Screen device() {
            return Screen.tablet();
        }

        @Override
        void go(String id) {
            if (!id.startsWith("chip-")) {
                page.locator("#" + id).tap();
            } else {
                page.locator("#" + id).scrollIntoViewIfNeeded();
                page.locator("#" + id).tap();
            }
        }

        @Override
        void press(String text) {
            if (!text.isEmpty()) {
                page.getByText(text, new Page.GetByTextOptions().setExact(true))
                        .first()
                        .tap();
            }
        }

        @Override
        void outline(String value) {
            page.locator("label[for='outline-" + value + "']").tap();
        }

        @Override
        void choose(String id, String letter, String value) {
            page.locator("#" + id).selectOption(value);
        }

        /** A mark first, then whole inches up or down to it. */
        @Override
        void read(String reading) {
            String title = page.locator(".tape-title").textContent();
            Locator field = page.locator(".reading[aria-label='" + title + "']");
            assertThat(field).hasValue("");
            double value = inches(reading);
            long sixteenths = Math.round(value * 16);
            // To the browser a finger that rests half a second is no tap; on a machine as busy as that it taps again.
            for (int i = 0; i < 5 && field.inputValue().isEmpty(); i++) {
                tapMark((int) (sixteenths % 16));
                page.waitForTimeout(i == 0 ? 50 : 500);
            }
            long more = Math.floorDiv(sixteenths, 16) - Math.floorDiv(Math.round(inches(field.inputValue()) * 16), 16);
            for (long i = 0; i < Math.abs(more); i++) {
                page.locator(".nudge[data-by='" + (more > 0 ? 1 : -1) + "']").tap();
            }
            assertThat(field).hasValue(reading);
            int taken = page.locator(".arch.taken").count();
            page.locator("[data-take]").tap();
            // Its answer is in: nothing is drawn anew under the next tap.
            assertThat(page.locator(".arch.taken")).hasCount(taken + 1);
            page.waitForCondition(
                    () -> !title.equals(page.locator(".tape-title").textContent())
                            || page.locator(".arch:not(.taken)").count() == 0);
        }

        private double inches(String text) {
            double sum = 0;
            for (String part : text.split(" ")) {
                String[] n = part.split("/");
                sum += n.length == 1 ? Double.parseDouble(n[0]) : Double.parseDouble(n[0]) / Double.parseDouble(n[1]);
            }
            return sum;
        }

        private void tapMark(int mark) {
            Locator row = page.locator(".inch svg")
                    .filter(new Locator.FilterOptions().setHas(page.locator("[data-mark='" + mark + "']")))
                    .first();
            // Both read at once: the tape may be drawn anew in between.
            List<?> at = (List<?>) row.evaluate(
                    "(svg, m) => [Number(svg.querySelector(`[data-mark='${m}']`).getAttribute('d').split(/[M ]/)[1]),"
                            + " svg.getBoundingClientRect().height / 2]",
                    mark);
            row.tap(new Locator.TapOptions()
                    .setPosition(((Number) at.get(0)).doubleValue(), ((Number) at.get(1)).doubleValue()));
        }
    }

    enum Hands {
        KEYS,
        THUMBS
    }

    private Hand take(Hands hands) {
        Hand hand = hands == Hands.KEYS ? new Keys() : new Thumbs();
        screen = hand.device().signIn("orla");
        page = screen.page;
        page.waitForLoadState();
        screen.open("/arrive");
        page.waitForLoadState();
        return hand;
    }

    private void setDown(Hand hand) {
        hand.press(Said.part("measure.set-down"));
        assertThat(page.locator(".stages [aria-current]")).containsText(Said.part("stage.FIRST_SET_DOWN"));
        assertThat(page.locator(".reading:focus")).isVisible();
        assertThat(page.locator("#tape-toggle")).isVisible();
    }

    /** The seat is drop-6 of the trade's worked examples: 37 1/8 to 35 7/8 is 1 1/4 in, against 1 1/2 advertised. */
    @ParameterizedTest
    @EnumSource(value = Hands.class, names = "THUMBS")
    void a_motorcycle_from_arrival_to_sheet(Hands hands) {
        Hand hand = take(hands);
        hand.write("plate", "MC " + System.nanoTime() % 1_000_000);
        hand.write("name", "tourer");
        hand.outline("MOTORCYCLE-MOTORCYCLE");
        hand.write("promiseSEAT", "1 1/2");
        hand.press(Said.by("arrive.more.vehicle"));
        hand.write("headAngle", "27.5");
        hand.press(Said.part("arrive.receive"));
        assertThat(page.locator("#in-front-AX")).isFocused();
        assertThat(page.locator("#tape-toggle")).isVisible();
        hand.round("BIKE", "21 3/8", "3/8", "37 1/8", "16 1/4");
        setDown(hand);
        hand.round("BIKE", "20 1/2", "7/8", "35 7/8", "14 13/16");
        assertThat(page.locator("#sum")).containsText("front ↓");
        assertThat(page.locator("#says")).containsText(Said.by("finding.LESS_BUT_USUAL.title", "place", "Seat"));
        toSheet(hands);
        assertThat(page.locator(".heads")).containsText("Seat");
        assertThat(page.locator(".heads")).containsText("↓ 1 1⁄4″");
        assertThat(page.locator(".drops.points")).containsText(Words.capital(Said.by("method.FT")));
        assertPdf(Words.capital(Said.by("method.FT")), Words.capital(Said.by("method.SEAT")));
    }

    @ParameterizedTest
    @EnumSource(value = Hands.class, names = "KEYS")
    void a_truck_from_arrival_to_sheet(Hands hands) {
        Hand hand = take(hands);
        hand.write("plate", "TK " + System.nanoTime() % 1_000_000);
        hand.write("name", "crew cab");
        hand.outline("TRUCK-PICKUP");
        hand.press(Said.by("arrive.more.vehicle"));
        hand.choose("dualRear", "t", "on");
        hand.press(Said.part("arrive.receive"));
        assertThat(page.locator("#in-LF")).isFocused();
        assertThat(page.locator("#tape-toggle")).isVisible();
        page.locator("#state > summary").click();
        assertThat(page.locator("#PRESSURE_RRI")).isVisible();
        page.locator("#state > summary").click();
        page.locator("#in-LF").focus();
        hand.round("HF", "20 1/4", "20 1/4", "21 1/2", "21 9/16");
        hand.round("CABBED", "22 1/2", "22 1/2", "55 3/4", "55 11/16");
        if (hands == Hands.KEYS) {
            hand.round("REARAXLE", "24 1/8", "6 1/4", "29 3/8", "24 1/16", "6 3/16", "29 5/16");
        }
        setDown(hand);
        hand.round("HF", "20 3/16", "20 3/16", "19 1/2", "19 9/16");
        hand.round("CABBED", "22 1/4", "22 1/4", "53 5/8", "53 9/16");
        if (hands == Hands.KEYS) {
            hand.round("REARAXLE", "22 1/4", "2 7/8", "27 1/8", "22 3/16", "2 13/16", "27 1/16");
            assertThat(page.locator("#says")).containsText(Said.part("finding.AXLE_TRAVEL_SHORT.title"));
            assertThat(page.locator("#says")).containsText(Said.part("finding.AXLE_AGAINST_WHEEL.title"));
        }
        assertThat(page.locator("#sum")).containsText("rear ↓ 2″");
        toSheet(hands);
        assertThat(page.locator(".drops:not(.stations)").first()).containsText("↓ 2 1⁄8″");
        assertPdf(Words.capital(Said.by("method.BED")), Words.capital(Said.by("method.CAB")));
    }

    private void toSheet(Hands hands) {
        if (hands == Hands.KEYS) {
            page.keyboard().press("Alt+h");
        } else {
            page.locator(".strip a[href$='/sheet']").tap();
        }
        assertThat(page.locator(".paper h1")).containsText(Said.part("sheet.title"));
    }

    private void assertPdf(String... texts) {
        String text;
        try (PDDocument document =
                Loader.loadPDF(page.request().get(page.url() + ".pdf?size=A4").body())) {
            text = new PDFTextStripper().getText(document);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        for (String one : texts) {
            assertTrue(text.contains(one), text);
        }
    }

    @Test
    void everything_at_one_corner_then_the_next() {
        Hand hand = take(Hands.KEYS);
        hand.write("plate", "BY " + System.nanoTime() % 1_000_000);
        hand.write("name", "hatch");
        hand.outline("CAR-HATCH");
        hand.press(Said.part("arrive.receive"));
        assertThat(page.locator("#in-LF")).isFocused();
        hand.press("by place");
        assertThat(page.locator("#walk")).hasAttribute("data-method", "at-LF");
        assertThat(page.locator("#in-LF-HF")).isFocused();
        assertThat(page.locator("#tape-toggle")).isVisible();
        for (String text : List.of("14 3/8", "23 5/8", "26 1/4", "7", "2")) {
            hand.read(text);
        }
        assertThat(page.locator(".arch.taken")).hasCount(5);
        assertThat(page.locator("#chip-at-RF")).isFocused();
        page.keyboard().press("Enter");
        assertThat(page.locator("#in-RF-HF")).isFocused();
        page.locator(".chip.turn").click();
        assertThat(page.locator("#arch-LF.taken")).hasCount(1);
        assertThat(page.locator("#chip-RIM")).containsText("1/4");
    }

    @Test
    void a_point_of_the_shops_own_from_its_name_to_the_sheet_and_out_of_use() {
        Hand hand = take(Hands.KEYS);
        hand.write("plate", "PT " + System.nanoTime() % 1_000_000);
        hand.write("name", "roadster");
        hand.outline("CAR-COUPE");
        hand.press(Said.part("arrive.receive"));
        page.locator("#points summary").click();
        page.getByText(Said.part("measure.point.add")).click();
        assertThat(page.locator("#pointName-bad")).containsText(Said.part("problem.point.name"));
        page.locator("#pointName").fill("a name that is so long that nobody would ever read it");
        page.locator("#pointWhere").selectOption("ONE");
        page.getByText(Said.part("measure.point.add")).click();
        assertThat(page.locator("#pointName-bad")).containsText(Said.by("problem.long", "most", "40"));
        assertThat(page.locator("#pointWhere")).hasValue("ONE");
        page.locator("#pointName").fill("splitter <edge>");
        page.getByText(Said.part("measure.point.add")).click();
        assertThat(page.locator("#in-vehicle")).isFocused();
        assertThat(page.locator("#in-vehicle")).hasAttribute("aria-label", "Vehicle, splitter <edge>");
        hand.read("4 1/2");
        assertThat(page.locator("#arch-vehicle.taken")).isVisible();
        page.getByText(Said.part("measure.set-down")).click();
        assertThat(page.locator("#in-vehicle")).isFocused();
        hand.read("3 1/4");
        assertThat(page.locator("#arch-vehicle .fell")).containsText("1 1⁄4");
        page.locator("#points summary").click();
        page.locator("#pointName").fill("Splitter <EDGE>");
        page.getByText(Said.part("measure.point.add")).click();
        assertThat(page.locator("#pointName-bad")).containsText(Said.part("problem.point.there"));
        String way = page.locator("#arch-vehicle [name=method]").first().inputValue();
        page.getByLabel(Said.by("measure.point.delete.name", "name", "splitter <edge>"))
                .click();
        assertThat(page.locator(".chips")).not().containsText("splitter");
        // What waited on a device for that point meanwhile is stored all the same.
        String readings = page.url().replaceAll("\\?.*", "").replace(Shop.address(), "") + "/readings";
        assertEquals(
                302,
                Visitor.signedIn("orla")
                        .post(
                                readings,
                                "corner",
                                "vehicle",
                                "method",
                                way,
                                "raw",
                                "3 3/16",
                                "client",
                                "" + UUID.randomUUID())
                        .statusCode());
        // The page's script is there: no hand is quicker.
        assertThat(page.locator("#tape-toggle")).isVisible();
        page.keyboard().press("Alt+h");
        assertThat(page.locator(".drops.points")).containsText("Splitter <edge>");
        assertThat(page.locator(".drops.points")).containsText("↓ 1 5⁄16″");
    }
}
