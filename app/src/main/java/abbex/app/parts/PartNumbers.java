package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.facts.Fact;
import abbex.app.page.Reader;
import abbex.core.parts.BillLine;
import abbex.core.vehicle.Whole;
import java.util.List;
import org.springframework.stereotype.Service;

/** Serial and warranty numbers of a stay's parts, which are hidden once they are fitted: a public service of the package. */
@Service
public class PartNumbers {
    private final PartLog log;
    private final PartWords words;

    PartNumbers(PartLog log, PartWords words) {
        this.log = log;
        this.words = words;
    }

    /** A part by its name and where it goes, and its number as it was written down. */
    public record Numbered(String part, String number) {}

    /** In the order of the bill. */
    public List<Numbered> of(Job job, Reader reader) {
        return lines(job).stream()
                .map(line ->
                        new Numbered(words.called(line, reader), line.facts().number()))
                .toList();
    }

    /** The same in codes. */
    public List<Fact> facts(Job job) {
        return lines(job).stream()
                .map(line -> Fact.of(
                        Fact.Kind.NUMBER,
                        List.of(
                                line.own() ? "" : line.kind(),
                                line.own() ? line.kind() : "",
                                line.place() == Whole.VEHICLE
                                        ? ""
                                        : line.place().code()),
                        Fact.line(line.facts().number())))
                .toList();
    }

    private List<BillLine> lines(Job job) {
        boolean none = log.entries(job).stream().noneMatch(entry -> entry.what() == PartLog.What.NOTED);
        return none
                ? List.of()
                : log.bill(job).lines().stream()
                        .filter(line -> !line.facts().number().isEmpty())
                        .toList();
    }
}
