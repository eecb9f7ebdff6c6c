package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A truck by thumbs on an upright tablet and a motorcycle by keys alone: received, measured, planned, measured again, handed
 * over. The other hand of each is KindsTest's; the whole card is worked by hand for the motorcycle, and for a car in
 * CardByHandTest.
 */
@ExtendWith(Shop.class)
class JourneyTest {
    /** One stay and the hand that does it. */
    private record Stay(Screen screen, Page page, CardHand hand) {
        static Stay by(Screen screen, CardHand hand) {
            screen.signIn("orla");
            screen.open("/arrive");
            return new Stay(screen, screen.page, hand);
        }

        void write(String id, String text) {
            unfold(id);
            hand.type(page.locator("#" + id), text);
        }

        /** The picture by thumb, the radio button by keys. */
        void outline(String value) {
            if (hand == CardHand.THUMB) {
                hand.press(page.locator("label[for='outline-" + value + "']"));
                return;
            }
            hand.tick(page.locator("#outline-CAR-HATCH"));
            for (int i = 0; i < 6 && !page.locator("#outline-" + value).isChecked(); i++) {
                page.keyboard().press("ArrowRight");
            }
        }

        void unfold(String id) {
            for (Locator fold : page.locator("details:has(#" + id + ")").all()) {
                if (fold.getAttribute("open") == null) {
                    hand.press(fold.locator("> summary"));
                }
            }
        }

        void tick(String id) {
            unfold(id);
            hand.tick(page.locator("#" + id));
        }

        void to(String station) {
            hand.press(page.locator(".strip a[href$='/" + station + "']"));
            page.waitForURL(Pattern.compile(".*/" + station + "(\\?.*)?$"));
        }

        /** Every reading of a round where its field stands. */
        void round(String code, String... readings) {
            if (!code.equals(page.locator("#walk").getAttribute("data-method"))) {
                hand.press(page.locator("#chip-" + code));
                assertThat(page.locator("#walk[data-method='" + code + "'] .reading")
                                .first())
                        .isVisible();
            }
            for (int i = 0; i < readings.length; i++) {
                Locator next = page.locator(".reading:focus");
                if (i > 0 && (next.count() == 0 || !next.inputValue().isEmpty())) {
                    page.locator(".arch:not(.taken) .reading").first().focus();
                }
                assertThat(next).hasValue("");
                page.keyboard().type(readings[i]);
                page.keyboard().press("Enter");
                assertThat(page.locator(".arch.taken")).hasCount(i + 1);
            }
        }

        /** In their order; what is just a yes is ticked. */
        void plan(Map<String, String> fields) {
            to("plan");
            assertThat(page.locator("#bench[data-live]")).hasCount(1);
            fields.forEach((field, text) -> {
                if (text.equals("yes")) {
                    tick(field);
                } else {
                    write(field, text);
                }
            });
            hand.press(page.locator("#bench > .btn-primary"));
            page.waitForURL(Pattern.compile(".*kit=.*"));
        }

        void fit(String job) {
            to("fit");
            hand.press(page.locator(".begin .btn"));
            assertThat(page.locator(".bayview h1")).isVisible();
            CardHand.work(page, job, hand);
            assertThat(page.locator(".whyline")).hasText(Said.by("fit.finished"));
        }

        void setDown() {
            hand.press(page.locator(".strip a[href*='/measure']"));
            assertThat(page.locator("#walk")).isVisible();
            hand.press(page.getByRole(
                    AriaRole.BUTTON,
                    new Page.GetByRoleOptions().setName(Pattern.compile(Said.part("measure.set-down")))));
            assertThat(page.locator(".stages [aria-current]")).containsText(Said.part("stage.FIRST_SET_DOWN"));
            assertThat(page.locator(".reading:focus")).isVisible();
        }

        /** What is still to be answered is answered with a reason; then it is signed. */
        void handOver() {
            hand.press(page.locator(".strip a[href$='/sheet']"));
            assertThat(page.locator(".paper h1")).isVisible();
            Locator asks = page.locator("a.btn-primary[href$='/hand-over']");
            if (asks.count() > 0) {
                hand.press(asks);
                assertThat(page.locator("form.answers")).isVisible();
                for (Locator answer : page.locator("fieldset.answer").all()) {
                    hand.tick(answer.locator("input[type=radio]").first());
                    hand.type(answer.locator(".why input"), "seen with the customer");
                }
                hand.press(page.locator(".answers .btn-primary"));
            } else {
                hand.press(page.locator("form[action$='/hand-over'] .btn-primary"));
            }
            assertThat(page.locator("form[action$='/hand-over/undo']")).isVisible();
        }

        String job() {
            return page.url().replaceAll(".*/jobs/([0-9a-f-]+).*", "$1");
        }
    }

    @Test
    void a_truck_by_thumbs() {
        truck(Screen.tabletThatKeeps(), CardHand.THUMB);
    }

    @Test
    void a_motorcycle_by_keys() {
        motorcycle(Screen.deskThatKeeps(), CardHand.KEYS);
    }

    private static void truck(Screen device, CardHand hand) {
        try (Screen screen = device) {
            Stay stay = Stay.by(screen, hand);
            stay.write("plate", "JT " + System.nanoTime() % 1_000_000);
            stay.write("name", "long bed");
            stay.outline("TRUCK-PICKUP");
            stay.unfold("archRear");
            screen.page.locator("#archRear").selectOption("SOLID_AXLE_LEAF");
            stay.hand().press(screen.page.locator("main form .btn-primary").last());
            assertThat(screen.page.locator("#in-LF")).isVisible();
            String job = stay.job();
            stay.round("HF", "20 1/8", "20 1/8", "22 3/8", "22 7/16");
            Map<String, String> fields = new LinkedHashMap<>();
            fields.put("REAR_GETS_SHACKLES", "yes");
            fields.put("REAR_OLD_SHACKLE", "110 mm");
            fields.put("REAR_NEW_SHACKLE", "60 mm");
            fields.put("REAR_SHACKLE_LEAN", "10");
            fields.put("REAR_SHACKLE_HANGS", "yes");
            fields.put("REAR_SADDLE_ANGLE", "0.5");
            fields.put("REAR_ENGINE_SLOPE", "3");
            fields.put("REAR_SHAFT_SLOPE", "5");
            fields.put("REAR_PINION_SLOPE", "3");
            fields.put("REAR_SHAFT_LENGTH", "1400 mm");
            stay.plan(fields);
            assertThat(screen.page.locator(".planmachine .turns")).containsText(Said.by("machine.uneven"));
            assertThat(screen.page.locator(".planmachine .mech .shackle")).not().hasCount(0);
            stay.setDown();
            stay.round("HF", "20 1/8", "20 1/8", "21 7/16", "21 1/2");
            stay.handOver();
            screen.open("/jobs/" + job + "/plan");
            assertThat(screen.page.locator("[data-end=REAR] .three"))
                    .containsText(Said.part("three.measured").split("\\{")[0].strip());
            assertEquals(List.of(), screen.complaints());
        }
    }

    private static void motorcycle(Screen device, CardHand hand) {
        try (Screen screen = device) {
            Stay stay = Stay.by(screen, hand);
            stay.write("plate", "JM " + System.nanoTime() % 1_000_000);
            stay.write("name", "roadster");
            stay.outline("MOTORCYCLE-MOTORCYCLE");
            stay.write("headAngle", "24.5");
            stay.hand().press(screen.page.locator("main form .btn-primary").last());
            assertThat(screen.page.locator("#in-front-AX")).isVisible();
            String job = stay.job();
            stay.round("BIKE", "20 15/16", "3/8", "31 1/2", "16");
            Map<String, String> fields = new LinkedHashMap<>();
            for (String one : """
                    FRONT_STEER_RADIUS=298 mm; FRONT_STEER_OFFSET=35 mm; REAR_GETS_LINKS=yes;
                    REAR_OLD_LINK=132 mm; REAR_NEW_LINK=137 mm;
                    REAR_AXLE_BACK=600 mm; REAR_AXLE_UP=-60 mm; REAR_FOOT_BACK=130 mm; REAR_FOOT_UP=-65 mm;
                    REAR_TOP_BACK=60 mm; REAR_TOP_UP=260 mm; REAR_ROCKER_BACK=60 mm; REAR_ROCKER_UP=-105 mm;
                    REAR_KNEE_BACK=135 mm; REAR_KNEE_UP=-130 mm; REAR_FAR_BACK=190 mm; REAR_FAR_UP=-10 mm;
                    REAR_STAND_HEIGHT=262 mm; REAR_STAND_OUT=118 mm; REAR_STAND_LENGTH=248 mm; REAR_STAND_SPREAD=32""".strip().split(";\\s*")) {
                fields.put(one.split("=")[0], one.split("=")[1]);
            }
            stay.plan(fields);
            assertThat(screen.page.locator(".linkage .pose.here")).hasCount(1);
            assertThat(screen.page.locator(".behind")).isVisible();
            assertThat(screen.page.locator(".turns")).containsText(Said.by("machine.lean"));
            stay.fit(job);
            stay.setDown();
            stay.round("BIKE", "20 15/16", "3/8", "30 13/16", "15 1/4");
            stay.handOver();
            screen.open("/jobs/" + job + "/plan");
            assertThat(screen.page.locator("[data-end=REAR] .three"))
                    .containsText(Said.part("three.measured").split("\\{")[0].strip());
            assertEquals(List.of(), screen.complaints());
        }
    }
}
