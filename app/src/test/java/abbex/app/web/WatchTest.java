package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Script;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What ended by itself is started again, and the backup of the day is made, while nobody looks. */
class WatchTest {
    private static final Path FOLDER = Path.of("target", "watched").toAbsolutePath();
    private static final Path BACKUPS = Path.of("target", "watched-backups").toAbsolutePath();

    private static boolean well() {
        try {
            String port = Files.readString(FOLDER.resolve("app.port")).strip();
            HttpRequest health = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/health"))
                    .timeout(Duration.ofSeconds(3))
                    .build();
            return HttpClient.newHttpClient()
                            .send(health, HttpResponse.BodyHandlers.discarding())
                            .statusCode()
                    == 200;
        } catch (IOException away) {
            return false;
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private interface Seen {
        boolean now() throws IOException;
    }

    private static void comes(String what, Seen seen) throws Exception {
        for (int i = 0; i < 600; i++) {
            if (seen.now()) {
                return;
            }
            Thread.sleep(100);
        }
        throw new AssertionError(what + ": " + Files.readString(FOLDER.resolve("log/watch.log")));
    }

    private static List<String> ports() throws IOException {
        return List.of(
                Files.readString(FOLDER.resolve("app.port")).strip(),
                Files.readString(FOLDER.resolve("db.port")).strip());
    }

    private static boolean backedUp() throws IOException {
        try (Stream<Path> files = Files.list(BACKUPS)) {
            return files.anyMatch(f -> f.toString().endsWith("Z.abbex"));
        }
    }

    @Test
    void what_was_killed_comes_back_and_the_day_has_its_backup() throws Exception {
        Script.abbex("stop", "--data", FOLDER.toString());
        Script.run("rm", "-rf", FOLDER.toString(), BACKUPS.toString());
        String[] line = {
            "start", "--background", "--no-demo", "--data", FOLDER.toString(), "--backup-to", BACKUPS.toString()
        };
        Script.Run start = Script.abbex(line);
        assertEquals(0, start.status(), start.said());
        try {
            comes("a backup", WatchTest::backedUp);
            List<String> ports = ports();
            for (String which : new String[] {"db", "app"}) {
                long pid = Long.parseLong(
                        Files.readString(FOLDER.resolve(which + ".pid")).strip());
                ProcessHandle process = ProcessHandle.of(pid).orElseThrow();
                process.destroyForcibly();
                process.onExit().join();
            }
            // What ended may hold its port a little longer: tablets know the address, and the application its database.
            int app = Integer.parseInt(ports.get(0));
            try (ServerSocket held = new ServerSocket(app, 1, InetAddress.getLoopbackAddress())) {
                Thread.sleep(5000);
                assertTrue(held.isBound());
            }
            comes("the application", WatchTest::well);
            assertEquals(ports, ports());
            assertTrue(Files.readString(FOLDER.resolve("backup-state")).contains("last 2"));
        } finally {
            Script.Run stop = Script.abbex("stop", "--data", FOLDER.toString());
            assertEquals(0, stop.status(), stop.said());
        }
        assertTrue(!well(), "what was told to stop stays so");
    }
}
