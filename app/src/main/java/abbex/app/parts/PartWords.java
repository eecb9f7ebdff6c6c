package abbex.app.parts;

import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.parts.Bill;
import abbex.core.parts.BillLine;
import abbex.core.vehicle.Whole;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A bill of parts in words. */
@Component
class PartWords {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    private final Words words;

    PartWords(Words words) {
        this.words = words;
    }

    /** @param log what was said of lines, in order */
    PartsPage page(
            Bill bill,
            List<PartLog.Entry> log,
            Bill.Job job,
            Map<String, Tools.From> told,
            List<ShelfLog.Item> shelf,
            LocalDate today,
            Reader reader) {
        Map<String, PartLog.Entry> last = new HashMap<>();
        log.stream()
                .filter(entry -> entry.what() != PartLog.What.NOTED)
                .forEach(entry -> last.put(entry.event().line(), entry));
        List<PartsPage.Group> groups = new ArrayList<>();
        for (BillLine.Why why : BillLine.Why.values()) {
            List<BillLine> lines =
                    bill.lines().stream().filter(line -> line.why() == why).toList();
            if (!lines.isEmpty()) {
                groups.add(new PartsPage.Group(
                        why.name(),
                        words.say("parts.why." + why, reader),
                        lines.stream()
                                .map(line -> line(line, last.get(line.key()), ShelfLog.of(shelf, line), today, reader))
                                .toList(),
                        lines.stream().filter(BillLine::missing).count() > 1));
            }
        }
        List<PartsPage.ToolView> tools = tools(job, told, reader);
        return new PartsPage(
                groups,
                summary(bill, today, reader),
                bill.missing().isEmpty(),
                tools,
                tools.stream()
                        .filter(tool -> tool.from().equals(Tools.From.OPEN.name()))
                        .map(PartsPage.ToolView::tool)
                        .toList());
    }

    private String summary(Bill bill, LocalDate today, Reader reader) {
        if (bill.lines().isEmpty()) {
            return words.say("parts.none", reader);
        }
        long open = bill.missing().size() - bill.awaited().size();
        List<String> says = new ArrayList<>();
        if (open > 0) {
            says.add(words.say(open == 1 ? "parts.open.one" : "parts.open", reader, "count", open));
        }
        if (!bill.awaited().isEmpty()) {
            says.add(waits(bill.awaited(), today, reader));
        }
        if (says.isEmpty()) {
            says.add(words.say("parts.ready", reader));
        }
        bill.landed()
                .ifPresent(all -> says.add(
                        words.say("parts.landed", reader, "amount", all.toPlainString(), "count", bill.priced())));
        return String.join(" ", says);
    }

    /** What is awaited, and the day on which the last of it comes. */
    String waits(List<BillLine> awaited, LocalDate today, Reader reader) {
        BillLine last = awaited.stream()
                .filter(line -> line.due().isPresent())
                .reduce((one, other) -> other)
                .orElse(awaited.get(0));
        String names = awaited.stream()
                .map(line -> name(line, reader))
                .distinct()
                .limit(2)
                .collect(Collectors.joining(", "));
        String what = awaited.size() > 2
                ? words.say("parts.more", reader, "names", names, "count", awaited.size() - 2)
                : names;
        return last.due()
                .map(day -> words.say(
                        day.isBefore(today) ? "parts.waits.late" : "parts.waits",
                        reader,
                        "what",
                        what,
                        "day",
                        DAY.format(day)))
                .orElseGet(() -> words.say("parts.waits.unset", reader, "what", what));
    }

    String name(BillLine line, Reader reader) {
        return line.own() ? line.kind() : words.say("part." + line.kind(), reader);
    }

    /** Its name and where it goes. */
    String called(BillLine line, Reader reader) {
        String place = line.place() == Whole.VEHICLE ? "" : ", " + words.word(line.place(), reader);
        return name(line, reader) + (line.thread().isEmpty() ? "" : " " + line.thread()) + place;
    }

    private PartsPage.LineView line(
            BillLine line,
            PartLog.@Nullable Entry last,
            Optional<ShelfLog.Item> shelf,
            LocalDate today,
            Reader reader) {
        return new PartsPage.LineView(
                line.key(),
                "l" + Integer.toHexString(line.key().hashCode()),
                line.count() + " × " + called(line, reader),
                switch (line.status()) {
                    case HERE, FITTED, ON_VEHICLE -> "clear";
                    case NOT_NEEDED -> "note";
                    case OPEN -> "open";
                    case AWAITED -> line.late(today) ? "look" : "open";
                },
                line.status() == BillLine.Status.OPEN
                        ? ""
                        : says(line, today, reader) + (last == null ? "" : ", " + last.by()),
                line.reason()
                        .map(finding -> words.finding(finding, reader).text())
                        .map(Numerals::html)
                        .orElse(""),
                last == null || last.what() == PartLog.What.ADDED || last.what() == PartLog.What.LISTED
                        ? ""
                        : last.text(),
                line.status() == BillLine.Status.FITTED || line.status() == BillLine.Status.ON_VEHICLE,
                line.status() == BillLine.Status.AWAITED
                        || line.status() == BillLine.Status.HERE
                        || line.status() == BillLine.Status.NOT_NEEDED,
                line.due().map(LocalDate::toString).orElse(null),
                shelf.map(item -> words.say(
                                item.count() < 0 ? "shelf.line.below" : "shelf.line",
                                reader,
                                "count",
                                Math.abs(item.count())))
                        .orElse(""),
                shelf.filter(item -> item.count() < 0).isPresent(),
                facts(line, reader));
    }

    private PartsPage.FactsView facts(BillLine line, Reader reader) {
        List<String> says = new ArrayList<>();
        if (!line.facts().number().isEmpty()) {
            says.add(words.say(
                    "parts.facts.number", reader, "number", line.facts().number()));
        }
        line.landed()
                .ifPresent(all -> says.add(words.say("parts.facts.landed", reader, "amount", all.toPlainString())));
        return new PartsPage.FactsView(
                line.facts().number(),
                line.facts().price().map(BigDecimal::toPlainString).orElse(""),
                line.facts().freight().map(BigDecimal::toPlainString).orElse(""),
                String.join(" · ", says));
    }

    private String says(BillLine line, LocalDate today, Reader reader) {
        String key = "parts.is." + line.status();
        return line.due()
                .map(day -> words.say(line.late(today) ? key + ".late" : key + ".day", reader, "day", DAY.format(day)))
                .orElseGet(() -> words.say(key, reader));
    }

    private List<PartsPage.ToolView> tools(Bill.Job job, Map<String, Tools.From> told, Reader reader) {
        return asked(job).stream()
                .map(tool -> {
                    Tools.From from = told.getOrDefault(tool, Tools.From.OPEN);
                    return new PartsPage.ToolView(
                            tool, from.name(), from == Tools.From.OPEN ? "" : words.say("parts.tool." + from, reader));
                })
                .toList();
    }

    /** What the steps of a card ask for, each once. */
    static List<String> asked(Bill.Job job) {
        return List.copyOf(job.card().steps().stream()
                .flatMap(step -> step.step().tools().stream())
                .collect(Collectors.toCollection(TreeSet::new)));
    }
}
