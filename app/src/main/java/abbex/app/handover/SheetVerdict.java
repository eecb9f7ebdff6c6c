package abbex.app.handover;

import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.verdict.Found;
import abbex.core.verdict.JobVerdict;
import abbex.core.verdict.Station;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * The judgement of the stay as its sheet shows it; every text is safe for a page.
 *
 * @param first the first line of all
 * @param stations how each station stands
 * @param watch what the customer is to watch, and how somebody answered for it when the sheet left
 */
public record SheetVerdict(First first, List<Looked> stations, List<Watch> watch) {
    /** The stations two in a row, as they stand on paper. */
    public List<List<Looked>> pairs() {
        return IntStream.range(0, (stations.size() + 1) / 2)
                .mapToObj(row -> stations.subList(2 * row, Math.min(stations.size(), 2 * row + 2)))
                .toList();
    }

    /** The sheet's first line: the judgement of the whole stay. */
    public record First(String mark, String word, String text) {}

    /** How a station stands, in a word: what the customer reads. */
    public record Looked(String station, String mark, String word) {}

    /**
     * Something that is still found.
     *
     * @param text for the customer; empty where the title says it
     * @param answer how somebody answered for it; empty while nobody did
     */
    public record Watch(Words.Said said, String text, String answer) {}

    /**
     * What was looked at, beside what stations found.
     *
     * @param stations those of which something was recorded
     * @param more what has a line of its own: torques, lamps and sensors, trials
     */
    record Records(Set<Station> stations, List<Looked> more) {}

    static SheetVerdict of(
            JobVerdict verdict, Map<String, Handovers.Given> answers, Records records, Reader reader, Words words) {
        Maker make = new Maker(verdict, answers, records, reader, words);
        return new SheetVerdict(make.first(), make.stations(), make.watch());
    }

    /** Forms the texts for one reader. */
    private record Maker(
            JobVerdict verdict, Map<String, Handovers.Given> answers, Records records, Reader reader, Words words) {
        /** A stop is said before anything else, and nothing is called in order that was not looked at. */
        private First first() {
            List<Found> asked = verdict.toAnswer();
            if (asked.isEmpty()) {
                List<String> open = stations().stream()
                        .filter(looked -> looked.mark().equals("open"))
                        .map(looked -> Words.small(looked.station()))
                        .toList();
                return open.isEmpty()
                        ? new First("clear", words.say("severity.CLEAR"), words.say("verdict.clear"))
                        : new First(
                                "open",
                                words.say("severity.OPEN"),
                                words.say("verdict.open", reader, "stations", words.list(open, reader)));
            }
            Words.Said worst = words.finding(asked.get(0).finding(), reader);
            String more = asked.size() == 1
                    ? ""
                    : " "
                            + (asked.size() == 2
                                    ? words.say("verdict.more.one")
                                    : words.say("verdict.more", reader, "many", Integer.toString(asked.size() - 1)));
            String answered = answers.isEmpty() ? "" : " " + words.say("verdict.answered");
            return new First(
                    worst.mark(),
                    worst.word(),
                    Numerals.html(
                            words.say("verdict." + worst.mark(), reader, "worst", worst.title()) + more + answered));
        }

        /** Each in a line: what was found, that it is in order, or that nobody looked. */
        private List<Looked> stations() {
            List<Looked> all = new ArrayList<>();
            for (Station station : Station.values()) {
                if (station.always() || verdict.worst(station).isPresent()) {
                    String mark = mark(station);
                    all.add(new Looked(
                            Words.capital(words.say("station." + station)),
                            mark,
                            words.say("severity." + mark.toUpperCase(Locale.ROOT))));
                }
            }
            all.addAll(records.more());
            return all;
        }

        private String mark(Station station) {
            Optional<Found> worst = verdict.worst(station).filter(Found::toAnswer);
            if (worst.isPresent()) {
                return words.finding(worst.get().finding(), reader).mark();
            }
            boolean open = !records.stations().contains(station)
                    || station != Station.HEIGHTS && verdict.open().containsKey(station);
            return open ? "open" : "clear";
        }

        /** A reading that is asked about, or a sheet's stage, is the shop's own business. */
        private List<Watch> watch() {
            return verdict.toAnswer().stream()
                    .filter(found -> found.stop()
                            || !OURS.contains(found.station())
                            || words.customer(found.finding(), reader).isPresent())
                    .map(found -> new Watch(
                            words.finding(found.finding(), reader),
                            words.customer(found.finding(), reader)
                                    .map(Numerals::html)
                                    .orElse(""),
                            Optional.ofNullable(answers.get(found.key()))
                                    .map(this::answer)
                                    .orElse("")))
                    .toList();
        }

        private static final Set<Station> OURS = EnumSet.of(Station.HEIGHTS, Station.SET, Station.FIT, Station.ARRIVE);

        private String answer(Handovers.Given given) {
            String said = words.say("answer." + given.answer());
            return Numerals.html(
                    given.reason().isEmpty()
                            ? said
                            : words.say("answer.given", reader, "answer", said, "reason", given.reason()));
        }
    }
}
