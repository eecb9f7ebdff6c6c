package abbex.app.handover;

import abbex.app.arrive.Job;
import abbex.app.arrive.VehicleFacts;
import abbex.app.fitment.FitmentPage;
import abbex.app.ground.GroundPage;
import abbex.app.ground.Stances;
import abbex.app.measure.JobSheets;
import abbex.app.measure.SheetData;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.UnitWords;
import abbex.app.page.Words;
import abbex.app.plan.PlannedText;
import abbex.app.plan.Tried;
import abbex.app.prove.Clearances;
import abbex.app.workcard.CardPage;
import abbex.app.workcard.Offers;
import abbex.core.figure.Figure;
import abbex.core.figure.Place;
import abbex.core.heights.Assessment;
import abbex.core.heights.BeforeAfter;
import abbex.core.heights.CornerDrop;
import abbex.core.heights.DropSheet;
import abbex.core.heights.EndDrop;
import abbex.core.heights.Height;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Way;
import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Places;
import abbex.core.vehicle.Seat;
import abbex.core.verdict.Found;
import abbex.core.verdict.JobVerdict;
import abbex.core.verdict.Station;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The drop sheet as one page shows it; every text is safe for a page.
 *
 * @param side the vehicle before and now; null where that is not known
 * @param verdict the judgement of the whole stay
 * @param planned what the plan said beside what was measured
 * @param torques every fastener with its figure, its source and what it was tightened to
 * @param offers what was found while it was open and offered
 * @param onward what comes after it
 * @param complete true when there is something to hand over
 */
public record SheetView(
        String plate,
        String vehicle,
        String kit,
        String promised,
        String odometer,
        List<Line> sheets,
        List<Big> heads,
        List<Row> rows,
        List<Points> points,
        List<Pair> sag,
        List<Pair> sides,
        List<Pair> diagonals,
        List<Pair> rake,
        List<Pair> gaps,
        FitmentPage wheels,
        List<Clearances.Proof> proofs,
        String alike,
        GroundPage ground,
        Stances.@Nullable SideView side,
        List<Words.Said> says,
        SheetVerdict verdict,
        PlannedText.Both planned,
        List<CardPage.LogRow> torques,
        Offers.All offers,
        Onward onward,
        boolean complete) {

    /**
     * What other stations have to say: wheels, what clears, how alike the gaps look, the ground, the vehicle from its side, and
     * the judgement of all.
     *
     * @param answers what was answered at handing over, by the key of what was found
     * @param back the day of the return; empty where there is none
     */
    record Parts(
            FitmentPage wheels,
            List<Clearances.Proof> proofs,
            String alike,
            GroundPage ground,
            Optional<Stances.SideView> side,
            JobVerdict verdict,
            Map<String, Handovers.Given> answers,
            PlannedText.Both planned,
            List<CardPage.LogRow> torques,
            Offers.All offers,
            Set<Station> looked,
            Onward onward) {}

    /** A sheet's stage, time and state. */
    public record Line(String stage, String when, String state) {}

    /** A main result. */
    public record Big(String name, String value, String uncertainty, List<String> how) {}

    /** A method at all four corners, in walking order. */
    public record Row(String method, String code, List<Cell> cells) {}

    /**
     * Points beyond the four-corner methods, those that are read at the same places together.
     *
     * @param places what heads the columns
     */
    public record Points(List<String> places, List<Row> rows) {}

    /** One method at one corner. */
    public record Cell(String before, String now, String drop, String uncertainty, boolean best, List<String> how) {}

    /** A figure before and now. */
    public record Pair(String name, String before, String now, String change, List<String> how) {}

    static SheetView of(Job job, JobSheets sheets, Assessment judged, Parts parts, Reader reader, Words words) {
        DropSheet drops = judged.drops();
        HeightSheet before = sheets.before().map(SheetData::heights).orElseGet(HeightSheet::empty);
        HeightSheet now = sheets.now().map(SheetData::heights).orElseGet(HeightSheet::empty);
        Maker make = new Maker(reader, words, judged, drops, job.vehicle().points());
        return new SheetView(
                job.vehicle().plate(),
                job.vehicle().name(),
                job.kit(),
                make.promised(job),
                job.odometer(),
                sheets.sheets().stream().map(make::line).toList(),
                make.heads(),
                make.rows(before, now),
                make.points(before, now),
                make.sag(),
                make.sides(),
                make.diagonals(),
                make.rake(),
                make.gaps(),
                parts.wheels(),
                parts.proofs(),
                parts.alike(),
                parts.ground(),
                parts.side().orElse(null),
                words.findings(
                        parts.verdict().found().stream()
                                .map(Found::finding)
                                .distinct()
                                .toList(),
                        reader),
                SheetVerdict.of(
                        parts.verdict(),
                        parts.answers(),
                        new SheetVerdict.Records(parts.looked(), make.more(parts)),
                        reader,
                        words),
                parts.planned(),
                parts.torques(),
                parts.offers(),
                parts.onward(),
                !drops.points().isEmpty()
                        || drops.corners().values().stream()
                                .anyMatch(c -> !c.byMethod().isEmpty()));
    }

    /** Forms the texts of one sheet for one reader. */
    private record Maker(
            Reader reader, Words words, Assessment judged, DropSheet drops, VehicleFacts.FramePoints points) {
        /** As the box says it, not as it comes out in the reader's unit. */
        String promised(Job job) {
            return job.promises().entrySet().stream()
                    .sorted(Comparator.comparingInt(e -> Places.MEASURED.indexOf(e.getKey())))
                    .map(e -> words.word(e.getKey(), reader) + " "
                            + Numerals.html(Numerals.typed(e.getValue().text())))
                    .collect(Collectors.joining(", "));
        }

        /** Torques, lamps and trials: what was recorded of each, or that nobody looked. */
        List<SheetVerdict.Looked> more(Parts parts) {
            List<SheetVerdict.Looked> more = new ArrayList<>();
            String torque = parts.torques().isEmpty()
                    ? "open"
                    : parts.torques().stream().allMatch(row -> row.mark().equals("clear")) ? "clear" : "look";
            more.add(looked("sheet.torque", torque, words.say("severity." + torque.toUpperCase(Locale.ROOT))));
            String lamps = parts.onward().systems().isEmpty() ? "open" : "clear";
            more.add(looked("sheet.lamps", lamps, words.say("severity." + lamps.toUpperCase(Locale.ROOT))));
            parts.planned().tried().stream()
                    .filter(Tried.Column::stays)
                    .findFirst()
                    .ifPresent(stays -> more.add(looked(
                            "sheet.trials", "clear", words.say("sheet.trials.stays", reader, "kit", stays.name()))));
            return more;
        }

        private SheetVerdict.Looked looked(String name, String mark, String word) {
            return new SheetVerdict.Looked(words.say(name), mark, word);
        }

        Line line(SheetData sheet) {
            return new Line(
                    words.say("stage." + sheet.stage()),
                    reader.full(sheet.row().madeAt()),
                    String.join(", ", sheet.said(words::say)));
        }

        List<Big> heads() {
            List<Big> heads = new ArrayList<>();
            for (End end : End.values()) {
                EndDrop drop = drops.ends().get(end);
                if (drop.uneven()) {
                    // Their mean would be the drop of neither.
                    Stream.of(end.left(), end.right())
                            .forEach(corner -> drops.corners()
                                    .get(corner)
                                    .best()
                                    .ifPresent(f -> heads.add(big(Words.capital(words.word(corner, reader)), f))));
                } else {
                    drop.drop().ifPresent(f -> heads.add(big(Words.capital(words.say("end." + end)), f)));
                }
            }
            Optional.ofNullable(drops.points().get(MeasuringPoint.of(Seat.SEAT, PointMethod.SEAT)))
                    .ifPresent(
                            f -> heads.add(1 > heads.size() ? 0 : 1, big(Words.capital(words.say("wheel.seat")), f)));
            Optional<Figure<Angle>> angle =
                    drops.rake().after().or(() -> drops.rake().before());
            angle.ifPresent(a -> heads.add(new Big(
                    words.say(drops.rake().after().isPresent() ? "sheet.rake.angle" : "sheet.rake.angle.arrived"),
                    UnitWords.degrees(a.value()),
                    "",
                    lines(words.reason(a.reason(), reader)))));
            return heads;
        }

        private Big big(String name, Figure<Estimate> f) {
            List<String> how = new ArrayList<>(words.reason(f.reason(), reader));
            how.add(words.say(
                    "reason.uncertainty",
                    reader,
                    "expanded",
                    f.value().expanded(),
                    "k",
                    String.format(
                            java.util.Locale.ROOT,
                            "%.3g",
                            f.value().uncertainty().coverageFactor(0.95))));
            return new Big(
                    name, Numerals.html(Numerals.drop(f.value().value(), reader)), uncertainty(f.value()), lines(how));
        }

        /** The four-corner methods, then the points that lie at corners. */
        List<Row> rows(HeightSheet before, HeightSheet now) {
            return Stream.concat(
                            Stream.of(Method.values())
                                    .filter(m -> before.has(m) || now.has(m))
                                    .map(m -> row(m, before, now)),
                            ways(before, now)
                                    .filter(way -> Corner.WALK.containsAll(way.places()))
                                    .map(way -> row(way, List.copyOf(Corner.WALK), before, now)))
                    .toList();
        }

        private static Stream<PointMethod> ways(HeightSheet before, HeightSheet now) {
            return PointMethod.inOrder(Stream.of(before, now)
                            .flatMap(s -> s.points().keySet().stream())
                            .map(spot -> (PointMethod) spot.way())
                            .toList())
                    .stream();
        }

        /** Other points; those that are read at the same places make one table, and a motorcycle's share one. */
        List<Points> points(HeightSheet before, HeightSheet now) {
            List<Place> machine = List.of(End.FRONT, Seat.SEAT, End.REAR);
            Map<List<Place>, List<Row>> tables = new LinkedHashMap<>();
            ways(before, now)
                    .filter(way -> !Corner.WALK.containsAll(way.places()))
                    .forEach(way -> {
                        List<Place> places = machine.containsAll(way.places()) ? machine : way.places();
                        tables.computeIfAbsent(places, p -> new ArrayList<>()).add(row(way, places, before, now));
                    });
            return tables.entrySet().stream()
                    .map(t -> new Points(
                            t.getKey().stream()
                                    .map(p -> Words.capital(words.word(p, reader)))
                                    .toList(),
                            t.getValue()))
                    .toList();
        }

        private Row row(PointMethod way, List<Place> places, HeightSheet before, HeightSheet now) {
            return new Row(
                    Words.capital(words.word(way, reader)),
                    way.code(),
                    places.stream()
                            .map(place -> {
                                MeasuringPoint spot = MeasuringPoint.of(place, way);
                                Figure<Estimate> drop = drops.points().get(spot);
                                return cell(
                                        way,
                                        before.at(spot),
                                        now.at(spot),
                                        drop,
                                        false,
                                        drop == null ? List.of() : lines(words.reason(drop.reason(), reader)));
                            })
                            .toList());
        }

        List<Pair> sag() {
            List<Pair> pairs = new ArrayList<>();
            drops.sag().values().forEach(sag -> {
                if (!sag.own().isEmpty()) {
                    pairs.add(pair(Words.capital(words.say("sheet.sag.own", reader, "end", sag.end())), sag.own()));
                }
                if (!sag.ridden().isEmpty()) {
                    pairs.add(
                            pair(Words.capital(words.say("sheet.sag.ridden", reader, "end", sag.end())), sag.ridden()));
                }
            });
            return pairs;
        }

        Row row(Method method, HeightSheet before, HeightSheet now) {
            return new Row(
                    Words.capital(words.say("method." + method)),
                    method.name(),
                    Corner.WALK.stream()
                            .map(c -> cell(
                                    method,
                                    before.at(c, method),
                                    now.at(c, method),
                                    drops.corners().get(c)))
                            .toList());
        }

        private Cell cell(Method method, Optional<Height> before, Optional<Height> now, CornerDrop corner) {
            Figure<Estimate> drop = corner.byMethod().get(method);
            return cell(
                    method,
                    before,
                    now,
                    drop,
                    corner.bestMethod().filter(m -> m == method).isPresent(),
                    drop == null ? List.of() : lines(how(drop, corner.corner(), method)));
        }

        private Cell cell(
                Way way,
                Optional<Height> before,
                Optional<Height> now,
                @Nullable Figure<Estimate> drop,
                boolean best,
                List<String> how) {
            return new Cell(
                    before.map(this::reading).orElse(""),
                    now.map(this::reading).orElse(""),
                    drop == null
                            ? ""
                            : Numerals.html(Numerals.moved(way, drop.value().value(), reader)),
                    drop == null ? "" : uncertainty(drop.value()),
                    best,
                    how);
        }

        /** How a drop came about, and what all readings together say of it. */
        private List<String> how(Figure<Estimate> drop, Corner corner, Method method) {
            List<String> how = new ArrayList<>(words.reason(drop.reason(), reader));
            judged.adjusted(corner, method).ifPresent(all -> how.add(words.say("adjusted", reader, "all", all)));
            return how;
        }

        /** A single reading is shown as it was read; a mean in the reader's unit. */
        private String reading(Height height) {
            return Numerals.html(
                    height.readings().size() == 1
                            ? Numerals.reading(height.readings().get(0).tape())
                            : Numerals.text(height.read(), reader));
        }

        List<Pair> sides() {
            List<Pair> pairs = new ArrayList<>();
            for (End end : End.values()) {
                drops.ends()
                        .get(end)
                        .leftRight()
                        .forEach((method, both) -> pairs.add(pair(
                                Words.capital(words.say("sheet.side", reader, "end", end, "method", method)), both)));
            }
            return pairs;
        }

        List<Pair> diagonals() {
            return drops.diagonals().entrySet().stream()
                    .map(e -> pair(Words.capital(words.say("method." + e.getKey())), e.getValue()))
                    .toList();
        }

        List<Pair> rake() {
            List<Pair> rakes = new ArrayList<>();
            if (!drops.rake().height().isEmpty()) {
                rakes.add(withRake(pair(rakeName(), drops.rake().height())));
            }
            drops.rakes()
                    .forEach((way, both) ->
                            rakes.add(pair(Words.capital(words.say("sheet.rake.of", reader, "way", way)), both)));
            return List.copyOf(rakes);
        }

        private Pair withRake(Pair pair) {
            List<String> how = new ArrayList<>(pair.how());
            judged.rakeChange()
                    .ifPresent(all -> how.add(Numerals.html(words.say("adjusted.rake", reader, "all", all))));
            return new Pair(pair.name(), pair.before(), pair.now(), pair.change(), how);
        }

        /** Between which points, where somebody named them. */
        private String rakeName() {
            return points.front().isEmpty() || points.rear().isEmpty()
                    ? words.say("sheet.rake")
                    : words.say("sheet.rake.points", reader, "rear", points.rear(), "front", points.front());
        }

        List<Pair> gaps() {
            return drops.corners().values().stream()
                    .filter(c -> !c.gap().isEmpty())
                    .map(c -> pair(Words.capital(words.say("corner." + c.corner())), c.gap()))
                    .toList();
        }

        private Pair pair(String name, BeforeAfter both) {
            List<String> how = both.after()
                    .or(both::before)
                    .map(f -> lines(words.reason(f.reason(), reader)))
                    .orElse(List.of());
            return new Pair(
                    Numerals.html(name),
                    value(both.before()),
                    value(both.after()),
                    both.change()
                            .map(f -> value(both.change()) + " " + uncertainty(f.value()))
                            .orElse(""),
                    how);
        }

        private String value(Optional<Figure<Estimate>> figure) {
            return figure.map(f -> Numerals.html(Numerals.text(f.value().value(), reader)))
                    .orElse("");
        }

        private String uncertainty(Estimate estimate) {
            return Numerals.html("± " + Numerals.uncertainty(estimate.expanded(), reader));
        }

        private static List<String> lines(List<String> plain) {
            return plain.stream().map(Numerals::html).toList();
        }
    }
}
