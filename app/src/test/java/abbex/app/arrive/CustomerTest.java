package abbex.app.arrive;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.store.Journal;
import abbex.app.support.Jobs;
import abbex.app.support.Leaves;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A customer is deleted wherever somebody has seen the name, one text at a time. */
@ExtendWith(Shop.class)
class CustomerTest {
    private final Visitor orla = Visitor.signedIn("orla");
    private final String job = UUID.randomUUID().toString();
    private final String plate = "CB " + job.substring(0, 8).toUpperCase(Locale.ROOT);

    private void receive() {
        orla.post(
                "/arrive",
                "job",
                job,
                "plate",
                plate,
                "name",
                "test sedan",
                "customer",
                "Ymke Quast",
                "contact",
                "0171 555 0199",
                "wish",
                "Ymke wants 1 in, call 0171-5550199",
                "kit",
                "Quast’s own springs & bolts",
                "worn",
                "dent behind, hers",
                "promiseFRONT",
                "1",
                "promiseREAR",
                "1",
                "WHEELBASE",
                "2700 mm");
    }

    private void measured() {
        walk("14 3/8");
        orla.post("/jobs/" + job + "/set-down");
        walk("13 3/8");
    }

    private void walk(String height) {
        for (String corner : List.of("LF", "RF", "RR", "LR")) {
            assertEquals(
                    200,
                    orla.htmx(
                                    "/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/readings",
                                    "corner",
                                    corner,
                                    "method",
                                    "HF",
                                    "raw",
                                    height,
                                    "client",
                                    UUID.randomUUID().toString())
                            .statusCode());
        }
    }

    private String page() {
        return orla.get("/jobs/" + job + "/blank-customer").body();
    }

    /** What is ticked on the page as it comes. */
    private List<String> ticked() {
        List<String> keys = new ArrayList<>();
        Matcher m = Pattern.compile("name=\"gone\" value=\"([^\"]+)\" checked").matcher(page());
        while (m.find()) {
            keys.add(m.group(1));
        }
        return keys;
    }

    private void delete(List<String> gone) {
        String[] form =
                gone.stream().flatMap(key -> List.of("gone", key).stream()).toArray(String[]::new);
        assertEquals(302, orla.post("/jobs/" + job + "/blank-customer", form).statusCode());
    }

    private String read(String column) {
        return Shop.bean(JdbcClient.class)
                .sql("select " + column + " from job j join vehicle v on v.id = j.vehicle_id where j.id = :job")
                .param("job", job)
                .query(String.class)
                .single();
    }

    private String paper() throws IOException {
        try (PDDocument document = Loader.loadPDF(
                orla.bytes("/jobs/" + job + "/sheet.pdf?version=1").body())) {
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void the_name_goes_from_texts_that_were_ticked_and_from_sheets_that_left() throws IOException {
        receive();
        measured();
        Leaves.handOver(orla, job);
        assertTrue(orla.get("/jobs/" + job + "/sheet?version=1").body().contains("Quast’s own springs &amp; bolts"));
        String page = page();
        assertTrue(page.contains(Said.by("customer.left", "text", "… wants 1 in, call …")), page);
        assertEquals(List.of("wish:" + job, "kit:" + job), ticked());
        assertTrue(page.contains("value=\"worn:" + job + "\""), "offered, in case it is misspelt there");
        delete(ticked());
        assertEquals(
                "|… wants 1 in, call …|… own springs & bolts|dent behind, hers",
                read("concat_ws('|', concat(customer, contact), wish, j.kit, worn)"));
        String sheet = orla.get("/jobs/" + job + "/sheet?version=1").body();
        assertTrue(sheet.contains("… own springs &amp; bolts"), sheet);
        assertFalse(sheet.contains("Quast") || sheet.contains("Ymke"));
        assertFalse(
                orla.get("/jobs/" + job + "/sheet").body().contains(Said.part("sheet.changes")),
                "no change to hand over");
        String paper = paper();
        assertFalse(paper.contains("Quast") || paper.contains("Ymke"), paper);
        assertTrue(paper.contains("own springs & bolts")
                && paper.contains(Said.part("sheet.foot.blanked").substring(1, 20)));
        assertTrue(page().contains(Said.part("customer.none")));
    }

    @Test
    void what_was_not_ticked_stays_and_what_is_ticked_without_the_name_goes_whole() {
        receive();
        UUID other = UUID.randomUUID();
        delete(List.of("worn:" + job, "wish:" + other, "nonsense", "wish:"));
        assertEquals(
                "|Ymke wants 1 in, call 0171-5550199|", read("concat_ws('|', concat(customer, contact), wish, worn)"));
    }

    @Test
    void a_plate_goes_when_it_is_ticked_from_every_sheet_of_the_vehicle() throws IOException {
        receive();
        measured();
        Leaves.handOver(orla, job);
        assertTrue(paper().contains(plate));
        delete(List.of("plate"));
        String none = read("plate");
        assertTrue(none.startsWith("DEL "), none);
        String paper = paper();
        assertFalse(paper.contains(plate), paper);
        assertFalse(orla.get("/jobs/" + job + "/sheet?version=1").body().contains(plate));
        assertFalse(orla.get("/find?q=" + plate.replace(" ", "+")).body().contains(job));
        assertEquals(
                "",
                orla.get("/arrive/known?plate=" + plate.replace(" ", "+"))
                        .body()
                        .strip());
        String record = Visitor.signedIn("tamsin")
                .get("/audit?text=" + none.replace(" ", "+"))
                .body();
        assertTrue(record.contains(Said.by("audit.CUSTOMER_BLANKED")), record);
    }

    @Test
    void other_stays_of_the_same_customer_are_told() {
        receive();
        String second = UUID.randomUUID().toString();
        orla.post(
                "/arrive",
                "job",
                second,
                "plate",
                "CB " + second.substring(0, 8),
                "name",
                "other",
                "customer",
                "Ymke Quast");
        assertTrue(page().contains("/jobs/" + second + "/blank-customer"));
    }

    /** A backup of before the deletion: the journal's lines take the same out of it again, and say nothing the second time. */
    @Test
    void a_restored_backup_loses_the_same_again() throws IOException {
        receive();
        String written = read("concat_ws('|', customer, wish, j.kit, worn, plate)");
        delete(List.of("wish:" + job, "worn:" + job, "plate"));
        String left = read("concat_ws('|', customer, wish, j.kit, worn, plate)");
        List<String> lines = Files.readAllLines(Shop.data().resolve("own/journal")).stream()
                .filter(line -> line.contains(job))
                .toList();
        assertEquals(4, lines.size(), lines.toString());
        assertFalse(lines.toString().contains("Ymke"), "no name beside the database");
        Shop.bean(JdbcClient.class)
                .sql("""
                        update job j join vehicle v on v.id = j.vehicle_id
                           set customer = 'Ymke Quast', contact = '0171 555 0199', worn = 'dent behind, hers',
                               wish = 'Ymke wants 1 in, call 0171-5550199', plate = :plate where j.id = :job
                        """)
                .param("plate", plate)
                .param("job", job)
                .update();
        assertEquals(written, read("concat_ws('|', customer, wish, j.kit, worn, plate)"));
        Customers customers = Shop.bean(Customers.class);
        for (boolean held : List.of(true, false)) {
            for (String line : lines) {
                String[] parts = line.split(" ");
                Journal.Line again = new Journal.Line(
                        Instant.parse(parts[0]), Journal.What.valueOf(parts[1]), UUID.fromString(parts[2]), parts[3]);
                assertEquals(held, customers.again(again), line);
            }
            assertEquals(left, read("concat_ws('|', customer, wish, j.kit, worn, plate)"));
        }
    }

    @Test
    void another_shops_customer_is_not_there() {
        receive();
        Visitor nils = Visitor.signedIn("nils@second-yard");
        assertEquals(404, nils.get("/jobs/" + job + "/blank-customer").statusCode());
        assertEquals(404, nils.post("/jobs/" + job + "/blank-customer").statusCode());
    }
}
