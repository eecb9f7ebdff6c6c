package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.support.Jobs;
import abbex.app.support.Leaves;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.app.workcard.WorkedCard;
import com.microsoft.playwright.Page;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Whole jobs, clumsily: what one station knows, every other says as well. */
@ExtendWith(Shop.class)
class OneStateTest {
    private final Visitor orla = Visitor.signedIn("orla");
    private final String job = UUID.randomUUID().toString();
    private final String plate = "OS " + job.substring(0, 8);
    private Screen screen;
    private Page page;

    @BeforeEach
    void open() {
        screen = Screen.desk().signIn("orla");
        page = screen.page;
    }

    @AfterEach
    void close() {
        screen.close();
    }

    private void receive(String... more) {
        String[] form = {
            "job",
            job,
            "plate",
            plate,
            "name",
            "test hatch",
            "WHEELBASE",
            "2600 mm",
            "TRACK_FRONT",
            "1500 mm",
            "TRACK_REAR",
            "1500 mm",
            "archFront",
            "STRUT",
            "archRear",
            "TWIST_BEAM"
        };
        String[] all = new String[form.length + more.length];
        System.arraycopy(form, 0, all, 0, form.length);
        System.arraycopy(more, 0, all, form.length, more.length);
        orla.post("/arrive", all);
    }

    private void kit() {
        receive("kit", "lowering springs", "promiseFRONT", "1 in", "promiseREAR", "1 in");
    }

    private void measured() {
        Jobs.walk(orla, job, "HF", "14 3/8", "14 3/8", "14 5/8", "14 5/8");
        Jobs.walk(orla, job, "RIM", "23 3/8", "23 3/8", "23 5/8", "23 5/8");
    }

    private void lowered(String rf) {
        orla.post("/jobs/" + job + "/set-down");
        Jobs.walk(orla, job, "HF", "13 3/8", rf, "13 5/8", "13 5/8");
        Jobs.walk(orla, job, "RIM", "22 3/8", "22 3/8", "22 5/8", "22 5/8");
    }

    private void card(int steps) {
        Person by = Shop.bean(People.class)
                .byId(UUID.fromString(Jobs.person("orla")))
                .orElseThrow();
        Shop.bean(WorkedCard.class)
                .begin(
                        by,
                        Shop.bean(abbex.app.arrive.Jobs.class)
                                .find(by.shop(), UUID.fromString(job))
                                .orElseThrow(),
                        Set.of("lift"),
                        steps);
    }

    private void at(String path) {
        screen.open("/jobs/" + job + "/" + path);
    }

    /** Until the first wheel is off: so many steps. */
    private static final int WHEEL_OFF = 16;

    @Test
    void a_car_with_a_wheel_off_does_not_leave_by_a_tap() {
        kit();
        measured();
        card(WHEEL_OFF);
        lowered("13 3/8");
        at("sheet");
        assertThat(page.locator(".paper .firstline.stop")).isVisible();
        page.getByText(Said.part("sheet.hand-over")).first().click();
        assertThat(page.locator(".keeps")).containsText(Pattern.compile("wheel off"));
        assertThat(page.locator(".keeps")).containsText(Pattern.compile("fasteners? to tighten"));
        assertThat(page.locator(".leaves path.off").first()).isVisible();
        page.locator(".acts .btn-primary").click();
        assertThat(page.locator(".notsaved")).containsText(Said.by("problem.answer.lead"));
        page.goBack();
        assertEquals(404, orla.get("/jobs/" + job + "/sheet?version=1").statusCode());
        // From what holds it to the step where it goes on.
        at("hand-over");
        page.locator(".keeps .answer a").last().click();
        assertThat(page).hasURL(Pattern.compile(".*/fit/.+"));
    }

    @Test
    void what_was_read_with_a_wheel_off_is_asked_about() {
        kit();
        measured();
        card(WHEEL_OFF);
        lowered("13 3/8");
        at("hand-over");
        assertThat(page.locator(".asks")).containsText(Said.part("finding.MEASURED_WHEEL_OFF.title"));
    }

    @Test
    void floor_tag_and_find_say_how_far_it_is_and_lead_there() {
        kit();
        measured();
        card(5);
        String at = "Step 6 of ";
        screen.open("/");
        assertThat(page.locator("article")
                        .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText(plate)))
                .containsText("Step 6:");
        at("fitment");
        assertThat(page.locator(".tag .card-at")).containsText(at);
        page.locator(".tagline .next").click();
        assertThat(page).hasURL(Pattern.compile(".*/fit/.+"));
        screen.open("/find?q=" + plate.replace(" ", "+"));
        assertThat(page.locator(".found .far")).containsText(at);
    }

    private void touching() {
        wheels();
        gap("2 3/4");
    }

    private void wheels() {
        orla.post(
                "/jobs/" + job + "/fitment/sets",
                "name",
                "as it stands",
                "use",
                "NOW",
                "TYRE_FRONT",
                "225/45R17 91W",
                "WHEEL_FRONT",
                "7.5Jx17 ET45");
    }

    /** A gap at the lip; one that is measured again stands in for the former. */
    private void gap(String gap) {
        String former = Shop.bean(JdbcClient.class)
                .sql("select b.id from probe b join job j on j.vehicle_id = b.vehicle_id where j.id = :job")
                .param("job", job)
                .query(String.class)
                .optional()
                .orElse("");
        orla.post(
                "/jobs/" + job + "/prove/probes",
                "corner",
                "LF",
                "place",
                "FENDER_LIP",
                "clock",
                "12",
                "face",
                "OUTER_SHOULDER",
                "gap",
                gap,
                "again",
                former);
    }

    @Test
    void a_plan_ends_no_stop_and_fitted_and_measured_does() {
        receive();
        measured();
        touching();
        lowered("13 3/8");
        at("prove?corner=LF");
        assertThat(page.locator(".judged.stop")).isVisible();
        page.locator(".ways .btn").first().click();
        assertThat(page.locator(".plan")).containsText(Said.by("remedy.planned"));
        assertThat(page.locator(".judged.stop")).isVisible();
        page.goBack();
        at("hand-over");
        assertThat(page.locator(".keeps")).isVisible();
        at("prove?corner=LF");
        page.locator(".plan .btn").first().click();
        assertThat(page.locator(".plan")).containsText(Said.part("remedy.fitted"));
        assertThat(page.locator(".judged.stop")).isVisible();
        gap("5 1/2");
        at("prove?corner=LF");
        assertThat(page.locator(".judged.stop")).hasCount(0);
    }

    private void set() {
        orla.post(
                "/jobs/" + job + "/set",
                "kindFRONT",
                "THREAD",
                "kindREAR",
                "THREAD",
                "pitchFRONT",
                "2 mm",
                "pitchREAR",
                "2 mm",
                "wantedFRONT",
                "13 3/8 in",
                "wantedREAR",
                "13 5/8 in",
                "ratioFRONT",
                "1",
                "ratioREAR",
                "1");
    }

    @Test
    void nothing_is_turned_by_a_reading_that_is_misread() {
        kit();
        measured();
        lowered("13 7/8");
        set();
        at("set");
        assertThat(page.locator("#set-answer")).containsText(Said.part("set.suspect"));
        assertThat(page.locator("#set-answer")).containsText("Right front");
        // By the other readings it stands as wanted: nothing is turned.
        assertThat(page.locator("#set-answer")).containsText(Said.by("set.work.none"));
    }

    @Test
    void a_turn_that_was_asked_for_is_no_bent_part() {
        kit();
        measured();
        orla.post("/jobs/" + job + "/set-down");
        Jobs.walk(orla, job, "HF", "13 3/8", "13 3/8", "13 5/8", "13 5/8");
        orla.post(
                "/jobs/" + job + "/set",
                "kindFRONT",
                "THREAD",
                "pitchFRONT",
                "2 mm",
                "wantedFRONT",
                "13 3/4 in",
                "wantedRightFRONT",
                "13 3/8 in",
                "kindREAR",
                "NONE",
                "ratioFRONT",
                "1");
        assertEquals(
                302,
                orla.post("/jobs/" + job + "/set/turned", "locked", "yes", "done", "0")
                        .statusCode());
        // What this turn does by its hubs: 5.5 mm up where it was turned, and 3 beside it through the bar.
        Jobs.walk(orla, job, "HF", "13 5/8", "13 1/2", "13 5/8", "13 5/8");
        at("measure");
        assertThat(page.locator("#says")).not().containsText(Said.part("finding.LEFT_RIGHT_NEW.text"));
    }

    @Test
    void a_second_kit_on_trial_is_judged_by_its_own_figures() {
        kit();
        measured();
        lowered("13 3/8");
        orla.post("/jobs/" + job + "/plan/kits", "another", "longer springs");
        String second = Shop.bean(JdbcClient.class)
                .sql("select id from kit where job_id = :job order by nr desc limit 1")
                .param("job", job)
                .query(String.class)
                .single();
        orla.post(
                "/jobs/" + job + "/plan",
                "kit",
                second,
                "NAME",
                "longer springs",
                "FRONT_BOX",
                "1/2",
                "REAR_BOX",
                "1/2");
        orla.post("/jobs/" + job + "/plan/choose", "kit", second, "reason", "less low");
        orla.post("/jobs/" + job + "/set-down", "stage", "TRIAL");
        Jobs.walk(orla, job, "HF", "13 7/8", "13 7/8", "14 1/8", "14 1/8");
        at("measure");
        assertThat(page.locator("#says")).not().containsText(Said.part("finding.LESS_THAN_PROMISED.title"));
        at("plan");
        assertThat(page.locator(".tried thead th")).hasCount(2);
        assertThat(page.locator(".tried")).containsText("longer springs");
        at("sheet");
        assertThat(page.locator(".paper .tried")).containsText(Said.by("tried.stays"));
        assertThat(page.locator(".paper .stations")).containsText("longer springs");
    }

    @Test
    void a_settled_car_is_not_told_that_it_will_settle() {
        kit();
        measured();
        lowered("13 3/8");
        orla.post("/jobs/" + job + "/set-down", "stage", "SETTLED");
        Jobs.walk(orla, job, "RIM", "22 1/4", "22 1/4", "22 1/2", "22 1/2");
        at("sheet");
        assertThat(page.locator(".paper")).not().containsText(Said.by("sheet.expected"));
        assertThat(page.locator(".paper")).not().containsText(Said.by("sheet.settles"));
        at("return");
        assertThat(page.locator("main")).not().containsText(Said.part("finding.STILL_SINKS.title"));
    }

    @Test
    void driveways_that_scrape_are_on_the_sheet_and_asked() {
        receive();
        measured();
        wheels();
        orla.post(
                "/jobs/" + job + "/ground/points",
                "kind",
                "UNDERSIDE",
                "name",
                "lip",
                "from",
                "AHEAD",
                "away",
                "34 in",
                "height",
                "4 in");
        orla.post(
                "/jobs/" + job + "/ground/points",
                "kind",
                "UNDERSIDE",
                "name",
                "pan",
                "from",
                "BETWEEN",
                "away",
                "50 in",
                "height",
                "4 in");
        lowered("13 3/8");
        at("ground");
        assertThat(page.locator("main")).containsText("lip");
        at("hand-over");
        assertThat(page.locator(".asks")).containsText(Said.part("finding.USUAL_SCRAPES.title"));
        at("sheet");
        assertThat(page.locator(".paper .stations tr")
                        .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText("Ground")))
                .isVisible();
        assertThat(page.locator(".paper .stations td.look").first()).isVisible();
    }

    @Test
    void the_sheet_certifies_nothing_that_nobody_recorded() {
        kit();
        measured();
        card(3);
        lowered("13 3/8");
        at("sheet");
        assertThat(page.locator(".paper")).not().containsText("Steps[");
        assertThat(page.locator(".paper")).not().containsText("locked and marked");
        assertThat(page.locator(".paper .stations")).containsText(Said.by("sheet.torque"));
        assertThat(page.locator(".paper .stations")).containsText(Said.by("sheet.lamps"));
    }

    @Test
    void what_was_refused_is_on_the_sheet_and_first_when_it_is_back() {
        kit();
        measured();
        card(2);
        String step = Shop.bean(JdbcClient.class)
                .sql("select step from card_entry where job_id = :job and what = 'TICKED' order by seq desc limit 1")
                .param("job", job)
                .query(String.class)
                .single();
        orla.post(
                "/jobs/" + job + "/fit/" + step,
                "what",
                "FOUND",
                "seen",
                "tie rod boot split",
                "price",
                "180",
                "answer",
                "NO");
        lowered("13 3/8");
        at("hand-over");
        assertThat(page.locator(".asks")).containsText("ie rod boot split");
        Visitor lead = Visitor.signedIn("tamsin");
        Leaves.handOver(lead, job);
        at("sheet?version=1");
        assertThat(page.locator(".paper .offers")).containsText("180");
        assertThat(page.locator(".paper")).containsText("Found while it was open: tie rod boot split");
        orla.post("/jobs/" + job + "/set-down", "stage", "SETTLED");
        Jobs.walk(orla, job, "HF", "13 1/4", "13 1/4", "13 1/2", "13 1/2");
        at("return");
        assertThat(page.locator(".watchlist")).containsText("ie rod boot split");
    }

    /** Two tabs: what is alike grew since the page was made, and the answer was for less. */
    @Test
    void an_answer_of_an_old_tab_is_for_what_it_showed() {
        kit();
        measured();
        lowered("13 3/8");
        at("hand-over");
        String seen = page.locator(".answer input[type=hidden]").first().inputValue();
        String field = page.locator(".answer").first().getAttribute("id");
        assertEquals(16, seen.length());
        assertEquals(
                422,
                orla.post(
                                "/jobs/" + job + "/hand-over",
                                field,
                                "TOLD",
                                field + "_why",
                                "",
                                "seen-" + field,
                                "0".repeat(16))
                        .statusCode());
        assertEquals(404, orla.get("/jobs/" + job + "/sheet?version=1").statusCode());
        page.locator("input[value=TOLD]").first().check();
        page.locator(".acts .btn-primary").click();
        assertThat(page.locator(".versions")).isVisible();
    }
}
