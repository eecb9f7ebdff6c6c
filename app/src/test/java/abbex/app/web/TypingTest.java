package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.Cookie;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What goes wrong while typing in the walk: each is told in a sentence and nothing typed is lost. */
@ExtendWith(Shop.class)
class TypingTest {
    private static int plates = 100;

    private Screen screen;
    private Page page;

    @BeforeEach
    void receive() {
        screen = Screen.desk().signIn("orla");
        page = screen.page;
        screen.receive("TY 2-" + plates++);
        assertThat(page.locator("#in-LF")).isFocused();
    }

    @AfterEach
    void close() {
        screen.close();
    }

    private Locator field(String corner) {
        return page.locator("#in-" + corner);
    }

    private void type(String corner, String text) {
        field(corner).fill(text);
        field(corner).press("Enter");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
                    25 7/15 | NOT_ON_A_TAPE | 25 7/16
                    25 17/16 | IMPROPER | 26 1/16
                    25 7/ | UNFINISHED_FRACTION | 25 7/16
                    26,5 | COMMA | 26.5
                    ٢٦ | OTHER_DIGITS | 26
                    1e3 | EXPONENT | ''
                    -26 | MINUS | 26
                    0 | ZERO | ''
                    400 in | TOO_LARGE | ''
                    <script>alert(1)</script> | NOT_READABLE | ''
                    👍 26 | NOT_READABLE | ''
                    """)
    void a_text_that_is_no_reading(String text, String why, String offer) {
        type("LF", text);
        assertThat(page.locator("#bad-LF")).containsText(Said.part("refusal." + why));
        assertThat(field("LF")).hasValue(text);
        assertThat(field("LF")).isFocused();
        if (!offer.isEmpty()) {
            page.locator("#bad-LF .offer").click();
            assertThat(field("LF")).hasValue(offer);
            page.keyboard().press("Enter");
            assertThat(page.locator("#arch-LF.taken")).isVisible();
        }
    }

    @Test
    void ten_thousand_characters() {
        type("LF", "9".repeat(10_000));
        assertThat(page.locator("#bad-LF")).containsText(Said.by("refusal.TOO_LONG", "read", "10000"));
        assertEquals(10_000, field("LF").inputValue().length());
    }

    @Test
    void a_bare_number_in_a_sheet_of_millimetres_is_taken_and_asked_about() {
        try (Screen other = Screen.desk().signIn("pell")) {
            other.receive("TY 3-" + plates++);
            other.page.locator("#chip-GF").click();
            other.page.locator("#in-LF").fill("26");
            other.page.keyboard().press("Enter");
            assertThat(other.page.locator("#arch-LF .hero")).hasText("26 mm");
            assertThat(other.page.locator("#says")).containsText(Said.part("finding.UNIT_DOUBT.text"));
        }
    }

    @Test
    void the_walk_goes_on_while_a_refused_text_waits() {
        field("LF").focus();
        page.keyboard().type("14 3/8");
        page.keyboard().press("Enter");
        assertThat(field("RF")).isFocused();
        page.keyboard().type("14 17/16");
        page.keyboard().press("Enter");
        assertThat(page.locator("#bad-RF")).containsText(Said.part("refusal.IMPROPER"));
        assertThat(field("RF")).isFocused();
        assertThat(field("RF")).hasValue("14 17/16");
    }

    @Test
    void undo_by_its_key_in_the_field() {
        type("LF", "14 3/8");
        assertThat(page.locator("#arch-LF.taken")).isVisible();
        field("LF").fill("14 1/2");
        field("LF").press("Enter");
        assertThat(page.locator("#arch-LF .hero")).hasText("14\u202f1⁄2");
        field("LF").focus();
        page.keyboard().press("Alt+u");
        assertThat(page.locator("#arch-LF .hero")).hasText("14\u202f3⁄8");
        assertThat(field("LF")).hasValue("14 3/8");
    }

    @Test
    void a_session_that_ended_while_typing_loses_nothing() {
        type("LF", "14 3/8");
        assertThat(page.locator("#arch-LF.taken")).isVisible();
        forgetSession();
        // Another page fetched for later meanwhile is not where signing in leads to.
        page.evaluate("fetch('/account')");
        page.waitForResponse(r -> r.url().endsWith("/readings") && r.status() == 401, () -> type("RF", "14 7/16"));
        signInAgain();
        assertThat(field("RF")).hasValue("14 7/16");
        assertThat(page.locator("#notice")).containsText(Said.part("script.reading.back"));
        field("RF").press("Enter");
        assertThat(page.locator("#arch-RF.taken")).isVisible();
    }

    @Test
    void a_page_left_before_the_answer_loses_nothing() {
        forgetSession();
        page.route("**/readings", stalled -> {});
        type("RF", "14 7/16");
        page.reload();
        page.unroute("**/readings");
        signIn();
        assertThat(field("RF")).hasValue("14 7/16");
        assertThat(page.locator("#arch-RF.taken")).isVisible();
    }

    private void signInAgain() {
        assertThat(page.locator("#notice")).containsText(Said.part("script.ended"));
        page.locator("#notice a").click();
        signIn();
    }

    private void signIn() {
        page.getByLabel(Said.by("sign-in.name")).fill("orla");
        page.getByLabel(Said.by("sign-in.password")).fill(Shop.password());
        page.keyboard().press("Enter");
    }

    @Test
    void a_form_whose_session_ended_is_filled_again() {
        screen.open("/arrive");
        page.locator("#plate").pressSequentially("TY 4-" + plates++);
        page.locator("label[for='outline-CAR-COUPE']").click();
        page.locator("#name").pressSequentially("long story");
        page.locator("#kit").pressSequentially("springs");
        String plate = page.locator("#plate").inputValue();
        forgetSession();
        page.keyboard().press("Enter");
        assertThat(page.locator("body")).containsText(Said.part("sign-in.ended"));
        page.getByLabel(Said.by("sign-in.name")).fill("orla");
        page.getByLabel(Said.by("sign-in.password")).fill(Shop.password());
        page.keyboard().press("Enter");
        page.waitForURL(Shop.address() + "/");
        page.getByText(Said.part("script.draft.arrive.go")).click();
        assertThat(page.locator("#plate")).hasValue(plate);
        assertThat(page.locator("#name")).hasValue("long story");
        assertThat(page.locator("#outline-CAR-COUPE")).isChecked();
        page.locator("#kit").press("Enter");
        assertThat(page.locator("#in-LF")).isVisible();
        screen.open("/arrive");
        assertThat(page.locator("#plate")).hasValue("");
    }

    /** Nothing that was typed for one plate turns up on another; each is gone on with or discarded by its name. */
    @Test
    void an_unfinished_vehicle_is_not_the_next_one() {
        screen.open("/arrive");
        page.locator("#plate").fill("UF 1");
        page.locator("#name").fill("first coupe");
        screen.open("/arrive");
        assertThat(page.locator("#plate")).hasValue("");
        assertThat(page.locator("#name")).hasValue("");
        page.locator("#plate").fill("UF 2");
        page.reload();
        assertThat(page.locator("#plate")).hasValue("UF 2");
        screen.open("/arrive");
        assertThat(page.locator(".unfinished")).hasCount(2);
        assertThat(page.locator(".unfinished").first()).containsText("UF 2");
        page.locator(".unfinished", new Page.LocatorOptions().setHasText("UF 1"))
                .locator("a")
                .click();
        assertThat(page.locator("#name")).hasValue("first coupe");
        assertThat(page.locator("#plate")).hasValue("UF 1");
        page.locator(".unfinished button").click();
        assertThat(page.locator(".unfinished")).hasCount(0);
        screen.open("/");
        assertThat(page.locator("#notice")).containsText("UF 1, first coupe");
        page.locator("#notice .away").click();
        assertThat(page.locator("#notice")).isHidden();
        screen.open("/arrive");
        page.locator(".unfinished button").click();
        screen.open("/arrive");
        assertThat(page.locator(".unfinished")).hasCount(0);
    }

    @Test
    void the_state_says_what_a_pressure_looks_like_and_keeps_the_text() {
        page.locator("#state summary").click();
        page.locator("#PRESSURE_LF").fill("thirty");
        page.locator("#PRESSURE_RF").fill("33");
        page.locator("#LOAD").fill("empty");
        page.getByText(Said.part("measure.state.save")).click();
        assertThat(page.locator("#PRESSURE_LF-bad")).containsText(Said.part("problem.pressure"));
        assertThat(page.locator("#PRESSURE_LF")).hasValue("thirty");
        assertThat(page.locator("#LOAD")).hasValue("empty");
        page.locator("#PRESSURE_LF").fill("33 psi");
        // By its key: letters that come late would move the button away under a click.
        page.locator("#PRESSURE_LF").press("Enter");
        assertThat(page.locator("#state summary")).containsText("LF 33 psi");
    }

    @Test
    void an_emptied_field_takes_nothing_back() {
        type("LF", "14 3/8");
        assertThat(page.locator("#arch-LF.taken")).isVisible();
        field("LF").fill("");
        field("RF").focus();
        assertThat(field("LF")).hasValue("14 3/8");
        assertThat(page.locator("#arch-LF .hero")).hasText("14\u202f3⁄8");
    }

    private void forgetSession() {
        List<Cookie> cookies = screen.context.cookies();
        assertTrue(cookies.stream().anyMatch(c -> c.name.equals("SESSION")), cookies.toString());
        screen.context.clearCookies();
    }

    @Test
    void a_known_plate_offers_the_known_vehicle() {
        screen.open("/arrive");
        page.locator("#plate").pressSequentially("kt4207");
        assertThat(page.locator("#known")).containsText("Compact hatch, 2019");
        // It stands here: that is told at the plate, before the form.
        assertThat(page.locator("#known a[href*='/jobs/']")).hasText(Said.by("arrive.known.go"));
        page.locator("#known a[href^='/arrive']").click();
        assertThat(page.locator("#name")).hasValue("Compact hatch, 2019");
        assertThat(page.locator("#outline-CAR-HATCH")).isChecked();
    }

    /** Plate, take what is known, kit, go: four acts. */
    @Test
    void a_known_vehicle_is_received_in_four_acts() {
        String plate = page.locator(".plate").innerText();
        // It left; one that is still here is offered its stay instead.
        Shop.bean(JdbcClient.class)
                .sql("update job j join vehicle v on v.id = j.vehicle_id set j.place = 'GONE' where v.plate = :plate")
                .param("plate", plate)
                .update();
        screen.open("/arrive");
        page.locator("#plate").fill(plate);
        page.locator("#known a").click();
        page.locator("#kit").fill("other springs");
        page.locator("#kit").press("Enter");
        assertThat(page.locator(".plate")).hasText(plate);
        assertThat(page.locator(".lines .name")).containsText("other springs");
    }

    @Test
    void after_without_before_is_said() {
        type("LF", "14");
        assertThat(page.locator("#arch-LF.taken")).isVisible();
        page.reload();
        page.getByText(Said.part("measure.set-down")).click();
        type("RF", "13");
        assertThat(page.locator("#says")).containsText(Said.by("finding.NO_BEFORE.title", "way", "hub to lip"));
        assertThat(page.locator("#says")).containsText("right front");
    }

    @Test
    void it_reads_without_scripts_too() {
        try (var plain = screen.context
                .browser()
                .newContext(new com.microsoft.playwright.Browser.NewContextOptions().setJavaScriptEnabled(false))) {
            Page bare = plain.newPage();
            bare.navigate(Shop.address() + "/sign-in");
            bare.getByLabel(Said.by("sign-in.name")).fill("orla");
            bare.getByLabel(Said.by("sign-in.password")).fill(Shop.password());
            bare.keyboard().press("Enter");
            bare.waitForURL(Shop.address() + "/");
            bare.navigate(page.url());
            bare.locator("#in-LF").fill("14 17/16");
            bare.locator("#in-LF").press("Enter");
            assertThat(bare.locator("#bad-LF")).containsText(Said.part("refusal.IMPROPER"));
            assertThat(bare.locator("#in-LF")).hasValue("14 17/16");
            bare.locator("#in-LF").fill("15 1/16");
            bare.locator("#in-LF").press("Enter");
            assertThat(bare.locator("#arch-LF .hero")).hasText("15\u202f1⁄16");
        }
    }
}
