package abbex.core;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Every value from outside the project that belongs to what stands is checked by a test that names its row. */
class ChecksTest {
    /** Chapters of checks.csv whose capability stands. */
    private static final Set<String> LANDED = Set.of(
            "units",
            "heights",
            "wheels",
            "lamps",
            "ground",
            "uncertainty",
            "statistics",
            "torque",
            "truck",
            "motorcycle",
            "setting",
            "balance",
            "alignment");

    /** Rows of a landed chapter whose quantity comes with another chapter. */
    private static final Map<String, String> LATER = Map.of();

    /** Rows of a chapter to come whose computation stands already. */
    private static final Set<String> EARLY = Set.of(
            "perch-3",
            "floor-1",
            "warp-1",
            "moto-3",
            "spring-1",
            "spring-2",
            "spring-3",
            "spring-4",
            "spring-5",
            "gas-1",
            "seat-1",
            "seat-2",
            "perch-1",
            "perch-2",
            "rod-1",
            "rod-2",
            "plan-1",
            "linkage-1");

    private static Set<String> named() throws IOException {
        Set<String> named = new HashSet<>();
        Pattern id = Pattern.compile("\"([a-z]+-\\d+)\"");
        for (Path root : List.of(Path.of("src/test/java"), Path.of("../app/src/test/java"))) {
            try (Stream<Path> files = Files.walk(root)) {
                for (Path file :
                        files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    if (file.getFileName().toString().equals("ChecksTest.java")) {
                        continue;
                    }
                    Matcher found = id.matcher(Files.readString(file));
                    while (found.find()) {
                        named.add(found.group(1));
                    }
                }
            }
        }
        return named;
    }

    @Test
    void every_row_of_what_stands_is_named_by_a_test() throws IOException {
        Set<String> named = named();
        List<String> missing = new ArrayList<>();
        for (Checks.Row row : Checks.rows("")) {
            boolean due = LANDED.contains(row.area()) && !LATER.containsKey(row.id()) || EARLY.contains(row.id());
            if (due && !named.contains(row.id())) {
                missing.add(row.toString());
            }
        }
        assertEquals(List.of(), missing);
    }

    /** What is put off is put off to a chapter that has not landed; once it has, its rows are due. */
    @Test
    void nothing_is_put_off_for_ever() {
        LATER.forEach((row, chapter) -> assertTrue(!LANDED.contains(chapter), row));
        Set<String> areas = new TreeSet<>();
        Checks.rows("").forEach(row -> areas.add(row.area()));
        assertTrue(areas.containsAll(LANDED), areas.toString());
    }
}
