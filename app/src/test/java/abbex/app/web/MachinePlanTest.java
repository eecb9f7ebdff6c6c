package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Trucks and motorcycles on the plan: the demo's four stories in a line each, what a hand moves, and what cannot be. */
@ExtendWith(Shop.class)
class MachinePlanTest {
    private final Visitor orla = Visitor.signedIn("orla");

    private String received(String... fields) {
        String job = UUID.randomUUID().toString();
        orla.get("/arrive");
        String[] all = new String[6 + fields.length];
        System.arraycopy(
                new String[] {"job", job, "plate", "MP " + System.nanoTime() % 10_000_000, "name", "planned"},
                0,
                all,
                0,
                6);
        System.arraycopy(fields, 0, all, 6, fields.length);
        assertEquals(302, orla.post("/arrive", all).statusCode());
        return job;
    }

    private String at(String job, String fields) {
        return orla.get("/jobs/" + job + "/plan/at?" + fields.replace(" ", "%20"))
                .body();
    }

    private static String title(String finding) {
        return Said.part("finding." + finding + ".title").split("\\{")[0].strip();
    }

    /** What a line says in so many words; numbers are set in type of their own. */
    private static String plain(String html) {
        return html.replaceAll("<[^>]+>", "").replaceAll("\\s+", " ");
    }

    @Test
    void box_computed_and_measured_stand_in_one_line_of_each_story() {
        for (String plate : List.of("TR 6-815", "AK 3-927", "MN 208", "MV 714")) {
            String page = orla.get("/jobs/" + Jobs.id(plate) + "/plan").body();
            String rear = page.substring(page.indexOf("data-end=\"REAR\""));
            String line = rear.substring(rear.indexOf("class=\"three\""));
            line = plain(line.substring(line.indexOf('>') + 1, line.indexOf("</p>")));
            assertTrue(line.startsWith(Said.part("three.box").split("\\{")[0]), plate + ": " + line);
            assertTrue(line.contains(Said.part("three.computed").split("\\{")[0]), plate + ": " + line);
            String last = plate.equals("MV 714")
                    ? Said.by("three.nobefore")
                    : Said.part("three.measured").split("\\{")[0];
            assertTrue(line.contains(last), plate + ": " + line);
        }
    }

    private static final String LINK = "REAR_OLD_LINK=132 mm&REAR_AXLE_BACK=600 mm&REAR_AXLE_UP=-60 mm"
            + "&REAR_ROCKER_BACK=60 mm&REAR_ROCKER_UP=-105 mm&REAR_KNEE_BACK=135 mm&REAR_KNEE_UP=-130 mm"
            + "&REAR_FAR_BACK=190 mm&REAR_FAR_UP=-10 mm&REAR_FOOT_BACK=130 mm&REAR_FOOT_UP=-65 mm"
            + "&REAR_TOP_BACK=60 mm&REAR_TOP_UP=260 mm";

    @Test
    void what_cannot_be_of_a_motorcycle_is_said() {
        String job = received("kind", "MOTORCYCLE");
        // An old link that was measured asks for no new one: a kit without links can be kept.
        assertFalse(plain(at(job, LINK + "&REAR_BOX=1")).contains(Said.by("problem.kit.whole.of")));
        assertTrue(plain(at(job, "REAR_NEW_LINK=137 mm")).contains(Said.by("problem.kit.whole.of")));
        assertTrue(at(job, LINK + "&REAR_NEW_LINK=400 mm").contains(title("LINK_WILL_NOT_CLOSE")));
        assertTrue(at(job, LINK + "&REAR_NEW_LINK=137 mm")
                .contains(title("STEERING_UNKNOWN")
                        .substring(title("STEERING_UNKNOWN").indexOf(':') + 1)));
        String lone = at(job, LINK + "&REAR_NEW_LINK=137 mm");
        assertTrue(lone.contains(Said.part("finding.ONE_END_YET.text").substring(0, 20)), "the front is not lowered");
        String stand = at(
                job,
                LINK + "&REAR_NEW_LINK=137 mm&REAR_STAND_HEIGHT=200 mm&REAR_STAND_OUT=90 mm&REAR_STAND_LENGTH=500 mm"
                        + "&REAR_STAND_SPREAD=20");
        assertTrue(plain(stand).contains(plain(Said.part("problem.kit.stand").split("\\{")[0])), "a stand too long");
        assertTrue(at(job, LINK.replace("REAR_TOP_UP=260", "REAR_TOP_UP=-260") + "&REAR_NEW_LINK=137 mm")
                .contains(title("LINKAGE_POINTS")));
        // A part that comes to lie within the tyre's crown, and a drop as no frame has: no fault of the program.
        for (String odd : List.of(
                "&REAR_NEW_LINK=137 mm&REAR_BLOCK=3 in&REAR_LEFT_HIGH=130 mm&REAR_LEFT_OUT=60 mm&REAR_CROWN=75 mm",
                "&REAR_NEW_LINK=137 mm&REAR_BLOCK=11 in&FRONT_BLOCK=-11 in&REAR_SPINDLE=5 in&FRONT_SPINDLE=-5 in")) {
            assertTrue(at(job, LINK + odd).contains("planends"), odd);
        }
        String[] ground = {"kind", "MOTORCYCLE", "headAngle", "65"};
        orla.get("/arrive");
        String refused = orla.post(
                        "/arrive",
                        "job",
                        UUID.randomUUID().toString(),
                        "plate",
                        "HG 1",
                        "name",
                        "x",
                        ground[0],
                        ground[1],
                        ground[2],
                        ground[3])
                .body();
        assertTrue(plain(refused).contains("25°"), plain(refused));
    }

    @Test
    void what_cannot_be_of_a_truck_is_said() {
        String job = received("kind", "TRUCK", "archRear", "SOLID_AXLE_LEAF");
        String shackle = "REAR_OLD_SHACKLE=110 mm&REAR_SHACKLE_LEAN=10&REAR_SHACKLE_HANGS=yes";
        // Both eyes up by 4 in let the body down by as much and turn no pinion, whether or not the shackle was
        // measured.
        String both = at(job, "REAR_FIXED_EYE=4 in&REAR_HANGER_UP=4 in");
        assertTrue(both.replaceAll("<[^>]*>", "").replaceAll("\\h", " ").contains("\u2193 4\u2033"), both);
        assertTrue(at(job, shackle + "&REAR_HANGER_BACK=6 in").contains(title("SHACKLE_WILL_NOT_CLOSE")));
        assertTrue(at(job, shackle + "&REAR_HANGER_BACK=4.9 in").contains(title("SHACKLE_TURNS_OVER")));
        String shafts = "&REAR_ENGINE_SLOPE=3&REAR_PINION_SLOPE=3&REAR_SHAFT_LENGTH=1400 mm&REAR_BLOCK=2 in";
        // Even by the whole interval alone: a gauge reads a slope to 0.3 degrees.
        String slopes =
                "REAR_SHAFT_SLOPE=6&REAR_ENGINE_SLOPE=3&REAR_SHAFT_LENGTH=1400 mm&REAR_BLOCK=2 in&REAR_PINION_SLOPE=";
        assertTrue(at(job, slopes + "9").contains(title("JOINTS_UNEVEN")));
        String may = at(job, slopes + "4");
        assertFalse(may.contains(title("JOINTS_EVEN")), may);
        String noCarrier = at(job, "REAR_SHAFT2_SLOPE=5" + shafts);
        assertTrue(
                plain(noCarrier).contains(plain(Said.by("problem.kit.whole.of"))), "two shafts without the first one");
        assertFalse(plain(at(job, "REAR_SHAFT_SLOPE=5" + shafts)).contains(Said.by("problem.kit.whole.of")));
        for (String odd : List.of(
                "REAR_SHAFT_SLOPE=5" + shafts.replace("1400 mm", "300 mm").replace("2 in", "11 in") + "&REAR_ARCH=9 in",
                "REAR_LEAF_FIXED=200 mm&REAR_LEAF_SHACKLED=200 mm&REAR_OLD_SHACKLE=260 mm&REAR_SHACKLE_LEAN=60"
                        + "&REAR_HANGER_BACK=-7.8 in",
                "REAR_LEAF_FIXED=200 mm&REAR_LEAF_SHACKLED=200 mm&REAR_BAG_AREA=14 in2&REAR_BED_LOAD=9000 lb"
                        + "&REAR_BLOCK=2 in")) {
            assertTrue(at(job, odd).contains("planends"), odd);
        }
        String bags = "REAR_BAG_AREA=14 in2&REAR_BED_LOAD=600 lb&REAR_BLOCK=2 in";
        assertTrue(plain(at(job, bags + "&REAR_BAG_PRESSURE=2 psi"))
                .contains(plain(Said.part("problem.kit.bag").split("\\{")[0])));
        assertTrue(plain(at(job, bags + "&REAR_PLATE=500 lb"))
                .contains(Said.part("finding.ABOVE_PLATE.text").substring(0, 10)));
        assertTrue(plain(at(job, bags.replace("600 lb", "60 lb"))).contains(title("BAGS_LEAST")));
    }

    @Test
    void a_shackle_is_dragged_a_linkage_moves_and_a_line_leads_to_its_field() {
        try (Screen screen = Screen.desk()) {
            Page page = screen.signIn("orla").page;
            screen.open("/jobs/" + Jobs.id("TR 6-815") + "/plan");
            assertThat(page.locator("#bench[data-live]")).hasCount(1);
            Locator shackle = page.locator(".shackle.hit");
            shackle.scrollIntoViewIfNeeded();
            BoundingBox box = shackle.boundingBox();
            page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
            page.mouse().down();
            page.mouse()
                    .move(
                            box.x + box.width / 2 + 2,
                            box.y + box.height + 40,
                            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(6));
            page.mouse().up();
            assertThat(page.locator("#REAR_NEW_SHACKLE")).not().hasValue("98 mm");
            page.locator(".turns a").first().click();
            assertThat(page.locator("#REAR_PINION_SLOPE")).isFocused();

            screen.open("/jobs/" + Jobs.id("MN 208") + "/plan");
            assertThat(page.locator("#bench[data-live]")).hasCount(1);
            String was = page.locator(".linkage .here .arm").getAttribute("d");
            page.locator(".poses").focus();
            page.keyboard().press("End");
            assertThat(page.locator(".linkage .here")).hasCount(1);
            assertThat(page.locator(".linkage .here .arm")).not().hasAttribute("d", was);
            assertEquals(List.of(), screen.complaints());
        }
    }
}
