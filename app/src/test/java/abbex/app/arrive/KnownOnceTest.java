package abbex.app.arrive;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What is known is not typed twice, and what a vehicle does not have is not asked for. */
@ExtendWith(Shop.class)
class KnownOnceTest {
    private final Visitor orla = Visitor.signedIn("orla");

    private String receive(String... more) {
        String job = UUID.randomUUID().toString();
        String[] form = new String[6 + more.length];
        System.arraycopy(
                new String[] {"job", job, "plate", "KO " + job.substring(0, 8), "name", "test wagon"}, 0, form, 0, 6);
        System.arraycopy(more, 0, form, 6, more.length);
        assertEquals(302, orla.post("/arrive", form).statusCode());
        return job;
    }

    private void read(String job, String place, String method, String raw) {
        assertEquals(
                200,
                orla.htmx(
                                "/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/readings",
                                "corner",
                                place,
                                "method",
                                method,
                                "raw",
                                raw,
                                "client",
                                UUID.randomUUID().toString())
                        .statusCode());
    }

    private String page(String path) {
        return orla.get(path).body();
    }

    /** The box says 30 mm: swept so until the springs are in; then it stands as it stands, and who plans plans. */
    @Test
    void the_box_number_is_the_plan_until_the_kit_is_in() {
        String job = receive("promiseFRONT", "30 mm");
        String prove = "/jobs/" + job + "/prove?corner=LF";
        assertTrue(page(prove).contains("placeholder=\"30 mm\""), "the field shows what counts");
        assertTrue(height(prove).contains("1\u202f3⁄16″"), height(prove));
        orla.post("/jobs/" + job + "/prove/range", "corner", "LF", "lower", "40 mm");
        assertTrue(height(prove).contains("1\u202f9⁄16″"), height(prove));
        orla.post("/jobs/" + job + "/prove/range", "corner", "LF", "lower", "");
        read(job, "LF", "HF", "15");
        orla.post("/jobs/" + job + "/set-down");
        read(job, "LF", "HF", "14");
        assertTrue(height(prove).contains("planned 1″"), height(prove));
        assertFalse(page(prove).contains("placeholder=\"30 mm\""));
    }

    /** A plan turns no lamp yet: the floor is not told of a beam before the springs are in. */
    @Test
    void a_plan_turns_no_beam_before_the_kit_is_in() {
        String job = receive(
                "promiseFRONT",
                "2",
                "promiseREAR",
                "1",
                "WHEELBASE",
                "2700 mm",
                "TYRE_FRONT",
                "634 mm",
                "TYRE_REAR",
                "634 mm");
        for (String corner : new String[] {"LF", "RF", "RR", "LR"}) {
            read(job, corner, "HF", "15");
        }
        String before = page("/jobs/" + job + "/ground");
        assertFalse(Said.in(before, "finding.BEAM_DOWN.title"), before);
        orla.post("/jobs/" + job + "/set-down");
        read(job, "LF", "HF", "13");
        read(job, "RF", "HF", "13");
        read(job, "RR", "HF", "14");
        read(job, "LR", "HF", "14");
        assertTrue(Said.in(page("/jobs/" + job + "/ground"), "finding.BEAM_DOWN.title"), "and then it is");
    }

    /** What the page says of now and planned, without its markup. */
    private String height(String prove) {
        String page = page(prove).replaceAll("<[^>]*>", "");
        int from = page.indexOf(Said.part("prove.height").substring(0, 4));
        int at = page.indexOf("lower than as arrived");
        return page.substring(Math.max(from, at - 40), at + 60);
    }

    @Test
    void a_splitter_that_was_measured_is_offered_on_the_ground() {
        String job = receive("WHEELBASE", "2700 mm", "tyreFront", "225/45R17 91W", "TYRE_FRONT", "634 mm");
        orla.post(
                "/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/points",
                "pointName",
                "splitter",
                "pointWhere",
                "ONE",
                "pointFloor",
                "YES");
        String code = Shop.bean(JdbcClient.class)
                .sql("select code from point where name = 'splitter' order by made_at desc limit 1")
                .query(String.class)
                .single();
        read(job, "vehicle", code, "4 7/8");
        String ground = page("/jobs/" + job + "/ground");
        assertTrue(ground.contains(Said.part("ground.measured")), "it is offered");
        assertTrue(ground.contains("name=splitter&amp;height=4%207/8"), ground);
        String filled = page("/jobs/" + job + "/ground?name=splitter&height=4%207/8");
        assertTrue(filled.contains("value=\"splitter\"") && filled.contains("value=\"4 7/8\""));
        orla.post(
                "/jobs/" + job + "/ground/points",
                "kind",
                "UNDERSIDE",
                "name",
                "splitter",
                "away",
                "31",
                "from",
                "AHEAD",
                "height",
                "4 7/8");
        assertFalse(page("/jobs/" + job + "/ground").contains(Said.part("ground.measured")));
    }

    private String walk(String job) {
        return page("/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "?method=REARAXLE");
    }

    @Test
    void a_coil_is_asked_for_no_hangers() {
        String leaf = receive("kind", "TRUCK", "archRear", "SOLID_AXLE_LEAF");
        String coil = receive("kind", "TRUCK", "archRear", "SOLID_AXLE_COIL");
        assertTrue(walk(leaf).contains("HANGF"));
        String page = walk(coil);
        assertFalse(page.contains("HANGF"), "a coil has no hangers");
        assertTrue(page.contains("AXLE"));
        String links = walk(receive("kind", "TRUCK", "archRear", "MULTI_LINK"));
        assertFalse(links.contains("method=REARAXLE"), "and a link no axle under a frame");
    }
}
