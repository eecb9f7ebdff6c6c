package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Two technicians on one sheet see each other's readings without reloading; neither loses one. */
@ExtendWith(Shop.class)
class ManyHandsTest {
    @Test
    void two_browsers_on_one_sheet() {
        try (Screen orla = Screen.desk().signIn("orla");
                Screen milo = Screen.of(800, 1280, false).signIn("milo")) {
            orla.receive("MH " + System.nanoTime() % 1_000_000);
            assertThat(orla.page.locator("#in-LF")).isFocused();
            assertTrue(orla.page.locator("#says").boundingBox().y < 300, "at a desk the margin stands beside the walk");
            milo.page.navigate(orla.page.url());
            milo.page.locator("#in-RR").fill("14 5");
            orla.page.locator("#in-LF").fill("14 3/8");
            orla.page.keyboard().press("Enter");
            orla.page.locator("#in-RR").fill("14 1/2");
            orla.page.keyboard().press("Enter");
            assertThat(milo.page.locator("#arch-LF .hero")).hasText("14\u202f3⁄8");
            assertThat(milo.page.locator("#in-RR")).hasValue("14 5");
            milo.page.locator("#in-RR").fill("14 5/8");
            milo.page.locator("#in-RR").press("Enter");
            assertThat(milo.page.locator("#arch-RR .hero")).hasText("14\u202f5⁄8");
            assertThat(milo.page.locator("#arch-RR .others")).hasText("OV 14\u202f1⁄2");
            assertThat(orla.page.locator("#arch-RR .others")).hasText("MA 14\u202f5⁄8");
            assertThat(orla.page.locator("#arch-RR .hero")).hasText("14\u202f1⁄2");
        }
    }

    @Test
    void a_tablet_goes_from_hand_to_hand_in_two_taps() {
        String pin = Shop.password().substring(Shop.password().lastIndexOf('-') + 1);
        String plate = "HH " + System.nanoTime() % 1_000_000;
        try (Screen tablet = Screen.of(800, 1280, false)) {
            // A sign-in of its own: this session ends when the tablet changes hands.
            tablet.page.navigate(Shop.address() + "/sign-in");
            tablet.page.getByLabel(Said.by("sign-in.name")).fill("jorun");
            tablet.page.getByLabel(Said.by("sign-in.password")).fill(Shop.password());
            tablet.page.keyboard().press("Enter");
            tablet.page.waitForURL(Shop.address() + "/");
            tablet.receive(plate);
            tablet.page.locator("#in-LF").fill("14 3/8");
            tablet.page.keyboard().press("Enter");
            assertThat(tablet.page.locator("#arch-LF .hero")).hasText("14\u202f3⁄8");
            String sheet = tablet.page.url();
            tablet.page.locator(".who").click();
            tablet.page
                    .locator(".initials label", new com.microsoft.playwright.Page.LocatorOptions().setHasText("MA"))
                    .click();
            for (char digit : pin.toCharArray()) {
                tablet.page.locator("[data-digit='" + digit + "']").click();
            }
            tablet.page.locator(".digits .btn-primary").click();
            tablet.page.waitForURL(sheet);
            assertThat(tablet.page.locator(".who")).hasText("MA");
            tablet.page.locator("#in-RF").fill("14 1/4");
            tablet.page.keyboard().press("Enter");
            assertThat(tablet.page.locator("#arch-RF .hero")).hasText("14\u202f1⁄4");
        }
        List<String> who = Shop.bean(JdbcClient.class)
                .sql("""
                        select concat(r.corner, ' ', p.initials) from reading r join person p on p.id = r.person_id
                          join sheet s on s.id = r.sheet_id join job j on j.id = s.job_id
                          join vehicle v on v.id = j.vehicle_id where v.plate = :plate order by r.taken_at
                        """)
                .param("plate", plate)
                .query(String.class)
                .list();
        assertEquals(List.of("LF JB", "RF MA"), who);
    }
}
