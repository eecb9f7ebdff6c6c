package abbex.app.handover;

import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.verdict.Found;
import abbex.core.verdict.JobVerdict;
import abbex.core.verdict.Station;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The judgement of the stay as its sheet shows it; every text is safe for a page.
 *
 * @param first the first line of all
 * @param stations how each station stands
 * @param watch what is to be watched: what was still found, and how somebody answered for it when the sheet left
 */
public record SheetVerdict(First first, List<Looked> stations, List<Watch> watch) {
    /** The sheet's first line: the judgement of the whole stay. */
    public record First(String mark, String word, String text) {}

    /** How a station stands, in a word: what the customer reads. */
    public record Looked(String station, String mark, String word) {}

    /** Something that is still found, and how somebody answered for it; empty while nobody did. */
    public record Watch(Words.Said said, String answer) {}

    static SheetVerdict of(JobVerdict verdict, Map<String, Handovers.Given> answers, Reader reader, Words words) {
        Maker make = new Maker(verdict, answers, reader, words);
        return new SheetVerdict(make.first(), make.stations(), make.watch());
    }

    /** A sheet has heights, whatever more could be read of them. */
    private static boolean maybeUnseen(Station station) {
        return station != Station.HEIGHTS;
    }

    /** Forms the texts for one reader. */
    private record Maker(JobVerdict verdict, Map<String, Handovers.Given> answers, Reader reader, Words words) {
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

        private List<Looked> stations() {
            return Stream.of(Station.values())
                    .filter(station ->
                            station.always() || verdict.worst(station).isPresent())
                    .map(station -> {
                        String mark = verdict.worst(station)
                                .map(worst -> worst.toAnswer()
                                        ? words.finding(worst.finding(), reader).mark()
                                        : maybeUnseen(station) && verdict.open().containsKey(station)
                                                ? "open"
                                                : "clear")
                                .orElse(maybeUnseen(station) ? "open" : "clear");
                        return new Looked(
                                Words.capital(words.say("station." + station)),
                                mark,
                                words.say("severity." + mark.toUpperCase(Locale.ROOT)));
                    })
                    .toList();
        }

        private List<Watch> watch() {
            return verdict.toAnswer().stream()
                    .map(found -> new Watch(
                            words.finding(found.finding(), reader),
                            Optional.ofNullable(answers.get(found.key()))
                                    .map(this::answer)
                                    .orElse("")))
                    .toList();
        }

        private String answer(Handovers.Given given) {
            String said = words.say("answer." + given.answer());
            return Numerals.html(
                    given.reason().isEmpty()
                            ? said
                            : words.say("answer.given", reader, "answer", said, "reason", given.reason()));
        }
    }
}
