package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Script;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Whatever happens to a restore, there is the old data or the new; a backup runs nothing; what must not come back stays away. */
@ExtendWith(Shop.class)
class RestoreTest {
    /** Thirty by hand: {@code -Dabbex.kills=30}. */
    private static final int KILLS = Integer.getInteger("abbex.kills", 1);

    private static Path folder(String name) {
        Path folder = Path.of("target", name).toAbsolutePath();
        powerCut(folder);
        Script.run("rm", "-rf", folder.toString());
        return folder;
    }

    private static Script.Run abbex(Path folder, String... line) {
        Script.Run run = Script.abbex(Stream.concat(Stream.of(line), Stream.of("--data", folder.toString()))
                .toArray(String[]::new));
        assertEquals(0, run.status(), run.said());
        return run;
    }

    /** Every process that works in the folder ends at once. */
    private static void powerCut(Path folder) {
        List<ProcessHandle> ended = at(folder);
        ended.forEach(ProcessHandle::destroyForcibly);
        ended.forEach(p -> p.onExit().completeOnTimeout(p, 5, TimeUnit.SECONDS).join());
    }

    private static List<ProcessHandle> at(Path folder) {
        return ProcessHandle.allProcesses()
                .filter(p -> p.pid() != ProcessHandle.current().pid())
                .filter(p -> commandLine(p).contains(folder.toString()))
                .toList();
    }

    private static String commandLine(ProcessHandle process) {
        try {
            return Files.readString(Path.of("/proc", process.pid() + "", "cmdline"));
        } catch (IOException gone) {
            return "";
        }
    }

    /** One figure or text of the folder's database. */
    private static String ask(Path folder, String sql) {
        Script.Run answer = Script.run("bash", "-euc", """
                cd '%s'; mariadb --no-defaults -h 127.0.0.1 -P "$(cat db.port)" -u abbex -p"$(cat db.password)" -N abbex -e "%s"
                """.formatted(folder, sql));
        assertEquals(0, answer.status(), answer.said());
        return answer.said().strip();
    }

    private static String marks(Path folder) {
        abbex(folder, "database", "start");
        String marks = ask(folder, "select count(*) from attempt where name = 'kills'");
        abbex(folder, "database", "stop");
        return marks;
    }

    private static String backup(Path file) {
        return BackupTest.maker(
                Script.abbex("backup", file.toString(), "--data", Shop.data().toString()));
    }

    @Test
    void killed_at_any_moment_there_is_the_old_or_the_new_and_what_was_taken_away_since_stays_away() throws Exception {
        Path folder = folder("killed");
        Path old = Path.of("target", "killed-old.abbex").toAbsolutePath();
        Path fresh = Path.of("target", "killed-new.abbex").toAbsolutePath();
        // What this shop's journal knows already is counted in its backups, and means nothing to another folder's
        // journal.
        Files.writeString(
                Shop.data().resolve("own/journal"),
                ("\n2026-01-01T00:00:00Z PIN " + UUID.randomUUID() + " - .\n").repeat(10),
                StandardOpenOption.CREATE,
                StandardOpenOption.APPEND);
        String maker = backup(old);
        Shop.bean(JdbcClient.class)
                .sql("insert into attempt (name, address, n, at) values ('kills', uuid(), 1, now(6))")
                .update();
        backup(fresh);
        long began = System.nanoTime();
        abbex(folder, "restore", old.toString(), "--made-by", maker);
        long takes = Duration.ofNanos(System.nanoTime() - began).toMillis();
        String before = marks(folder);
        String after = Integer.parseInt(before) + 1 + "";
        String standing = before;
        Random random = new Random();
        for (int kill = 0; kill < KILLS; kill++) {
            Process restore = Script.started(
                    Path.of("target", "killed.log"),
                    "../abbex",
                    "restore",
                    (standing.equals(after) ? old : fresh).toString(),
                    "--data",
                    folder.toString());
            // Towards the end more often than not: there the switch is. The first while the former data is being kept.
            long at = kill == 0 ? keeping(folder, restore) : (long) (takes * Math.sqrt(random.nextDouble()));
            restore.waitFor(at, TimeUnit.MILLISECONDS);
            if (kill == 0 || random.nextInt(3) == 0) {
                // Ctrl-C: it puts away what it made.
                restore.destroy();
                assertTrue(restore.waitFor(60, TimeUnit.SECONDS));
                assertEquals(List.of(), at(folder));
            } else {
                powerCut(folder);
            }
            standing = marks(folder);
            assertTrue(List.of(before, after).contains(standing), "killed after " + at + " ms: " + standing);
            assertEquals(
                    "demo", Files.readString(folder.resolve("holds")).strip().split(" ")[1]);
        }
        stays(folder, fresh, after);
    }

    /** Waits until the database that is to be replaced runs. */
    private static long keeping(Path folder, Process restore) throws InterruptedException {
        while (restore.isAlive() && !Files.exists(folder.resolve("db.pid"))) {
            Thread.sleep(20);
        }
        return 0;
    }

    private static void stays(Path folder, Path file, String marks) throws IOException {
        JdbcClient jdbc = Shop.bean(JdbcClient.class);
        String milo = jdbc.sql("select id from person where sign_in_name = 'milo'")
                .query(String.class)
                .single();
        String job = jdbc.sql("select id from job where customer <> '' limit 1")
                .query(String.class)
                .single();
        String at = Instant.now().plusSeconds(60).toString() + " ";
        Files.writeString(
                folder.resolve("own/journal"),
                at + "PASSWORD " + milo + " of-since .\n" + at + "PERSON_DEACTIVATED " + milo + " - .\n" + at
                        + "CUSTOMER_BLANKED " + job + " - .\n" + at + "PASSWORD half");
        Script.Run restore = abbex(folder, "restore", file.toString());
        for (String says :
                List.of("1 × a changed password", "1 × a person deactivated", "1 × a customer’s name deleted")) {
            assertTrue(restore.said().contains(says), says + " in " + restore.said());
        }
        assertEquals(marks, marks(folder));
        abbex(folder, "database", "start");
        assertEquals(
                "of-since\t0", ask(folder, "select password_hash, active from person where sign_in_name = 'milo'"));
        assertEquals("", ask(folder, "select customer from job where id = '" + job + "'"));
        assertEquals("1", ask(folder, "select count(*) > 0 from audit where what = 'RESTORED'"));
        abbex(folder, "database", "stop");
    }

    /** What the application writes down of it, while people work. */
    @Test
    void what_must_not_come_back_is_written_down() throws IOException {
        Visitor tamsin = Visitor.signedIn("tamsin");
        String name = "gone" + System.nanoTime() % 1_000_000;
        tamsin.post("/people", "name", name, "display", "Gone Soon", "initials", "GS", "role", "DESK");
        JdbcClient jdbc = Shop.bean(JdbcClient.class);
        String gone = jdbc.sql("select id from person where sign_in_name = :name")
                .param("name", name)
                .query(String.class)
                .single();
        tamsin.post("/people/" + gone + "/reset");
        tamsin.post("/people/" + gone + "/deactivate");
        String job = UUID.randomUUID().toString();
        tamsin.get("/account");
        tamsin.post(
                "/arrive",
                "job",
                job,
                "plate",
                "JN " + System.nanoTime() % 1_000_000,
                "name",
                "test hatch",
                "customer",
                "Somebody");
        tamsin.post("/jobs/" + job + "/blank-customer");
        List<String> lines = Files.readAllLines(Shop.data().resolve("own/journal")).stream()
                .map(line -> line.replaceFirst("^[^ ]+ ", "").replaceFirst("\\$2a.*", "#"))
                .toList();
        assertTrue(
                lines.containsAll(List.of(
                        "PASSWORD " + gone + " #",
                        "PIN " + gone + " - .",
                        "PERSON_DEACTIVATED " + gone + " - .",
                        "CUSTOMER_BLANKED " + job + " - .")),
                lines.toString());
    }

    /** A data folder that held a shop and lost its database is no place for a demo. */
    @Test
    void a_folder_that_held_a_shop_never_becomes_a_demo() throws IOException {
        Path folder = folder("held");
        Files.createDirectories(folder);
        Files.writeString(folder.resolve("holds"), "mysql-4 empty\n");
        Script.Run start = Script.abbex("start", "--background", "--data", folder.toString());
        assertEquals(1, start.status(), start.said());
        assertTrue(start.said().contains("is missing or damaged"), start.said());
        Script.Run reset = Script.abbex("demo-reset", "--data", folder.toString());
        assertTrue(reset.said().contains("holds a shop, not the demo"), reset.said());
    }

    /** Signed by ourselves and yet with commands of the client in it: none is run, and nothing is changed. */
    @Test
    void a_backup_runs_nothing() throws IOException {
        Path folder = folder("programmed");
        Path ran = Path.of("target", "programmed-ran").toAbsolutePath();
        Files.deleteIfExists(ran);
        Path good = Path.of("target", "programmed.abbex").toAbsolutePath();
        String maker = BackupTest.maker(
                Script.abbex("backup", good.toString(), "--data", Shop.data().toString()));
        for (String command : List.of("\\! touch FILE", "system touch FILE")) {
            Script.Run packed = Script.run("bash", "-euc", """
                    data=%s; say() { echo "$*" >&2; }; fail() { say "$*"; exit 1; }
                    . ../scripts/database.sh; . ../scripts/keep.sh
                    tar -xOf %s data | gunzip >target/programmed.sql
                    { head -n 20 target/programmed.sql; printf '%%s\\n' %s; tail -n +21 target/programmed.sql; } | gzip >target/programmed.gz
                    pack target/programmed-evil.abbex target/programmed.gz "migration: $(tar -xOf %s abbex-backup | sed -n 's/^migration: //p')" \
                      'kind: demo' 'body: data.sql.gz'
                    """.formatted(
                            Shop.data(), good, "'" + command.replace("FILE", ran.toString()) + "'", good));
            assertEquals(0, packed.status(), packed.said());
            Script.Run run = Script.abbex(
                    "restore", "target/programmed-evil.abbex", "--made-by", maker, "--data", folder.toString());
            assertEquals(1, run.status(), command + run.said());
            assertTrue(run.said().contains("Nothing was changed"), run.said());
            assertFalse(Files.exists(ran), command);
            assertFalse(Files.exists(folder.resolve("holds")));
        }
    }

    @Test
    void of_backups_by_the_day_the_last_days_weeks_and_months_stay() throws IOException {
        Path folder = folder("pruned");
        Files.createDirectories(folder);
        // Two a day for four hundred days, up to 2026-11-27, a Friday.
        java.time.LocalDate last = java.time.LocalDate.of(2026, 11, 27);
        for (int day = 0; day < 400; day++) {
            for (String hour : List.of("T060000Z", "T180000Z")) {
                Files.writeString(folder.resolve("abbex-" + last.minusDays(day) + hour + ".abbex"), "");
            }
        }
        Files.writeString(folder.resolve("abbex-mine.abbex"), "");
        Script.Run run = Script.run("bash", "-euc", ". ../scripts/watch.sh; prune '" + folder + "'");
        assertEquals(0, run.status(), run.said());
        try (Stream<Path> left = Files.list(folder)) {
            List<String> names =
                    left.map(f -> f.getFileName().toString()).sorted().toList();
            // Seven days; of four weeks the two that end before those days; of twelve months the ten before these.
            assertTrue(names.contains("abbex-mine.abbex"), "a name that was not given by the schedule is left alone");
            assertTrue(
                    names.containsAll(List.of(
                            "abbex-2026-11-27T180000Z.abbex",
                            "abbex-2026-11-21T180000Z.abbex",
                            "abbex-2026-11-15T180000Z.abbex",
                            "abbex-2026-11-08T180000Z.abbex",
                            "abbex-2026-10-31T180000Z.abbex",
                            "abbex-2025-12-31T180000Z.abbex")),
                    names.toString());
            assertEquals(1 + 7 + 2 + 11, names.size(), names.toString());
        }
    }
}
