package abbex.app.handover;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.facts.Fact;
import abbex.app.facts.Facts;
import abbex.app.page.Words;
import abbex.app.support.Jobs;
import abbex.app.support.Leaves;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.core.settling.Watch;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The sheet that leaves the shop: frozen, versioned, printed with its own face. */
@ExtendWith(Shop.class)
class HandoverTest {
    private final Visitor orla = Visitor.signedIn("orla");

    private String received() {
        return received("promiseFRONT", "1", "promiseREAR", "1", "WHEELBASE", "2700 mm");
    }

    private String received(String... more) {
        String job = UUID.randomUUID().toString();
        String[] form = new String[6 + more.length];
        System.arraycopy(
                new String[] {"job", job, "plate", "HO " + job.substring(0, 8), "name", "test sedan"}, 0, form, 0, 6);
        System.arraycopy(more, 0, form, 6, more.length);
        orla.post("/arrive", form);
        return job;
    }

    private void walk(String job, String method, String... heights) {
        String[] corners = {"LF", "RF", "RR", "LR"};
        for (int i = 0; i < 4; i++) {
            int status = orla.htmx(
                            "/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/readings",
                            "corner",
                            corners[i],
                            "method",
                            method,
                            "raw",
                            heights[i],
                            "client",
                            UUID.randomUUID().toString())
                    .statusCode();
            assertEquals(200, status);
        }
    }

    private String measured() {
        String job = received();
        walk(job, "HF", "14 3/8", "14 3/8", "14 5/8", "14 5/8");
        orla.post("/jobs/" + job + "/set-down");
        walk(job, "HF", "13 3/8", "13 3/8", "13 5/8", "13 5/8");
        return job;
    }

    private String page(String path) {
        return orla.get(path).body();
    }

    @Test
    void a_sheet_is_frozen_and_a_later_correction_makes_version_two() {
        String job = measured();
        Leaves.handOver(orla, job);
        String first = paper(page("/jobs/" + job + "/sheet?version=1"));
        assertTrue(first.contains(Said.by("finding.AS_PROMISED.title", "place", "Front")));
        Leaves.handOver(orla, job);
        assertEquals(
                404, orla.get("/jobs/" + job + "/sheet?version=2").statusCode(), "nothing changed, nothing frozen");

        walk(job, "HF", "13 3/8", "13 5/16", "13 5/8", "13 5/8");
        assertTrue(page("/jobs/" + job + "/sheet").contains(Said.part("sheet.changes")));
        assertEquals(first, paper(page("/jobs/" + job + "/sheet?version=1")), "version 1 stays as it left");
        Leaves.handOver(orla, job);
        String second = page("/jobs/" + job + "/sheet?version=2");
        assertTrue(second.contains(Said.part("sheet.changes.version")));
        assertTrue(second.contains("<del>13 3/8 (OV)</del>") && second.contains("<ins>13 5/16 (OV)</ins>"));
        assertTrue(page("/").contains(Said.part("next.back")), "its return is booked");
    }

    /** The visit after two weeks: said against the first set-down, told as one sheet more, and the stay is done with. */
    @Test
    void a_settled_visit_names_what_settled_and_ends_the_stay() {
        String job = measured();
        assertTrue(page("/jobs/" + job + "/sheet").contains(Said.part("sheet.settles")));
        Leaves.handOver(orla, job);
        orla.post("/jobs/" + job + "/set-down", "stage", "SETTLED");
        walk(job, "HF", "13 1/8", "13 1/8", "13 5/8", "13 5/8");
        String sheet = page("/jobs/" + job + "/sheet");
        assertTrue(sheet.contains(Said.by("finding.SETTLED_BY.title", "place", "Front")), sheet);
        assertTrue(sheet.contains(Said.by("finding.HELD_SINCE.title", "place", "Rear")));
        assertFalse(sheet.contains(Said.part("sheet.settles")), "it was measured again by now");
        String changes = sheet.substring(sheet.indexOf("class=\"say look\""), sheet.indexOf("<article"));
        assertTrue(changes.contains(Said.by("fact.sheet.added", "stage", Said.by("stage.SETTLED"), "readings", "4")));
        assertFalse(changes.contains("13 1/8"), "not reading by reading");
        List<String> seen = new ArrayList<>();
        for (Watch item : Watch.values()) {
            seen.addAll(List.of("watch-" + item.name().replace('_', '-'), "GOOD"));
        }
        orla.post("/jobs/" + job + "/return", seen.toArray(String[]::new));
        Leaves.handOver(orla, job);
        String floor = page("/");
        assertTrue(floor.indexOf("HO " + job.substring(0, 8)) > floor.indexOf(Said.by("board.done")));
    }

    /** Undone at once it stands where it stood; one that is back in another bay by then stays there. */
    @Test
    void a_hand_over_that_is_undone_puts_back_only_what_left_with_it() {
        String job = measured();
        orla.post("/jobs/" + job + "/move", "place", "BAY", "bay", "Bay 8");
        Leaves.handOver(orla, job);
        orla.post("/jobs/" + job + "/hand-over/undo", "version", "1");
        assertEquals("Bay 8", bay(job));
        assertEquals(404, orla.get("/jobs/" + job + "/sheet?version=1").statusCode());
        Leaves.handOver(orla, job);
        orla.post("/jobs/" + job + "/move", "place", "BAY", "bay", "Bay 9");
        orla.post("/jobs/" + job + "/hand-over/undo", "version", "2");
        assertEquals("Bay 9", bay(job));
    }

    private static String bay(String job) {
        return Shop.bean(org.springframework.jdbc.core.simple.JdbcClient.class)
                .sql("select bay from job where id = :job and place = 'BAY'")
                .param("job", job)
                .query(String.class)
                .single();
    }

    private static String paper(String page) {
        int at = page.indexOf("<article class=\"paper\"");
        assertTrue(at > 0);
        return page.substring(at, page.indexOf("</article>", at));
    }

    @Test
    void nothing_to_compare_is_not_handed_over() {
        String job = received();
        assertTrue(page("/jobs/" + job + "/sheet").contains(Said.part("sheet.incomplete")));
        Leaves.handOver(orla, job);
        assertEquals(404, orla.get("/jobs/" + job + "/sheet?version=1").statusCode());
    }

    @Test
    void a_reading_from_before_corrected_later_is_said() {
        String job = measured();
        String before = Shop.bean(org.springframework.jdbc.core.simple.JdbcClient.class)
                .sql("select id from sheet where job_id = :job and seq = 1")
                .param("job", job)
                .query(String.class)
                .single();
        orla.htmx(
                "/jobs/" + job + "/sheets/" + before + "/readings",
                "corner",
                "LF",
                "method",
                "HF",
                "raw",
                "14 1/2",
                "client",
                UUID.randomUUID().toString());
        assertTrue(page("/jobs/" + job + "/sheet").contains(Said.part("finding.BEFORE_CORRECTED_LATER.title")));
    }

    @ParameterizedTest
    @CsvSource({"A4,595.28,841.89", "LETTER,612,792"})
    void the_pdf_embeds_its_face_and_says_what_the_page_says(String size, double width, double height)
            throws IOException {
        String job = measured();
        Leaves.handOver(orla, job);
        byte[] pdf =
                orla.bytes("/jobs/" + job + "/sheet.pdf?version=1&size=" + size).body();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertEquals(width, document.getPage(0).getMediaBox().getWidth(), 0.5);
            assertEquals(height, document.getPage(0).getMediaBox().getHeight(), 0.5);
            Set<String> faces = new TreeSet<>();
            for (PDPage page : document.getPages()) {
                for (COSName name : page.getResources().getFontNames()) {
                    PDFont font = page.getResources().getFont(name);
                    assertTrue(font.isEmbedded(), font.getName());
                    faces.add(font.getName().replaceFirst("^[A-Z]{6}\\+", ""));
                }
            }
            assertEquals(Set.of("IBMPlexSans-Regular", "IBMPlexSans-SemiBold"), faces);
            String text = new PDFTextStripper().getText(document);
            assertTrue(text.contains(Said.part("sheet.title")), text);
            assertTrue(text.contains("14 ³⁄₈") || text.contains("14\u202f³⁄₈"), text);
            assertTrue(text.contains(Said.part("sheet.version.by")), text);
            assertFalse(text.contains(Said.part("reason.source")), "the workings stay on the page");
            assertFalse(text.contains("#") && text.contains("\uFFFD"), text);
            // The customer's page: drops, what was looked at, what to watch. Readings and doubts begin on the shop's.
            PDFTextStripper first = new PDFTextStripper();
            first.setEndPage(1);
            String customer = first.getText(document).replaceAll("\\s+", " ");
            assertTrue(customer.contains(Said.part("sheet.caution")), customer);
            assertTrue(customer.contains(Words.capital(Said.by("station.CLEARANCE"))), customer);
            assertFalse(customer.contains("14 ³⁄₈") || customer.contains("14\u202f³⁄₈"), customer);
            assertFalse(customer.contains(Said.part("finding.NO_FRAME.title")), customer);
            assertTrue(text.contains(Said.part("finding.NO_FRAME.title")), text);
            assertTrue(customer.contains(Said.part("sheet.uncertainty").substring(0, 40)), customer);
        }
    }

    /** Name and wish stand on every version, frozen on none; before and now are drawn from the side. */
    @Test
    void a_customer_reads_name_and_wish_until_the_name_is_deleted() throws IOException {
        String job = received("customer", "Ymke Dorn", "wish", "a little lower, no rubbing");
        walk(job, "HF", "14 3/8", "14 3/8", "14 5/8", "14 5/8");
        orla.post("/jobs/" + job + "/set-down");
        walk(job, "HF", "13 3/8", "13 3/8", "13 5/8", "13 5/8");
        Leaves.handOver(orla, job);
        String page = paper(page("/jobs/" + job + "/sheet?version=1"));
        assertTrue(page.contains("Ymke Dorn") && page.contains("a little lower, no rubbing"), page);
        assertTrue(page.contains("class=\"sideview\""), "before and now are drawn");
        assertTrue(text("/jobs/" + job + "/sheet.pdf?version=1").contains("Ymke Dorn"));
        // As one of before papers were kept.
        Shop.bean(org.springframework.jdbc.core.simple.JdbcClient.class)
                .sql("delete from sheet_paper where size = 'LETTER'")
                .update();
        orla.post("/jobs/" + job + "/blank-customer");
        String letter = text("/jobs/" + job + "/sheet.pdf?version=1&size=LETTER");
        assertTrue(letter.contains(Said.part("sheet.foot.blanked").substring(1, 20)), letter);
        String after = paper(page("/jobs/" + job + "/sheet?version=1"));
        assertFalse(after.contains("Ymke Dorn"), "a name that was deleted is on no sheet");
        String blanked = text("/jobs/" + job + "/sheet.pdf?version=1");
        assertFalse(blanked.contains("Ymke Dorn"));
        assertTrue(blanked.contains(Said.part("sheet.foot.blanked").substring(1, 20)), blanked);
        assertTrue(after.contains("a little lower, no rubbing"));
    }

    private String text(String pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(orla.bytes(pdf).body())) {
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void the_same_pdf_of_a_frozen_version_every_time() {
        String job = measured();
        Leaves.handOver(orla, job);
        String path = "/jobs/" + job + "/sheet?version=1";
        String then = paper(page(path));
        orla.post("/account", "unit", "mm", "tape", "1 mm", "zone", "UTC", "theme", "auto", "keys", "true");
        assertEquals(then, paper(page(path)), "a reader's own unit does not change what left the shop");
        assertTrue(page("/jobs/" + job + "/sheet").contains("25.4"));
        orla.post("/account", "unit", "in", "tape", "1/16 in", "zone", "UTC", "theme", "auto", "keys", "true");
        assertArrayEquals(
                new Object[] {200},
                new Object[] {orla.bytes("/jobs/" + job + "/sheet.pdf?size=A4").statusCode()});
    }

    /** Made once, when it is handed over: what cannot be printed is not handed over, and nothing later changes the paper. */
    @Test
    void a_paper_is_made_when_it_is_handed_over() throws IOException {
        String job = measured();
        String pdf = "/jobs/" + job + "/sheet.pdf?version=1";
        Shop.owner().sql("rename table sheet_paper to paper_away").update();
        try {
            assertEquals(500, Leaves.handOver(orla, job).statusCode());
        } finally {
            Shop.owner().sql("rename table paper_away to sheet_paper").update();
        }
        assertEquals(404, orla.bytes(pdf).statusCode());
        Leaves.handOver(orla, job);
        byte[] first = orla.bytes(pdf).body();
        byte[] letter = orla.bytes(pdf + "&size=LETTER").body();
        orla.post("/account", "unit", "mm", "tape", "1 mm", "zone", "Asia/Tokyo", "theme", "auto", "keys", "true");
        assertArrayEquals(first, orla.bytes(pdf).body());
        assertArrayEquals(letter, orla.bytes(pdf + "&size=LETTER").body());
        orla.post("/account", "unit", "in", "tape", "1/16 in", "zone", "UTC", "theme", "auto", "keys", "true");
    }

    @Test
    void changes_are_named() {
        Facts was = Facts.of(
                List.of(Fact.of(Fact.Kind.KIT, List.of(), "springs"), Fact.of(Fact.Kind.ODOMETER, List.of(), "1")));
        Facts is = Facts.of(List.of(
                Fact.of(Fact.Kind.ODOMETER, List.of(), "2"),
                Fact.of(Fact.Kind.PROBE, List.of("LF", "STRUT", "12"), "5/8", "TREAD"),
                Fact.of(Fact.Kind.KIT, List.of(), "springs")));
        assertEquals(
                List.of(Fact.Kind.ODOMETER, Fact.Kind.PROBE),
                is.since(was).stream().map(Facts.Change::kind).toList());
        assertEquals(is.all(), Facts.parse(is.stored()).all(), "read back as it was kept");
        assertEquals(List.of(), Facts.parse(is.stored()).since(is));
    }
}
