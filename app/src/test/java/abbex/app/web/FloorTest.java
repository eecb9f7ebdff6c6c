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
import com.microsoft.playwright.options.BoundingBox;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The floor of a shop with thirty vehicles, in the second shop so that no other test stands in the way. */
@ExtendWith(Shop.class)
class FloorTest {
    private static final String[] KINDS = {"CAR", "TRUCK", "MOTORCYCLE"};
    private static Visitor nils;

    private final Screen screen = Screen.desk();
    private final Page page = screen.page;

    /** Five of six bays taken, thirteen wait, eleven are out; invented. */
    @BeforeAll
    static void thirty() {
        nils = Visitor.signedIn("nils@second-yard");
        nils.post("/rules/bays", "bays", "Bay 10\nBay 2\nBay 1\nBay 3, lift\nBay 4\nBay 11\n");
        for (int i = 0; i < 29; i++) {
            String job = UUID.randomUUID().toString();
            nils.post(
                    "/arrive",
                    "job",
                    job,
                    "plate",
                    "FL " + (100 + i) + "-" + (300 + i),
                    "name",
                    "vehicle number " + i + ", with a rather long name",
                    "customer",
                    i == 7 ? "Quill 100% & Sons_" : "customer " + i,
                    "kind",
                    KINDS[i % 3]);
            String place = i < 5 ? "BAY" : i < 18 ? "WAITING" : "OUT";
            String bay = i < 5 ? new String[] {"Bay 10", "bay 2", "Bay 1", "Bay 3, lift", "Bay 4"}[i] : "";
            String due = i < 18 ? "" : i < 22 ? "2020-01-0" + (i - 17) : "2090-01-" + i;
            nils.post("/jobs/" + job + "/move", "place", place, "bay", bay, "due", due, "holder", "");
        }
    }

    @AfterEach
    void close() {
        screen.close();
        assertEquals(java.util.List.of(), screen.complaints());
    }

    private Locator stand(String plate) {
        return page.locator(".stand").filter(new Locator.FilterOptions().setHasText(plate));
    }

    private Locator place(String selector) {
        return page.locator("[data-place]" + selector);
    }

    private void drag(Locator from, double x, double y) {
        BoundingBox box = from.boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + box.width / 2 + 20, box.y + box.height / 2 - 12);
        page.mouse().move(x, y);
        page.mouse().up();
    }

    private void open() {
        screen.signIn("nils@second-yard").open("/");
        live();
    }

    /** The floor has its script. */
    private void live() {
        page.locator("#board[data-live]").waitFor();
    }

    /** Bays by their numbers with the free one, all on one screen, and not more Tab stops than somebody has patience for. */
    @Test
    void thirty_on_one_screen() {
        open();
        assertEquals(
                java.util.List.of("Bay 1", "Bay 2", "Bay 3, lift", "Bay 4", "Bay 10", "Bay 11"),
                page.locator(".bay-name").allInnerTexts());
        assertThat(page.locator(".bay.free .bay-name")).hasText("Bay 11");
        assertThat(page.locator(".bay.lift .posts")).hasCount(1);
        assertThat(page.locator(".stand")).hasCount(30);
        BoundingBox road = page.locator(".road").boundingBox();
        assertTrue(road.y + road.height <= 800, "ends at " + (road.y + road.height));
        Object stops = page.evaluate(
                "() => [...document.querySelectorAll('a[href], button, input, select, textarea, summary, [tabindex]')]"
                        + ".filter(e => e.tabIndex >= 0 && e.type !== 'hidden' && e.checkVisibility()).length");
        assertTrue(((Number) stops).intValue() <= 41 + 3, stops + " Tab stops, three of them ways to skip");
        for (String stretch : new String[] {"late", "settling"}) {
            assertThat(page.locator(".stretch." + stretch + " .stretch-name"))
                    .hasText(Said.by("board.road." + stretch));
        }
        // On a tablet the worst stands above the work, as one line.
        page.setViewportSize(800, 1280);
        assertThat(page.locator(".first-of-all > .says .said:visible")).hasCount(1);
        assertTrue(page.locator(".first-of-all").boundingBox().y
                < page.locator(".bays").boundingBox().y);
    }

    /** Dragged into the free bay it keeps its hands; undone it stands where it stood. Dropped beside everything it stays. */
    @Test
    void a_vehicle_is_dragged_and_that_is_undone() {
        open();
        Locator waits = stand("FL 105-305");
        BoundingBox head = page.locator(".floor-head").boundingBox();
        drag(waits.locator(".grab"), head.x + 5, head.y + 5);
        assertThat(page.locator(".ghosted")).hasCount(0);
        assertThat(page.locator("[data-place=WAITING]").getByText("FL 105-305")).isVisible();
        BoundingBox free = place("[data-bay='Bay 11']").boundingBox();
        drag(waits.locator(".grab"), free.x + free.width / 2, free.y + free.height / 2);
        assertThat(place("[data-bay='Bay 11']")).containsText("FL 105-305");
        assertThat(page.locator(".moved")).containsText("FL 105-305");
        String moved = page.url();
        page.locator(".moved button").click();
        assertThat(page.locator("[data-place=WAITING]")).containsText("FL 105-305");
        assertThat(page.locator(".bay.free .bay-name")).hasText("Bay 11");
        // The page of that move once more, by Back: what somebody moved since is told of, not undone with it.
        String id = stand("FL 105-305").locator(".minitag").getAttribute("data-id");
        nils.post("/jobs/" + id + "/move", "place", "BAY", "bay", "Bay 11");
        page.navigate(moved);
        page.locator(".moved button").click();
        assertThat(page.locator(".notsaved")).isVisible();
        assertThat(place("[data-bay='Bay 11']")).containsText("FL 105-305");
        nils.post("/jobs/" + id + "/move", "place", "WAITING");
    }

    /** Tapped, then its place tapped; by keys alone; and Escape puts it down where it was, with the focus. */
    @Test
    void a_vehicle_is_tapped_and_its_place() {
        open();
        stand("FL 106-306").locator(".grab").click();
        assertThat(page.locator(".mover h2")).hasText(Said.by("board.mover", "plate", "FL 106-306"));
        page.keyboard().press("Escape");
        assertThat(page.locator(".mover")).hasCount(0);
        assertThat(stand("FL 106-306").locator(".minitag")).isFocused();
        page.keyboard().press("p");
        assertThat(page.locator(".mover")).isVisible();
        place("[data-bay='Bay 11']").click(new Locator.ClickOptions().setPosition(20, 90));
        assertThat(place("[data-bay='Bay 11']")).containsText("FL 106-306");
        live();
        stand("FL 106-306").locator(".minitag").focus();
        page.keyboard().press("p");
        assertThat(page.locator("#place")).isFocused();
        page.locator("#place").selectOption("WAITING");
        page.locator(".mover button").click();
        assertThat(page.locator("[data-place=WAITING]")).containsText("FL 106-306");
    }

    @Test
    void mine_or_everybody() {
        open();
        page.keyboard().press("v");
        assertThat(page.locator(".whose a[aria-current]")).hasText(Said.by("board.mine", "number", "1"));
        assertThat(page.locator(".stand")).hasCount(1);
        // A bay in which somebody else's vehicle stands is not drawn free.
        assertThat(page.locator(".bay.free")).hasCount(1);
    }

    /** By the slash from anywhere; every sign is taken as it is typed. */
    @Test
    void found_from_anywhere() {
        open();
        page.keyboard().press("/");
        page.keyboard().type("fl107");
        assertThat(page.locator("#found a")).hasCount(1);
        assertThat(page.locator("#found")).containsText("FL 107-307");
        page.locator("#find").fill("100% sons_");
        assertThat(page.locator("#found")).containsText("FL 107-307");
        assertThat(page.locator("#found a")).hasCount(1);
        for (String odd : new String[] {"'%_\\", "\uD83D\uDE97", "%%%", "__"}) {
            page.locator("#find").fill(odd);
            assertThat(page.locator("#found")).containsText(Said.by("find.none", "read", odd));
        }
        page.locator("#find").fill("number 7, bay");
        assertThat(page.locator("#found")).containsText(Said.by("find.none", "read", "number 7, bay"));
        page.locator("#find").fill("fl 107-307");
        assertThat(page.locator("#found a")).hasCount(1);
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        page.waitForURL("**/sheets/**");
        assertThat(page.locator(".plate")).hasText("FL 107-307");
        // Without a script the field asks for a page of its own; another shop's vehicles are nobody's here.
        assertTrue(nils.get("/find?q=number+7%2C").body().contains("FL 107-307"));
        assertTrue(Visitor.signedIn("orla")
                .get("/find?q=FL+107")
                .body()
                .contains(Said.part("find.none").strip()));
    }
}
