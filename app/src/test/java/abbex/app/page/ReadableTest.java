package abbex.app.page;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Templates, scripts and styles can be read: no long line, a rule or a statement a line. */
class ReadableTest {
    private static final int LONGEST = 180;

    /** What stands in quotes or is a pattern, an address or a comment is no rule and no statement. */
    private static final Pattern NO_CODE = Pattern.compile(
            "`[^`]*`|\"[^\"]*\"|'[^']*'|url\\([^)]*\\)|/\\*.*?(\\*/|$)|//.*|(?<=[(=,:] ?)/[^/\\s][^/]*/[gimsuy]*");

    private static final Pattern TWO_RULES = Pattern.compile(";\\s*\\S|\\{\\s*\\S|\\}\\s*\\S");

    private static final Pattern TWO_STATEMENTS = Pattern.compile(";\\s*[^\\s)}]");

    private static List<String> found(String file, List<String> lines) {
        List<String> found = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            String line = lines.get(i);
            String code = NO_CODE.matcher(line).replaceAll("");
            boolean long_ = line.length() > LONGEST && !line.contains("url(\"data:");
            boolean two = file.endsWith(".css")
                    ? TWO_RULES.matcher(code).find()
                    : !file.endsWith(".html")
                            && !code.contains("for (")
                            && TWO_STATEMENTS.matcher(code).find();
            if (long_ || two) {
                found.add(file + ":" + (i + 1) + " " + line.strip());
            }
        }
        return found;
    }

    @Test
    void each_line_says_one_thing() throws IOException {
        List<String> found = new ArrayList<>();
        int looked = 0;
        for (String folder : List.of("templates", "static/js", "styles")) {
            try (Stream<Path> files = Files.walk(Path.of("src/main/resources", folder))) {
                for (Path file : files.filter(Files::isRegularFile).toList()) {
                    found.addAll(found(file.getFileName().toString(), Files.readAllLines(file)));
                    looked++;
                }
            }
        }
        assertEquals(List.of(), found);
        assertFalse(looked < 40, "it looked at " + looked + " files");
    }

    @Test
    void the_rule_can_fail() {
        assertEquals(1, found("a.css", List.of(".a { color: red; margin: 0; }")).size());
        assertEquals(1, found("a.css", List.of("  color: red; margin: 0;")).size());
        assertEquals(
                0,
                found("a.css", List.of("  background: url(\"data:a;b\");", "}")).size());
        assertEquals(1, found("a.mjs", List.of("const a = 1; const b = 2;")).size());
        assertEquals(
                0,
                found("a.mjs", List.of("say('one; two'); // and; so", "for (let i = 0; i < 3; i++) {"))
                        .size());
        assertEquals(1, found("a.html", List.of("x".repeat(LONGEST + 1))).size());
    }

    /** A tag that is replaced is so whatever else it says: its condition stands outside of it. */
    @Test
    void a_condition_stands_outside_of_what_is_replaced() throws IOException {
        Pattern both = Pattern.compile("<[^>]*th:replace[^>]*>");
        List<String> found = new ArrayList<>();
        try (Stream<Path> files = Files.list(Path.of("src/main/resources/templates"))) {
            for (Path file : files.sorted().toList()) {
                both.matcher(Files.readString(file))
                        .results()
                        .map(java.util.regex.MatchResult::group)
                        .filter(tag -> tag.contains("th:if=") || tag.contains("th:unless="))
                        .forEach(tag -> found.add(file.getFileName() + ": " + tag));
            }
        }
        assertEquals(List.of(), found);
    }
}
