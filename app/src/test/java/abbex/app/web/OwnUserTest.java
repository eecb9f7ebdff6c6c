package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import abbex.app.support.Script;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Started by root, database and application have rights of their own and none of root's. */
class OwnUserTest {
    private static final Path FOLDER = Path.of("target", "own-user").toAbsolutePath();
    private static final Path PROGRAM = Path.of("target", "own-user-program").toAbsolutePath();
    private static final Path SECRET = Path.of("target", "own-user-secret").toAbsolutePath();
    private static final Path BACKUP = Path.of("target", "own-user.abbex").toAbsolutePath();
    private static final String USER = "abbex";

    /** The class path where everybody can read it: root's own Maven repository is root's alone. */
    private static String readable() throws IOException {
        List<String> parts = new ArrayList<>();
        Files.createDirectories(PROGRAM);
        for (String part : System.getProperty("java.class.path").split(File.pathSeparator)) {
            if (Files.exists(Path.of(part))) {
                Path copy = PROGRAM.resolve(parts.size() + "-" + Path.of(part).getFileName());
                Script.run("cp", "-r", part, copy.toString());
                parts.add(copy.toString());
            }
        }
        Script.run("chmod", "-R", "a+rX", PROGRAM.toString());
        return String.join(File.pathSeparator, parts);
    }

    private static String said(String classes, String... arguments) {
        List<String> command = new ArrayList<>(List.of("env", "ABBEX_CLASSES=" + classes, "../abbex"));
        command.addAll(List.of(arguments));
        command.addAll(List.of("--data", FOLDER.toString()));
        Script.Run run = Script.run(command.toArray(String[]::new));
        assertEquals(0, run.status(), run.said());
        return run.said();
    }

    private static void runsAsItself() throws IOException {
        for (String which : List.of("db.pid", "app.pid")) {
            Path process =
                    Path.of("/proc", Files.readString(FOLDER.resolve(which)).strip());
            assertEquals(USER, Files.getOwner(process).getName(), which);
            String status = Files.readString(process.resolve("status"));
            assertTrue(status.contains("NoNewPrivs:\t1") && status.matches("(?s).*CapBnd:\\s*0+\\n.*"), status);
        }
    }

    /** What that user could change of what root reads, runs or writes. */
    private static List<String> ownedOutside() throws IOException {
        List<String> found = new ArrayList<>();
        try (Stream<Path> all = Files.list(FOLDER)) {
            for (Path path : all.sorted().toList()) {
                String name = path.getFileName().toString();
                String rights = PosixFilePermissions.toString(Files.getPosixFilePermissions(path));
                boolean theirs = name.equals("tmp") || name.equals("own") || name.startsWith("mysql");
                if (!theirs
                        && (!Files.getOwner(path).getName().equals("root")
                                || rights.charAt(4) == 'w'
                                || rights.charAt(7) == 'w')) {
                    found.add(name + " " + rights);
                }
            }
        }
        return found;
    }

    @Test
    void nothing_that_the_application_could_write_is_run_or_trusted_by_root() throws Exception {
        assumeTrue("root".equals(System.getProperty("user.name")), "not root");
        Script.abbex("stop", "--data", FOLDER.toString());
        Script.run("rm", "-rf", FOLDER.toString(), PROGRAM.toString(), SECRET.toString(), BACKUP.toString());
        assumeTrue(
                Script.run(
                                        "setpriv",
                                        "--reuid=65534",
                                        "--regid=65534",
                                        "--clear-groups",
                                        "test",
                                        "-x",
                                        Path.of("target").toAbsolutePath().toString())
                                .status()
                        == 0,
                "this copy lies where no other user can get");
        String classes = readable();
        try {
            // Another port than that of the test beside, which lets its own go for a while.
            said(classes, "start", "--background", "--no-demo", "--port", "18480");
            runsAsItself();
            assertEquals(List.of(), ownedOutside());
            said(classes, "backup", BACKUP.toString());
            said(classes, "restore", BACKUP.toString());
            runsAsItself();
            assertEquals(List.of(), ownedOutside());
            // An application that was taken over points its files at root's.
            Files.writeString(SECRET, "not for the application");
            Script.run("chmod", "600", SECRET.toString());
            for (String file : List.of("sign-in", "journal")) {
                Files.deleteIfExists(FOLDER.resolve("own").resolve(file));
                Files.createSymbolicLink(FOLDER.resolve("own").resolve(file), SECRET);
            }
            assertFalse(said(classes, "start", "--background").contains("not for"));
            said(classes, "backup", BACKUP.toString());
            assertFalse(Files.readString(FOLDER.resolve("sign-in")).contains("not for"));
            assertEquals("not for the application", Files.readString(SECRET));
        } finally {
            Script.abbex("stop", "--data", FOLDER.toString());
            Script.run("rm", "-rf", PROGRAM.toString());
        }
    }
}
