package abbex.app.handover;

import abbex.app.arrive.Job;
import abbex.app.drawing.LeavesDrawing;
import abbex.app.drawing.Outline;
import abbex.app.form.Form;
import abbex.app.page.Words;
import abbex.app.state.VehicleStates;
import abbex.app.store.Sha256;
import abbex.app.verdict.JobVerdicts;
import abbex.core.figure.Place;
import abbex.core.heights.MeasuringPoint;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.verdict.Found;
import abbex.core.verdict.JobVerdict.Answer;
import abbex.core.verdict.Station;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What holds a vehicle in the shop and what is answered before it leaves; those that are alike are asked about once. */
@Component
class Leaving {
    private static final int SHOWN = 16;

    private final JobVerdicts verdicts;
    private final VehicleStates states;
    private final Words words;

    Leaving(JobVerdicts verdicts, VehicleStates states, Words words) {
        this.verdicts = verdicts;
        this.states = states;
        this.words = words;
    }

    /** Something found, with its number in the drawing and where it is seen to. */
    public record Line(int number, Words.Said said, String link) {}

    /**
     * Things that are alike.
     *
     * @param field name of the choice; that of the reason has {@code _why} behind it
     * @param seen tells whether the same things were on the page that was answered
     * @param choices how they may be answered
     */
    public record Group(
            String field,
            String seen,
            boolean stop,
            String mark,
            List<Line> lines,
            List<Answer> choices,
            String chosen,
            String why) {}

    /** The page: what holds it, what is answered, what was not looked at. */
    public record View(LeavesDrawing drawing, List<Group> holds, List<Group> asked, List<Line> open) {}

    /** Those that one answer is for. */
    static List<List<Found>> alike(List<Found> found) {
        Map<String, List<Found>> groups = new LinkedHashMap<>();
        found.forEach(
                f -> groups.computeIfAbsent(f.station() + "." + f.finding().code(), key -> new ArrayList<>())
                        .add(f));
        return List.copyOf(groups.values());
    }

    static String field(List<Found> group) {
        Found first = group.get(0);
        String key = group.size() == 1
                ? first.key()
                : first.station() + "." + first.finding().code();
        return "answer-" + key.replaceAll("[^A-Za-z0-9]+", "-");
    }

    static String why(List<Found> group) {
        return field(group) + "_why";
    }

    static String seenField(List<Found> group) {
        return "seen-" + field(group);
    }

    static String seen(List<Found> group) {
        return Sha256.hex(group.stream().map(Found::key).sorted().collect(Collectors.joining(" ")))
                .substring(0, SHOWN);
    }

    View view(Job job, List<Found> asked, Map<String, Handovers.Given> before, Form form) {
        List<Group> groups = new ArrayList<>();
        List<LeavesDrawing.Said> drawn = new ArrayList<>();
        int number = 0;
        for (List<Found> alike : alike(asked)) {
            List<Line> lines = new ArrayList<>();
            for (Found found : alike) {
                number++;
                lines.add(line(job, found, number, form));
                drawn.add(drawn(found, number, alike.get(0).stop() ? "stop" : "look"));
            }
            groups.add(group(alike, lines, before, form));
        }
        List<Line> open = new ArrayList<>();
        for (List<Found> unlooked : verdicts.of(job).open().values()) {
            for (Found found : unlooked) {
                if (!found.toAnswer()) {
                    number++;
                    open.add(line(job, found, number, form));
                    drawn.add(drawn(found, number, "open"));
                }
            }
        }
        return new View(
                LeavesDrawing.of(
                        Outline.of(job.vehicle().shape().name().toLowerCase(java.util.Locale.ROOT)),
                        states.now(job).open(),
                        drawn),
                groups.stream().filter(Group::stop).toList(),
                groups.stream().filter(g -> !g.stop()).toList(),
                open);
    }

    private Line line(Job job, Found found, int number, Form form) {
        return new Line(number, words.finding(found.finding(), form.reader()), verdicts.link(job, found));
    }

    private static LeavesDrawing.Said drawn(Found found, int number, String mark) {
        return new LeavesDrawing.Said(number, mark, end(found.finding().place()), found.station() == Station.GROUND);
    }

    private static Optional<End> end(Place place) {
        if (place instanceof End end) {
            return Optional.of(end);
        }
        if (place instanceof Corner corner) {
            return Optional.of(corner.end());
        }
        if (place instanceof MeasuringPoint spot) {
            return end(spot.place());
        }
        return Stream.of(Corner.values())
                .filter(corner -> place.code().startsWith(corner.name() + "."))
                .map(Corner::end)
                .findFirst();
    }

    /** What was answered for it last stands there, and is still to be sent by hand. */
    private static Group group(List<Found> alike, List<Line> lines, Map<String, Handovers.Given> before, Form form) {
        Found first = alike.get(0);
        Handovers.Given last = before.get(first.key());
        return new Group(
                field(alike),
                seen(alike),
                first.stop(),
                lines.get(0).said().mark(),
                lines,
                Stream.of(Answer.values()).filter(a -> a.fits(first)).toList(),
                form.text(field(alike), last == null ? "" : last.answer().name()),
                form.text(why(alike), last == null ? "" : last.reason()));
    }
}
