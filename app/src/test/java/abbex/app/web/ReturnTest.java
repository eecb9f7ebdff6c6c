package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Later;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.StringReader;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** From handing over to the visit after two weeks, and the alignment that goes with it. */
@ExtendWith(Shop.class)
class ReturnTest {
    private static final String[] TOLD = {
        "camberBeforeLF",
        "-0.6",
        "camberAfterLF",
        "-1°24'",
        "toeAfterLF",
        "0.05",
        "camberBeforeRF",
        "-0.5",
        "camberAfterRF",
        "-1.3",
        "toeAfterRF",
        "0.05",
        "camberAfterLR",
        "-1.9",
        "toeAfterLR",
        "out 4 mm",
        "camberAfterRR",
        "-1.8",
        "toeAfterRR",
        "0.1",
        "diameter",
        "24 in",
        "hasLAMPS",
        "YES",
        "didLAMPS",
        "DONE",
        "srcLAMPS",
        "service manual 63-10",
        "hasCAMERA",
        "YES"
    };

    private Visitor orla = Visitor.signedIn("orla");

    private String received() {
        String job = UUID.randomUUID().toString();
        HttpResponse<String> answer = orla.post(
                "/arrive",
                "job",
                job,
                "plate",
                "RT " + job.substring(0, 8),
                "name",
                "test wagon",
                "odometer",
                "38,400 mi",
                "WHEELBASE",
                "2700 mm");
        assertEquals(302, answer.statusCode(), answer.body());
        return job;
    }

    private void walk(String job, String... heights) {
        Jobs.walk(orla, job, "HF", heights);
    }

    private void odometer(String job, String shows) {
        orla.post("/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/state", "ODOMETER", shows);
    }

    private String setDown() {
        String job = received();
        walk(job, "14 3/8", "14 3/8", "14 5/8", "14 5/8");
        orla.post("/jobs/" + job + "/set-down");
        walk(job, "13 3/8", "13 3/8", "13 5/8", "13 5/8");
        odometer(job, "38,410 mi");
        return job;
    }

    private String page(String path) {
        HttpResponse<String> page = orla.get(path);
        assertEquals(200, page.statusCode(), page.body());
        return page.body();
    }

    private String pdf(String job, int version) throws IOException {
        try (PDDocument document = Loader.loadPDF(
                orla.bytes("/jobs/" + job + "/sheet.pdf?version=" + version).body())) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    private static Calendar calendar(String text) throws IOException {
        try {
            return new CalendarBuilder().build(new StringReader(text));
        } catch (ParserException e) {
            throw new AssertionError(text, e);
        }
    }

    /** Whatever is asked, the customer is told. */
    private void handOver(String job) {
        String asked = page("/jobs/" + job + "/hand-over");
        List<String> told = new ArrayList<>();
        Pattern.compile("name=\"(answer-[^\"]+)\"\\s+value=\"TOLD\"")
                .matcher(asked)
                .results()
                .forEach(m -> told.addAll(List.of(m.group(1), "TOLD", m.group(1) + "_why", "seen together")));
        HttpResponse<String> answer = orla.post("/jobs/" + job + "/hand-over", told.toArray(String[]::new));
        assertTrue(answer.headers().firstValue("Location").orElse("").contains("version="), answer.body());
    }

    @Test
    void back_after_two_weeks_with_its_watch_list() throws Exception {
        String job = setDown();
        HttpResponse<String> unread = orla.post("/jobs/" + job + "/align", TOLD[16], "4 mm", "camberAfterLF", "steep");
        assertEquals(422, unread.statusCode());
        assertTrue(unread.body().contains("value=\"steep\""), "what was typed stays");
        assertEquals(302, orla.post("/jobs/" + job + "/align", TOLD).statusCode());
        String aligned = page("/jobs/" + job + "/align");
        assertTrue(aligned.contains(
                        Said.part("finding.TOE_EATS.title").split("\\{")[0].strip())
                || aligned.contains("out 0.38°"));
        assertTrue(aligned.contains("Camera: procedure still open"));
        assertEquals(
                422,
                orla.post("/jobs/" + job + "/align", "hasRADAR", "YES", "didRADAR", "NOT_NEEDED")
                        .statusCode(),
                "what needs nothing says by what source");
        orla.post("/jobs/" + job + "/left", "threadLF", "1 7/8", "clicksFRONT", "12 from soft", "spares", "two shims");
        handOver(job);
        String paper = pdf(job, 1);
        for (String text : List.of(
                Said.by("sheet.expected"),
                Said.by("sheet.alignment"),
                "−0.60° → −1.40°",
                "out 0.38°",
                Said.by("left.threadLF"),
                "12 from soft",
                "Headlamp aim: done, service manual 63-10",
                Said.by("sheet.next"),
                "between 38,910 mi and 39,410 mi")) {
            assertTrue(paper.contains(text), text + " in " + paper);
        }
        VEvent due = calendar(page("/jobs/" + job + "/return.ics"))
                .<VEvent>getComponents("VEVENT")
                .get(0);
        assertEquals(
                LocalDate.now(ZoneId.of("UTC")).plusDays(14).toEpochDay(),
                LocalDate.from(due.getDateTimeStart().getDate()).toEpochDay(),
                1.1);
        assertEquals(job + "@abbex", due.getUid().orElseThrow().getValue());
        assertTrue(page("/returns").contains("RT " + job.substring(0, 8)));
        try (AutoCloseable until = Later.days(16)) {
            returned(job);
        }
    }

    private void returned(String job) throws IOException {
        orla = Visitor.signedIn("orla");
        assertTrue(page("/returns").contains(Said.by("returns.late")));
        try (Screen screen = Screen.tablet().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/return");
            assertThat(page.locator(".due-day")).containsText("overdue by");
            page.locator(".due-line .btn-primary").tap();
            assertThat(page.locator(".stages [aria-current]")).containsText(Said.part("stage.SETTLED"));
            walk(job, "13 1/16", "13 1/4", "13 7/16", "13 7/16");
            odometer(job, "38,310 mi");
            screen.open("/jobs/" + job + "/return");
            assertThat(page.locator(".numbers-say")).containsText(Said.part("finding.ODOMETER_BACK.title"));
            odometer(job, "39,130 mi");
            screen.open("/jobs/" + job + "/return");
            assertThat(page.locator(".odometers")).containsText("(720 mi driven)");
            assertThat(page.locator(".sinking .dot").first()).isVisible();
            assertThat(page.locator(".numbers-say")).containsText("9 things not looked at".replace("9", "8"));
            Locator list = page.locator(".watchlist fieldset");
            assertThat(list.first()).containsText("Left rear: toe out");
            assertThat(list.first()).containsText("seen together");
            for (Locator one : list.all()) {
                one.locator("input[value=GOOD]").tap();
            }
            list.last().locator("input[value=SEEN]").tap();
            page.locator(".watchlist .btn-primary").tap();
            assertThat(page.locator(".notsaved")).isVisible();
            assertThat(page.locator(".watchlist input[value=SEEN]:checked")).hasCount(1);
            list.last().locator("input.form-control").fill("knocks over the rails");
            page.locator(".watchlist .btn-primary").tap();
            assertThat(page.locator(".notsaved")).hasCount(0);
            assertThat(page.locator(".numbers-say")).containsText("What the driver noticed: something seen");
            assertThat(page.locator(".numbers-say"))
                    .not()
                    .containsText(Said.part("finding.NOT_LOOKED_AT.title").strip());
            assertEquals(List.of(), screen.complaints());
        }
        handOver(job);
        assertTrue(pdf(job, 2).contains(Said.by("sheet.settled")));
        assertFalse(page("/returns").contains("RT " + job.substring(0, 8)), "it is not waited for any more");
    }

    @Test
    void two_who_answer_at_once_are_told_and_another_shop_sees_nothing() {
        String job = setDown();
        orla.post("/jobs/" + job + "/set-down", "stage", "SETTLED");
        String path = "/jobs/" + job + "/return";
        orla.post(path, "edition", "0", "watch-TYRE-EDGES", "GOOD");
        HttpResponse<String> later =
                orla.post(path, "edition", "0", "watch-TYRE-EDGES", "SEEN", "watch-TYRE-EDGES_why", "feathered");
        assertEquals(409, later.statusCode());
        assertTrue(later.body().contains(Said.by("watch.answer.GOOD"))
                && later.body().contains("feathered"));
        Visitor nils = Visitor.signedIn("nils@second-yard");
        for (String other : List.of("return", "align", "left", "return.ics")) {
            assertEquals(404, nils.get("/jobs/" + job + "/" + other).statusCode());
        }
    }

    /** Trimmed on the return: how far it had sunk was read before that, and is kept. */
    @Test
    void what_is_turned_on_the_return_does_not_hide_how_far_it_sank() {
        String job = setDown();
        orla.post("/jobs/" + job + "/set-down", "stage", "SETTLED");
        walk(job, "13 3/16", "13 3/16", "13 7/16", "13 7/16");
        odometer(job, "39,130 mi");
        String sank = page("/jobs/" + job + "/return");
        assertTrue(sank.contains("class=\"dot\""), sank);
        orla.post(
                "/jobs/" + job + "/set",
                "kindFRONT",
                "THREAD",
                "pitchFRONT",
                "2 mm",
                "wantedFRONT",
                "13 in",
                "kindREAR",
                "NONE");
        orla.post("/jobs/" + job + "/set/turned", "locked", "true", "done", "0");
        walk(job, "13", "13", "13 7/16", "13 7/16");
        String trimmed = page("/jobs/" + job + "/return");
        assertTrue(trimmed.contains("class=\"dot\"") && trimmed.contains("720 mi driven"), trimmed);
        assertEquals(curve(sank), curve(trimmed), "the curve is that of the springs");
        assertFalse(rows(sank).equals(rows(trimmed)), "where it stands now is another");
    }

    /** To the pixel, a twentieth of a millimeter: a reading taken later moves an earlier height by less. */
    private static String curve(String page) {
        return Pattern.compile("\\d+\\.\\d+")
                .matcher(page.substring(page.indexOf("<svg class=\"sinking\""), page.indexOf("class=\"sinking-key\"")))
                .replaceAll(px -> Long.toString(Math.round(Double.parseDouble(px.group()))))
                .replaceAll("\\s+", " ");
    }

    private static String rows(String page) {
        int from = page.indexOf("id=\"rows\"");
        return page.substring(from, page.indexOf("</table>", from));
    }
}
