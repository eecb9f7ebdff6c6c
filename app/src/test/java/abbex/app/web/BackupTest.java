package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.app.support.Script;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Backups by the start command's own words: put back elsewhere they are the same shop; what is no whole backup changes nothing. */
@ExtendWith(Shop.class)
class BackupTest {
    private static final Path FILE = Path.of("target", "backup.abbex").toAbsolutePath();

    private static Path emptyFolder(String name) {
        Path folder = Path.of("target", name).toAbsolutePath();
        Script.abbex("database", "stop", "--data", folder.toString());
        Script.run("rm", "-rf", folder.toString());
        return folder;
    }

    /** Every page of every stay, as the shop's lead reads it, without what belongs to the visit. */
    private static Map<String, String> exports(JdbcClient jdbc, String address, String password) {
        Map<String, String> pages = new TreeMap<>();
        // Of a former state the second shop's lead has a name without its shop's word.
        List<String> leads = jdbc.sql("select sign_in_name from person where sign_in_name rlike '^(tamsin|nils)(@|$)'")
                .query(String.class)
                .list();
        assertEquals(2, leads.size());
        for (String lead : leads) {
            Visitor visitor = Visitor.signedIn(lead, address, password);
            jdbc.sql("""
                    select j.id from job j join person p on p.shop_id = j.shop_id where p.sign_in_name = :lead
                    """)
                    .param("lead", lead)
                    .query(String.class)
                    .list()
                    .forEach(id -> List.of("sheet", "arrive", "measure").forEach(page -> {
                        var answer = visitor.get("/jobs/" + id + "/" + page);
                        if (answer.statusCode() == 302) {
                            answer = visitor.get(answer.headers()
                                    .firstValue("Location")
                                    .orElseThrow()
                                    .replaceFirst("^http://[^/]+", ""));
                        }
                        assertEquals(200, answer.statusCode(), id + " " + page);
                        pages.put(
                                id + " " + page,
                                answer.body()
                                        .replaceAll(
                                                "(name=\"_csrf\"[^>]*|name=\"_sent\"[^>]*|name=\"csrf\"[^>]*|name=\"client\"[^>]*)",
                                                "")
                                        // When a card is ready goes on with the clock.
                                        .replaceAll("(class=\"card-at\"[^>]*>)[^<]*", "$1"));
                    }));
        }
        return pages;
    }

    @Test
    void restored_elsewhere_it_is_the_same_shop() throws IOException {
        // A photo of a step: bytes of every kind.
        Shop.bean(JdbcClient.class).sql("""
                        insert into card_photo (id, shop_id, job_id, step, body, person_id, made_at)
                        select uuid(), j.shop_id, j.id, 'strut-access@LF', unhex(concat(sha2('a', 512), '00ff270a5c0d')), p.id, now(6)
                          from job j join person p on p.shop_id = j.shop_id limit 1
                        """).update();
        Script.Run backup =
                Script.abbex("backup", FILE.toString(), "--data", Shop.data().toString());
        assertEquals(0, backup.status(), backup.said());
        Path folder = emptyFolder("restored");
        Script.Run restore =
                Script.abbex("restore", FILE.toString(), "--made-by", maker(backup), "--data", folder.toString());
        assertEquals(0, restore.status(), restore.said());
        Script.abbex("database", "start", "--data", folder.toString());
        Files.copy(Shop.data().resolve("sign-in"), folder.resolve("sign-in"));
        try (ConfigurableApplicationContext again = Shop.startOver(folder)) {
            Map<String, String> before = exports(Shop.bean(JdbcClient.class), Shop.address(), Shop.password());
            Map<String, String> after = exports(again.getBean(JdbcClient.class), Shop.address(again), Shop.password());
            assertTrue(before.size() > 30, before.keySet().toString());
            assertEquals(before, after);
            String photos = "select hex(body) from card_photo order by id";
            List<String> taken =
                    Shop.bean(JdbcClient.class).sql(photos).query(String.class).list();
            assertFalse(taken.isEmpty());
            assertEquals(
                    taken,
                    again.getBean(JdbcClient.class)
                            .sql(photos)
                            .query(String.class)
                            .list());
        } finally {
            Script.abbex("database", "stop", "--data", folder.toString());
        }
    }

    /** What the backup's owner wrote down. */
    static String maker(Script.Run backup) {
        Matcher fingerprint = Pattern.compile("([0-9a-f]{4}-){4}[0-9a-f]{4}").matcher(backup.said());
        assertTrue(fingerprint.find(), backup.said());
        return fingerprint.group();
    }

    @Test
    void what_is_no_whole_backup_of_ours_changes_nothing() throws IOException {
        Path folder = emptyFolder("refused");
        Script.Run backup =
                Script.abbex("backup", FILE.toString(), "--data", Shop.data().toString());
        assertEquals(0, backup.status(), backup.said());
        byte[] whole = Files.readAllBytes(FILE);
        byte[] changed = whole.clone();
        changed[whole.length / 2] ^= 1;
        String text = new String(whole, StandardCharsets.ISO_8859_1);
        String maker = maker(backup);
        refused(folder, changed, maker, "damaged or cut short");
        refused(folder, Arrays.copyOf(whole, whole.length / 2), maker, "damaged or cut short");
        refused(folder, "a dump of something else".getBytes(StandardCharsets.UTF_8), maker, "not a backup of Abbex");
        byte[] older = text.replaceFirst("migration: [0-9]", "migration: 0").getBytes(StandardCharsets.ISO_8859_1);
        refused(folder, older, maker, "was changed after it was made");
        refused(folder, whole, "0000-0000-0000-0000-0000", "made by another installation, " + maker);
        Path former = Path.of("src", "test", "resources", "former", "migration-14.sql.gz");
        refused(folder, Files.readAllBytes(former), maker, "add --unsigned");
        refused(folder, packed("-- Abbex backup, migration 999, kind demo\n-- Dump completed\n"), maker, "--unsigned");
    }

    private static void refused(Path folder, byte[] file, String maker, String says) throws IOException {
        Path bad = Path.of("target", "bad-backup").toAbsolutePath();
        Files.write(bad, file);
        Script.Run run = Script.abbex("restore", bad.toString(), "--made-by", maker, "--data", folder.toString());
        assertEquals(1, run.status(), run.said());
        assertTrue(run.said().contains(says), run.said());
        assertTrue(run.said().contains("Nothing was changed"), run.said());
        assertFalse(Files.exists(folder.resolve("holds")), "nothing was made of it");
        assertFalse(Files.exists(folder.resolve("restoring")), "nothing of it is left");
    }

    private static byte[] packed(String text) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GZIPOutputStream zip = new GZIPOutputStream(bytes)) {
            zip.write(text.getBytes(StandardCharsets.UTF_8));
        }
        return bytes.toByteArray();
    }

    /** A port that another holds without answering on it, as a client's end does, is passed over. */
    @Test
    void a_database_finds_another_port() throws IOException {
        Path folder = emptyFolder("ported");
        Files.createDirectories(folder);
        try (Socket holds = new Socket()) {
            holds.bind(new InetSocketAddress("127.0.0.1", 0));
            Files.writeString(folder.resolve("db.port"), holds.getLocalPort() + "\n");
            Script.Run start = Script.abbex("database", "start", "--data", folder.toString());
            assertEquals(0, start.status(), start.said());
            assertTrue(
                    Integer.parseInt(Files.readString(folder.resolve("db.port")).strip()) > holds.getLocalPort());
        } finally {
            Script.abbex("database", "stop", "--data", folder.toString());
        }
    }

    /** A state that an earlier version left, as its own backup holds it, is brought up to date by this version. */
    @ParameterizedTest
    @CsvSource("migration-14.sql.gz, floor-line-4785, 13, 220")
    void a_shop_of_a_former_state_is_migrated(String file, String password, int stays, int readings)
            throws IOException {
        Path former = Path.of("src", "test", "resources", "former", file).toAbsolutePath();
        String dump =
                new String(new GZIPInputStream(Files.newInputStream(former)).readAllBytes(), StandardCharsets.UTF_8);
        Path folder = emptyFolder("former-" + file.replaceAll("[^0-9]", ""));
        Script.Run restore = Script.abbex("restore", former.toString(), "--unsigned", "--data", folder.toString());
        assertEquals(0, restore.status(), restore.said());
        Script.abbex("database", "start", "--data", folder.toString());
        Files.writeString(folder.resolve("sign-in"), "orla / " + password + "\n");
        try (ConfigurableApplicationContext again = Shop.startOver(folder)) {
            JdbcClient jdbc = again.getBean(JdbcClient.class);
            assertEquals(3 * stays, exports(jdbc, Shop.address(again), password).size(), "three pages a stay");
            assertEquals(
                    readings,
                    jdbc.sql("select count(*) from reading")
                            .query(Integer.class)
                            .single());
            // What was kept in words of former days is read whole, and nothing of it passes for changed.
            jdbc.sql("select facts from handed_over")
                    .query(String.class)
                    .list()
                    .forEach(facts -> assertFalse(facts.contains("\"OTHER\""), facts));
            jdbc.sql("select body from handed_over").query(String.class).list().forEach(body -> {
                String line = body.lines()
                        .filter(l -> l.length() > 40 && !l.contains("'") && !l.contains("\""))
                        .findFirst()
                        .orElse("");
                assertTrue(dump.contains(line), "a frozen sheet is as it was: " + line);
            });
            if (file.startsWith("migration-14")) {
                asItWasOfAMotorcycle(jdbc, Visitor.signedIn("orla", Shop.address(again), password));
            }
        } finally {
            Script.abbex("database", "stop", "--data", folder.toString());
        }
    }

    /** Its gaps were filed under left corners, one of them was withdrawn by a flag, and its sheet was handed over like that. */
    private static void asItWasOfAMotorcycle(JdbcClient jdbc, Visitor orla) {
        String job = jdbc.sql("select j.id from job j join vehicle v on v.id = j.vehicle_id where v.plate = 'MQ 381'")
                .query(String.class)
                .single();
        assertEquals(
                List.of("REAR"),
                jdbc.sql(
                                "select distinct corner from probe where vehicle_id in (select vehicle_id from job where id = :job)")
                        .param("job", job)
                        .query(String.class)
                        .list());
        assertEquals(
                1,
                jdbc.sql("select count(*) from withdrawal where person_id is null and made_at is null")
                        .query(Integer.class)
                        .single());
        for (String written : List.of("REAR", "LR")) {
            String page = orla.get("/jobs/" + job + "/prove?corner=" + written).body();
            assertEquals(3, page.split("/prove/probes/[0-9a-f-]{36}/withdraw", -1).length, "two gaps still count");
        }
        String sheet = orla.get("/jobs/" + job + "/sheet").body();
        assertTrue(sheet.contains("version=1"), "it was handed over");
        assertFalse(sheet.contains(Said.part("sheet.changes")), "and nothing of it passes for changed");
        String facts = jdbc.sql("select facts from handed_over where job_id = :job")
                .param("job", job)
                .query(String.class)
                .single();
        assertTrue(facts.contains("{\"kind\":\"ROAD_BUMP\",\"about\":[\"REAR\"],\"says\":[\"40\"]}"), facts);
        assertFalse(facts.contains("\"LR\""), facts);
    }
}
