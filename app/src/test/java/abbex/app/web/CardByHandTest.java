package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A whole card from the kit on the plan to the last torque, by thumbs alone and by keys alone. Trucks and motorcycles go from arrival to hand-over in
 * {@link JourneyTest}, by keys too.
 */
@ExtendWith(Shop.class)
class CardByHandTest {
    private final Visitor orla = Visitor.signedIn("orla");

    private String received(String name, String... fields) {
        String job = UUID.randomUUID().toString();
        orla.get("/arrive");
        String[] all = new String[6 + fields.length];
        System.arraycopy(
                new String[] {"job", job, "plate", "FT " + System.nanoTime() % 10_000_000, "name", name}, 0, all, 0, 6);
        System.arraycopy(fields, 0, all, 6, fields.length);
        assertEquals(302, orla.post("/arrive", all).statusCode());
        return job;
    }

    /** From the plan: the drop on the label is entered there, then the card is begun. */
    private static void begin(Screen screen, String job, CardHand hand, String drop, String... facts) {
        Page page = screen.signIn("orla").page;
        screen.open("/jobs/" + job + "/plan");
        Locator box = page.locator("#" + drop);
        for (Locator fold : page.locator("details:has(#" + drop + ")").all()) {
            if (fold.getAttribute("open") == null) {
                hand.press(fold.locator("> summary"));
            }
        }
        hand.type(box, "1");
        hand.press(page.locator("form:has(#" + drop + ") button.btn-primary").first());
        assertThat(page.locator(".strip a[href$='/fit']")).isVisible();
        hand.press(page.locator(".strip a[href$='/fit']"));
        for (String fact : facts) {
            hand.tick(page.locator("input[name='" + fact + "']"));
        }
        hand.press(page.locator(".begin .btn"));
        assertThat(page.locator(".bayview h1")).isVisible();
    }

    private static void finished(Screen screen, String job) {
        assertEquals(
                List.of(),
                screen.page
                        .locator(".cardblock li:not(.clear) a b, .corner > section:first-child > .fates b")
                        .allInnerTexts());
        assertThat(screen.page.locator(".whyline")).hasText(Said.by("fit.finished"));
        assertEquals(List.of(), screen.complaints());
        screen.open("/jobs/" + job + "/sheet");
    }

    private void card(Screen screen, CardHand hand, String drop, List<String> facts, String... fields) {
        try (screen) {
            String job = received(drop + UUID.randomUUID(), fields);
            begin(screen, job, hand, drop, facts.toArray(String[]::new));
            CardHand.work(screen.page, job, hand);
            finished(screen, job);
        }
    }

    /** A kit by the form of the plan, and the card begun with what is so of the job. */
    private String begun(String name, List<String> vehicle, String kit, List<String> facts) {
        String job = received(name, vehicle.toArray(String[]::new));
        List<String> fields = new ArrayList<>();
        for (String one : kit.strip().split(";\\s*")) {
            fields.addAll(List.of(one.split("=")[0].strip(), one.split("=")[1].strip()));
        }
        HttpResponse<String> kept = orla.post("/jobs/" + job + "/plan", fields.toArray(String[]::new));
        assertEquals(302, kept.statusCode(), kept::body);
        String[] said = facts.stream().flatMap(f -> Stream.of(f, "yes")).toArray(String[]::new);
        assertEquals(302, orla.post("/jobs/" + job + "/fit", said).statusCode());
        return job;
    }

    /** Every figure of the card, said of this vehicle before. */
    private void figures(String job) {
        Matcher steps = Pattern.compile("data-key=\"([^\"]+)\"")
                .matcher(orla.get("/jobs/" + job + "/fit").body());
        for (String step : steps.results().map(r -> r.group(1)).distinct().toList()) {
            String page = orla.get("/jobs/" + job + "/fit/" + step).body();
            Matcher bolts = Pattern.compile("name=\"spec-([^\"]+)\"").matcher(page);
            for (String bolt : bolts.results().map(r -> r.group(1)).toList()) {
                orla.post(
                        "/jobs/" + job + "/fit/" + step,
                        "what",
                        "SPEC",
                        "item",
                        bolt,
                        "spec-" + bolt,
                        "60 N·m",
                        "source",
                        "SERVICE_MANUAL",
                        "sure",
                        "yes");
            }
        }
    }

    private int steps(String job) {
        return orla.get("/jobs/" + job + "/fit").body().split("<li[^>]* data-key=", -1).length - 1;
    }

    /** What is just a yes is ticked; a fold is opened once. */
    private static void kit(Screen screen, String job, CardHand hand, String kit) {
        Page page = screen.page;
        screen.open("/jobs/" + job + "/plan");
        assertThat(page.locator("#bench[data-live]")).hasCount(1);
        for (String one : kit.strip().split(";\\s*")) {
            Locator field = page.locator("#" + one.split("=")[0].strip());
            Locator fold = page.locator("details:not([open]):has(#" + one.split("=")[0].strip() + ") > summary");
            if (fold.count() > 0) {
                hand.press(fold);
            }
            String text = one.split("=")[1].strip();
            if (text.equals("yes")) {
                hand.tick(field);
            } else {
                hand.type(field, text);
            }
        }
        hand.press(page.locator("#bench > .btn-primary"));
        page.waitForURL(Pattern.compile(".*kit=.*"));
    }

    /** A card where all is sound and every figure is known, counted: at most 1.3 presses a step, and no word typed. */
    private void counted(Screen device, CardHand hand, List<String> vehicle, String kit, List<String> facts) {
        String name = "counted " + UUID.randomUUID();
        figures(begun(name, vehicle, kit, facts));
        String job = received(name, vehicle.toArray(String[]::new));
        try (Screen screen = device.signIn("orla")) {
            kit(screen, job, hand, kit);
            hand.press(screen.page.locator(".strip a[href$='/fit']"));
            screen.page.waitForURL(Pattern.compile(".*/fit$"));
            for (String fact : facts) {
                hand.tick(screen.page.locator("input[name='" + fact + "']"));
            }
            CardHand.Counted counted = CardHand.counted(hand);
            CardHand.press(screen.page, counted, screen.page.locator(".begin .btn"));
            assertThat(screen.page.locator(".bayview h1")).isVisible();
            int steps = steps(job);
            CardHand.work(screen.page, job, counted);
            finished(screen, job);

            assertTrue(counted.presses().get() <= 1.3 * steps, counted.presses() + " presses, " + steps + " steps");
            assertTrue(counted.typed().stream().allMatch(text -> text.matches("[0-9]+")), counted::toString);
        }
    }

    private static final String COILOVERS = """
            NAME=height-adjustable coilovers; FRONT_COILOVER=yes; FRONT_NEW_RATE=80 N/mm; FRONT_NEW_FREE=200 mm;
            FRONT_NEW_LONG=445 mm; FRONT_NEW_SHORT=305 mm; FRONT_PERCH_SEAT=7 in; FRONT_PERCH_SEAT_LEAST=6 1/2 in;
            FRONT_PERCH_SEAT_MOST=7 3/4 in; FRONT_CLICKS=12; FRONT_PRELOAD=3 mm; FRONT_PERCH=10 mm; FRONT_NEW_STOP=30 mm;
            REAR_GETS_SPRINGS=yes; REAR_GETS_ADJUSTERS=yes; REAR_GETS_DAMPERS=yes; REAR_NEW_RATE=60 N/mm;
            REAR_NEW_FREE=240 mm; REAR_NEW_LONG=520 mm; REAR_NEW_SHORT=360 mm; REAR_PERCH=10 mm""";

    private static final String DROPPED = """
            NAME=flip, hangers and bags; FRONT_GETS_UPRIGHTS=yes; FRONT_SPINDLE=50 mm; REAR_GETS_FLIP=yes;
            REAR_GETS_SHACKLES=yes; REAR_GETS_AIR=yes; REAR_GETS_DAMPERS=yes; REAR_FLIP_SADDLE=12 mm; REAR_FLIP_PACK=40 mm;
            REAR_FLIP_TUBE=80 mm; REAR_HANGER_UP=40 mm; REAR_NEW_LONG=500 mm; REAR_BAG_AREA=60 in²; REAR_BAG_PRESSURE=35 psi;
            REAR_NEW_STOP=40 mm""";

    private static final String LINKS =
            "NAME=lowering links; REAR_GETS_LINKS=yes; REAR_OLD_LINK=132 mm; REAR_NEW_LINK=137 mm";

    /** What is shown before the card begins is what begins: lift or stands, one end or both. */
    @Test
    void the_preview_is_what_begins() {
        String name = "shown " + UUID.randomUUID();
        String job = received(name, STRUTS);
        orla.post("/jobs/" + job + "/plan", "FRONT_BOX", "30 mm", "REAR_BOX", "30 mm");
        try (Screen screen = Screen.desk().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/fit");
            assertThat(page.locator("li[data-key='raise-jacks@1']")).hasCount(1);
            page.locator("input[name=lift]").check();
            assertThat(page.locator("li[data-key='raise-lift@1']")).hasCount(1);
            page.locator("input[name=now-rear]").uncheck();
            assertThat(page.locator("li[data-key='wheel-off@LR']")).hasCount(0);
            List<String> shown = keys(page);
            String steps = page.locator(".fithead b").innerText();
            page.locator(".begin .btn").click();
            assertThat(page.locator(".bayview h1")).isVisible();
            screen.open("/jobs/" + job + "/fit");
            assertEquals(shown, keys(page));
            assertThat(page.locator(".fithead b")).hasText(steps);
            assertEquals(List.of(), screen.complaints());
        }
    }

    private static List<String> keys(Page page) {
        return page.locator("li[data-key]").all().stream()
                .map(step -> step.getAttribute("data-key"))
                .toList();
    }

    /** No compressor at a strut that comes in one piece, and its numbers on the step that sets them, as they were typed. */
    @Test
    void a_coilover_is_set_by_its_makers_measure() {
        String job = begun(
                "coilover " + UUID.randomUUID(),
                List.of("archFront", "STRUT", "archRear", "MULTI_LINK"),
                COILOVERS,
                List.of("lift", "adaptive"));
        HttpResponse<String> beyond = orla.post(
                "/jobs/" + job + "/plan",
                "FRONT_PERCH_SEAT",
                "8 in",
                "FRONT_PERCH_SEAT_LEAST",
                "6 1/2 in",
                "FRONT_PERCH_SEAT_MOST",
                "7 3/4 in");
        assertEquals(422, beyond.statusCode());
        assertTrue(Said.in(beyond.body(), "problem.kit.range"));
        String card = orla.get("/jobs/" + job + "/fit").body();
        for (String compressor : List.of("compress-off@LF", "strut-build@LF")) {
            assertFalse(card.contains(compressor), compressor);
        }
        assertTrue(card.contains("coil-ready@LF") && card.contains("adaptive@LF"));
        for (String step : List.of("coil-ready@LF", "perch-set@RF")) {
            assertTrue(orla.get("/jobs/" + job + "/fit/" + step)
                    .body()
                    .contains("Perch, bolt hole to seat: 7 in, of 6 1/2 in to 7 3/4 in"));
        }
    }

    private void coilovers(Screen device, CardHand hand) {
        counted(device, hand, List.of("archFront", "STRUT", "archRear", "MULTI_LINK"), COILOVERS, List.of("lift"));
    }

    @Test
    void coilovers_on_a_lift_by_keys() {
        coilovers(Screen.desk(), CardHand.KEYS);
    }

    @Test
    void coilovers_on_a_lift_by_thumbs() {
        coilovers(Screen.tablet(), CardHand.THUMB);
    }

    private void truck(Screen device, CardHand hand) {
        counted(
                device,
                hand,
                List.of("kind", "TRUCK", "archFront", "DOUBLE_WISHBONE", "archRear", "SOLID_AXLE_LEAF"),
                DROPPED,
                List.of());
    }

    @Test
    void a_truck_with_flip_hangers_and_bags_by_thumbs() {
        truck(Screen.tablet(), CardHand.THUMB);
    }

    @Test
    void a_truck_with_flip_hangers_and_bags_by_keys() {
        truck(Screen.desk(), CardHand.KEYS);
    }

    @Test
    void a_motorcycle_with_links_by_keys() {
        counted(Screen.desk(), CardHand.KEYS, List.of("kind", "MOTORCYCLE"), LINKS, List.of());
    }

    @Test
    void a_motorcycle_with_links_by_thumbs() {
        counted(Screen.tablet(), CardHand.THUMB, List.of("kind", "MOTORCYCLE"), LINKS, List.of());
    }

    private static final String[] STRUTS = {"archFront", "STRUT"};

    @Test
    void a_strut_car_alone_on_jacks_by_thumbs() {
        card(Screen.tablet(), CardHand.THUMB, "FRONT_BOX", List.of("helper"), STRUTS);
    }
}
