package abbex.app.facts;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Words for what goes into a sheet, formed when it is shown. */
@Component
public class FactWords {
    /** A change as it is shown. */
    public record Shown(String name, String was, String is) {}

    /** Parts of a fact have no names: messages call them by letters. */
    private static final String LETTERS = "abcdefgh";

    private final Words words;

    FactWords(Words words) {
        this.words = words;
    }

    /** What has changed between two makings of the sheet. */
    public List<Shown> changes(Facts was, Facts is, Reader reader) {
        List<Facts.Change> changes = is.since(was);
        // A sheet that is new is told as one, not reading by reading.
        Set<String> added = changes.stream()
                .filter(c -> c.kind() == Fact.Kind.STAGE && c.was().isEmpty())
                .map(c -> c.about().get(0))
                .collect(Collectors.toSet());
        return Stream.concat(
                        added.stream().sorted().map(seq -> added(seq, changes, is, reader)),
                        changes.stream()
                                .filter(c -> c.kind() != Fact.Kind.STAGE && !c.ofSheet(added)
                                        || c.kind() == Fact.Kind.STAGE
                                                && !added.contains(c.about().get(0)))
                                .map(c -> shown(c, was, is, reader)))
                .toList();
    }

    private Shown added(String seq, List<Facts.Change> changes, Facts is, Reader reader) {
        long readings = changes.stream()
                .filter(c -> c.kind() == Fact.Kind.READING || c.kind() == Fact.Kind.OWN_READING)
                .filter(c -> c.ofSheet(Set.of(seq)))
                .count();
        return new Shown(
                words.say("fact.sheet"),
                "—",
                words.say(
                        "fact.sheet.added", reader, "stage", stage(seq, is, is), "readings", Long.toString(readings)));
    }

    private Shown shown(Facts.Change c, Facts was, Facts is, Reader reader) {
        return new Shown(name(c.kind(), c.about(), was, is, reader), text(c.was(), reader), text(c.is(), reader));
    }

    private String name(Fact.Kind kind, List<String> about, Facts was, Facts is, Reader reader) {
        List<String> parts = new ArrayList<>();
        for (int i = 0; i < about.size(); i++) {
            String prefix = kind.about().get(i);
            String code = about.get(i);
            parts.add(LETTERS.substring(i, i + 1));
            parts.add(Fact.sheet(prefix) ? stage(code, was, is) : worded(prefix, code));
        }
        return words.say("fact." + kind, reader, parts.toArray());
    }

    /** A sheet by its stage; by its number where that was not kept. */
    private String stage(String seq, Facts was, Facts is) {
        return is.said(Fact.Kind.STAGE, List.of(seq))
                .or(() -> was.said(Fact.Kind.STAGE, List.of(seq)))
                .map(stage -> words.say("stage." + stage))
                .orElse(seq);
    }

    private String worded(String prefix, String code) {
        return prefix.isEmpty() || code.isEmpty() ? code : words.say(prefix + code);
    }

    private String text(Optional<Fact> fact, Reader reader) {
        if (fact.isEmpty()) {
            return "—";
        }
        Fact said = fact.get();
        int group = said.kind().says().size();
        List<String> answers = new ArrayList<>();
        for (int at = 0; at < said.says().size(); at += group) {
            List<String> parts = new ArrayList<>();
            for (int i = 0; i < group; i++) {
                parts.add(LETTERS.substring(i, i + 1));
                parts.add(worded(said.kind().says().get(i), said.says().get(at + i)));
            }
            answers.add(
                    group == 1 ? parts.get(1) : words.say("fact." + said.kind() + ".says", reader, parts.toArray()));
        }
        return String.join(" " + words.say("and") + " ", answers);
    }
}
