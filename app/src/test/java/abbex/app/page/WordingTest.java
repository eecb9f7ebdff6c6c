package abbex.app.page;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The rule of the wording, which the package's comment states, held for every text that a person may read. */
class WordingTest {
    private static final Path ROOT = Path.of("..");
    private static final Pattern BANNED = Pattern.compile(
            "\\b(nought|anew|reckon\\w*|wants?|wanted|otherwise|would be right|is none|nobody|the box)\\b",
            Pattern.CASE_INSENSITIVE);
    private static final int TITLE_WORDS = 6;
    private static final int SENTENCE_WORDS = 15;
    /** Lists of examples and the caution that stands on paper run on; nothing else may. */
    private static final List<String> LONGER = List.of(
            "fitment.hint",
            "fitment.caution",
            "sheet.uncertainty",
            "sheet.caution",
            "rules.reads.hint",
            "rules.floors.none",
            "prove.how",
            "road.how");

    private static List<String> breaches(Path file, String text) {
        List<String> found = new ArrayList<>();
        Matcher banned = BANNED.matcher(text);
        while (banned.find()) {
            found.add(file + ": " + banned.group() + " in “"
                    + text.substring(Math.max(0, banned.start() - 30), Math.min(text.length(), banned.end() + 30))
                    + "”");
        }
        return found;
    }

    @Test
    void no_banned_word_in_any_bundle() {
        List<String> found = new ArrayList<>();
        for (String key : Said.bundles().keys()) {
            String text = Said.by(key);
            found.addAll(breaches(Path.of(key), text));
            if (text.contains("!") || text.contains("'") && !key.startsWith("arrive.lengths")) {
                found.add(key + ": " + text);
            }
        }
        assertEquals(List.of(), found);
    }

    @Test
    void the_rule_finds_what_it_forbids() {
        assertEquals(
                2,
                breaches(Path.of("x"), "Nobody has counted; 12 would be right.").size());
        assertEquals(0, breaches(Path.of("x"), "Enter 12. The unwanted nut.").size());
    }

    @Test
    void titles_and_sentences_are_short() {
        List<String> found = new ArrayList<>();
        for (String key : new TreeSet<>(Said.bundles().keys())) {
            String text = Said.by(key);
            if (key.startsWith("finding.") && key.endsWith(".title") && words(text) > TITLE_WORDS) {
                found.add(key + ": " + text);
            }
            if (LONGER.stream().anyMatch(key::startsWith) || key.startsWith("reason.")) {
                continue;
            }
            for (String sentence : text.split("(?<=[.?:;])\\s")) {
                if (words(sentence) > SENTENCE_WORDS) {
                    found.add(key + ": " + sentence);
                }
            }
        }
        assertEquals(List.of(), found);
    }

    private static int words(String text) {
        return (int) Stream.of(text.strip().split("\\s+"))
                .filter(w -> w.matches(".*[\\p{L}\\p{N}{].*"))
                .count();
    }

    @Test
    void an_error_says_what_to_enter() {
        for (String key : Said.bundles().keys()) {
            if (key.startsWith("refusal.") && !key.equals("refusal.offer")
                    || key.startsWith("tyre.") && !key.contains("title")
                    || key.startsWith("wheel.refused.")) {
                assertTrue(Said.by(key).matches("(?s).*\\b(Enter|Add|Use|Send)\\b.*"), key + ": " + Said.by(key));
            }
        }
    }

    /** Words of a template are messages: what stands between its tags and in the attributes that people read is none. */
    @Test
    void templates_hold_no_words() throws IOException {
        Pattern between = Pattern.compile("\u0000([^\u0000]*)\u0000");
        Pattern attribute = Pattern.compile("[\\s](aria-label|placeholder|title|alt)=\"([^\"]*)\"");
        List<String> found = new ArrayList<>();
        for (Path template : files(Path.of("src/main/resources/templates"), ".html")) {
            String html = Files.readString(template);
            // A tag ends where no quotation mark is open; what th:text replaces is an example for who reads the
            // template.
            String texts = html.replaceAll(
                            "<[\\w:-]+(?:[^<>\"]|\"[^\"]*\")*\\sth:text=(?:[^<>\"]|\"[^\"]*\")*>[^<]*", "\u0000")
                    .replaceAll("<(?:[^<>\"]|\"[^\"]*\")*>", "\u0000");
            collect(between.matcher(texts.replace("\u0000", "\u0000\u0000")), 1, template, found);
            collect(attribute.matcher(html), 2, template, found);
        }
        assertEquals(List.of(), found);
    }

    /** Names, codes and numbers with a unit are no words. */
    private static final Pattern PLAIN = Pattern.compile(
            "(?i)[^\\p{L}]*(abbex|[A-Z]|LF|RF|RR|LR|openapi\\.json|Authorization: Bearer KEY|mm|in|\\d[\\d .,/x×R-]*( mm| in)?|225/45R17 91W|hatch 225/45R17)?[^\\p{L}]*");

    private static void collect(Matcher text, int group, Path file, List<String> found) {
        while (text.find()) {
            String said = text.group(group).replaceAll("\\[\\[.*?]]", "").replaceAll("\\s+", " ");
            if (!PLAIN.matcher(said).matches()) {
                found.add(file.getFileName() + ": " + said.strip());
            }
        }
    }

    /** Two words and a space in a script's text are a sentence; those come from the bundles. */
    @Test
    void scripts_hold_no_sentences() throws IOException {
        Pattern sentence = Pattern.compile("['`]([^'`\\n]*\\p{L}{3,} \\p{L}{2,}[^'`\\n]*)['`]");
        List<String> found = new ArrayList<>();
        for (Path script : files(Path.of("src/main/resources/static"), "js")) {
            for (String line : Files.readAllLines(script)) {
                Matcher text = sentence.matcher(line.replaceAll("//.*|/\\*.*?\\*/", ""));
                // A selector or a list of classes is none.
                while (text.find()) {
                    if (!text.group(1)
                            .matches(
                                    ".*[.#\\[:>].*|chosen|lasttick|.*BroadcastChannel.*|nothing to seal with|mark on|frac long|.*btn.*|form-urlencoded.*")) {
                        found.add(script.getFileName() + ": " + text.group(1));
                    }
                }
            }
        }
        assertEquals(List.of(), found);
    }

    /** The start command, the README and the page of keystrokes are read as well. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "abbex",
                "README.md",
                "scripts/machine.sh",
                "scripts/database.sh",
                "scripts/keep.sh",
                "scripts/reach.sh"
            })
    void what_is_read_outside_of_pages_keeps_the_rule(String file) throws IOException {
        // Of a script only what it prints.
        String text = Files.readString(ROOT.resolve(file))
                .lines()
                .filter(line -> file.endsWith(".md") || line.matches(".*\\b(say|fail|echo) .*|\\./abbex .*|      --.*"))
                .map(line -> line.replaceAll("\\$\\w+|\\$\\{[^}]*}|\\$\\([^)]*\\)", ""))
                .collect(Collectors.joining("\n"));
        assertEquals(List.of(), breaches(Path.of(file), text));
    }

    /** Every message that a template or a line of Java names in full is there. */
    @Test
    void every_key_that_is_asked_for_is_there() throws IOException {
        List<String> missing = new ArrayList<>();
        Pattern asked = Pattern.compile("#\\{([\\w.-]+)[}(]|messages\\.msg\\('([\\w.-]+[\\w-])'\\)");
        for (Path template : files(Path.of("src/main/resources/templates"), ".html")) {
            Matcher key = asked.matcher(Files.readString(template));
            while (key.find()) {
                String name = key.group(1) != null ? key.group(1) : key.group(2);
                if (!Said.bundles().keys().contains(name)) {
                    missing.add(template.getFileName() + ": " + name);
                }
            }
        }
        Pattern java = Pattern.compile("(?:words|say)\\s*\\.say\\(\\s*\"([\\w.-]+)\"\\s*[,)]");
        for (Path source : files(Path.of("src/main/java"), ".java")) {
            Matcher key = java.matcher(Files.readString(source));
            while (key.find()) {
                if (!Said.bundles().keys().contains(key.group(1))) {
                    missing.add(source.getFileName() + ": " + key.group(1));
                }
            }
        }
        assertEquals(List.of(), missing);
    }

    private static List<Path> files(Path folder, String ending) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(Files::isRegularFile)
                    .filter(f -> f.toString().endsWith(ending))
                    .filter(f -> !f.toString().contains("webjars"))
                    .sorted()
                    .toList();
        }
    }
}
