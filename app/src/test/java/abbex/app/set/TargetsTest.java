package abbex.app.set;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.arrive.Job;
import abbex.app.kit.KitPlans;
import abbex.app.measure.Sheets;
import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.core.setting.Panel;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Targets told over the frame or as gaps, of a vehicle that goes on settling, and lips that are no measure of it. */
@ExtendWith(Shop.class)
class TargetsTest {
    private final Visitor orla = Visitor.signedIn("orla");

    private String received(double... hubs) {
        String job = UUID.randomUUID().toString();
        orla.post(
                "/arrive",
                "job",
                job,
                "plate",
                "TG " + job.substring(0, 8),
                "name",
                "test coupe",
                "archFront",
                "STRUT",
                "archRear",
                "TWIST_BEAM");
        read(job, "HF", hubs);
        return job;
    }

    private void read(String job, String method, double... heights) {
        Jobs.walk(
                orla,
                job,
                method,
                Arrays.stream(heights).mapToObj(h -> Math.round(h) + " mm").toArray(String[]::new));
    }

    private HttpResponse<String> tell(String job, String front, String rear, String... more) {
        List<String> form = new ArrayList<>(List.of(
                "kindFRONT",
                "THREAD",
                "pitchFRONT",
                "2 mm",
                "wantedFRONT",
                front,
                "ratioFRONT",
                "1",
                "kindREAR",
                "THREAD",
                "pitchREAR",
                "2 mm",
                "wantedREAR",
                rear,
                "ratioREAR",
                "1",
                "links",
                "apart"));
        form.addAll(List.of(more));
        return orla.post("/jobs/" + job + "/set", form.toArray(String[]::new));
    }

    private Targets targets(String id) {
        UUID shop = UUID.fromString(Shop.bean(JdbcClient.class)
                .sql("select shop_id from job where id = :job")
                .param("job", id)
                .query(String.class)
                .single());
        Job job = Shop.bean(abbex.app.arrive.Jobs.class)
                .find(shop, UUID.fromString(id))
                .orElseThrow();
        Settings settings = Shop.bean(Settings.class);
        return SetCase.of(
                        job,
                        settings.told(job),
                        Shop.bean(Sheets.class),
                        settings.moves(job),
                        () -> Shop.bean(KitPlans.class).of(job))
                .orElseThrow()
                .targets();
    }

    private String page(String job) {
        HttpResponse<String> page = orla.get("/jobs/" + job + "/set");
        assertEquals(200, page.statusCode(), page.body());
        return page.body();
    }

    /** Frame 10 mm down in front and 4 behind: so are the hubs' heights. Until it was read that is asked for. */
    @Test
    void targets_over_the_frame_move_the_heights_by_as_much() {
        String job = received(350, 350, 356, 356);
        assertEquals(302, tell(job, "170 mm", "190 mm", "by", "FRAME").statusCode());
        assertTrue(targets(job).otherWayMissing());
        assertTrue(page(job).contains(Said.part("set.by.not").split("\\{")[0]), page(job));
        read(job, "FG", 180, 180, 194, 194);
        assertFalse(targets(job).otherWayMissing());
        double[] wanted = targets(job).now();
        assertEquals(340, wanted[0], 0.6);
        assertEquals(340, wanted[1], 0.6);
        assertEquals(352, wanted[2], 0.6);
        assertEquals(352, wanted[3], 0.6);
        // A lip's height told as a frame's is no height of it.
        HttpResponse<String> lip = tell(job, "340 mm", "190 mm", "by", "FRAME");
        assertEquals(422, lip.statusCode());
    }

    @Test
    void targets_as_gaps_move_the_heights_by_as_much() {
        String job = received(350, 350, 356, 356);
        read(job, "TG", 60, 60, 66, 66);
        assertEquals(302, tell(job, "40 mm", "40 mm", "by", "GAP").statusCode());
        double[] wanted = targets(job).now();
        assertEquals(330, wanted[0], 0.6);
        assertEquals(330, wanted[3], 0.6);
    }

    /** New springs in front that settle by 3/16 in: set that much higher for the height that is wanted in the end. */
    @Test
    void what_will_settle_is_set_higher_where_that_is_said() {
        String job = received(350, 350, 356, 356);
        HttpResponse<String> plan =
                orla.post("/jobs/" + job + "/plan", "FRONT_GETS_SPRINGS", "yes", "FRONT_BOX", "20 mm", "NAME", "Kit");
        assertEquals(302, plan.statusCode(), plan.body());
        tell(job, "340 mm", "352 mm");
        assertEquals(340, targets(job).now()[0], 0.01);
        assertEquals(302, tell(job, "340 mm", "352 mm", "settled", "yes").statusCode());
        double[] wanted = targets(job).now();
        assertEquals(340 + 25.4 * 3 / 16, wanted[0], 0.2);
        assertEquals(352, wanted[3], 0.01);
        assertTrue(page(job).contains(Said.part("set.settles")), page(job));
    }

    /** Lips a quarter of an inch apart over a frame that is level: the panel, and no spring. */
    @Test
    void a_panel_that_stands_higher_is_named() {
        String job = received(357, 350, 356, 356);
        tell(job, "350 mm", "356 mm");
        assertTrue(targets(job).panel().isEmpty(), "no frame read");
        read(job, "FG", 180, 180, 194, 194);
        assertTrue(targets(job).panel().isEmpty(), "over hubs a low tyre looks like that");
        read(job, "GF", 667, 660, 666, 666);
        Panel panel = targets(job).panel().orElseThrow();
        assertEquals("LF", panel.higher().code());
        assertEquals(7, panel.by(), 1);
        String even = received(357, 350, 356, 356);
        tell(even, "350 mm", "356 mm");
        read(even, "GF", 667, 660, 666, 666);
        read(even, "FG", 187, 180, 194, 194);
        assertTrue(targets(even).panel().isEmpty(), "it leans");
    }
}
