package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.figure.Figure;
import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.figure.Severity;
import abbex.core.heights.Asked;
import abbex.core.heights.Assessment;
import abbex.core.heights.DropSheet;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Round;
import abbex.core.units.Estimate;
import abbex.core.vehicle.End;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What a job needs next, as far as its heights tell. */
@Component
class NextAct {
    private final Words words;

    NextAct(Words words) {
        this.words = words;
    }

    Progress of(Job job, JobSheets sheets, Assessment judged, Reader reader) {
        DropSheet drop = judged.drops();
        HeightSheet before = sheets.before().map(SheetData::heights).orElseGet(HeightSheet::empty);
        Optional<HeightSheet> now = sheets.now().map(SheetData::heights);
        List<Round> rounds = sheets.rounds(job.vehicle());
        int readings =
                sheets.sheets().stream().mapToInt(s -> s.current().size()).sum();
        String summary = summary(drop, reader);
        Optional<Finding> worst = drop.findings().stream()
                .filter(f -> f.severity().compareTo(Severity.NOTE) > 0)
                .findFirst();
        String mark = worst.isPresent() ? "look" : readings == 0 ? "open" : "";
        String detail = worst.map(f -> words.finding(f, reader).title()).orElse(summary);
        if (before.isEmpty()) {
            return new Progress("", words.say("next.arrived"), "measure", job.kit(), "open", readings, false);
        }
        Optional<Act> again = again(sheets, judged, reader);
        if (again.isPresent()) {
            return new Progress(summary, again.get().text(), again.get().path(), detail, "look", readings, false);
        }
        Optional<Act> left = missing(before, before, rounds, reader);
        if (now.isEmpty() || now.get().isEmpty()) {
            Act act = left.isPresent() && now.isEmpty()
                    ? left.get()
                    : now.isEmpty() ? new Act(words.say("next.fit"), "fit") : new Act(words.say("next.now"), "measure");
            return new Progress(
                    summary, act.text(), act.path(), worst.isPresent() ? detail : job.kit(), mark, readings, false);
        }
        Optional<Act> toRead = missing(before, now.get(), rounds, reader);
        if (toRead.isPresent()) {
            return new Progress(summary, toRead.get().text(), toRead.get().path(), detail, mark, readings, false);
        }
        return new Progress(
                summary,
                words.say(worst.isPresent() ? "next.look" : "next.handover"),
                worst.isPresent() ? "measure" : "sheet",
                detail,
                worst.isPresent() ? mark : "clear",
                readings,
                true);
    }

    /**
     * A doubt is settled before anything else while the tape is still at hand: by the height that tells which of several it is,
     * else by the suspicious reading of the newest sheet.
     */
    private Optional<Act> again(JobSheets sheets, Assessment judged, Reader reader) {
        int newest = sheets.sheets().size() - 1;
        if (judged.settling().isPresent()) {
            Asked asked = judged.settling().get();
            return Optional.of(act(asked.repeat() ? "next.repeat" : "next.settle", asked.spot(), reader));
        }
        return judged.suspects().stream()
                .filter(s -> s.sheet() == newest)
                .findFirst()
                .map(s -> act("next.again", s.spot(), reader));
    }

    /** An act, and where it is done. */
    private record Act(String text, String path) {}

    private Act act(String key, MeasuringPoint spot, Reader reader) {
        return new Act(words.say(key, reader, "place", spot.place(), "way", spot.way()), JobSheets.path(spot));
    }

    /** The first spot in walking order that is still to read, of a round that is begun on the sheet if there is one. */
    private Optional<Act> missing(HeightSheet before, HeightSheet sheet, List<Round> rounds, Reader reader) {
        return rounds.stream()
                .filter(round -> round.read(before) > 0)
                .sorted(Comparator.comparing(round -> round.read(sheet) == 0))
                .flatMap(round -> round.spots().stream()
                        .filter(spot -> before == sheet || before.at(spot).isPresent())
                        .filter(spot -> sheet.at(spot).isEmpty())
                        .map(spot -> act("next.spot", spot, reader)))
                .findFirst();
    }

    /** Per end, its sides apart where they came down unlike each other. */
    private String summary(DropSheet drop, Reader reader) {
        return Stream.of(End.values())
                .flatMap(end -> drop.ends().get(end).uneven()
                        ? Stream.of(end.left(), end.right())
                                .map(corner ->
                                        told(corner, drop.corners().get(corner).best(), reader))
                        : Stream.of(told(end, drop.ends().get(end).drop(), reader)))
                .flatMap(Optional::stream)
                .collect(Collectors.joining(", "));
    }

    private Optional<String> told(Place place, Optional<Figure<Estimate>> drop, Reader reader) {
        return drop.map(
                f -> words.word(place, reader) + " " + Numerals.drop(f.value().value(), reader));
    }
}
