package abbex.app.measure;

import abbex.app.arrive.VehicleFacts;
import abbex.app.drawing.ArchDrawing;
import abbex.app.drawing.Elevation;
import abbex.app.drawing.MotorcycleDrawing;
import abbex.app.drawing.RoundIcon;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.store.Ids;
import abbex.core.figure.Figure;
import abbex.core.figure.Place;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.Outlier;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Round;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.VehicleKind;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The walk round the vehicle as one page shows it.
 *
 * @param keep what keeps the choice of the compared sheet in an address
 * @param round the code of what is read in this walk
 * @param chips what else may be read: one round after the other, or place by place
 * @param turn from the one to the other
 * @param next the round to go on with after this walk; null when nothing is left that was begun
 */
public record Walk(
        UUID job,
        UUID sheet,
        String keep,
        String round,
        List<Chip> chips,
        Turn turn,
        List<Arch> arches,
        @Nullable String next) {
    /** Near where a point lies that a shop named, before anybody read it. */
    private static final Length SOMEWHERE = Length.ofInches(10, 0, 1);

    /** On a first sheet these are worth going on with; the others are there for who wants them. */
    private static final Set<String> USUAL = Set.of("GF", "HF", "FG", "CABBED", "BIKE");

    /** What keeps the choice of the compared sheet behind an address that has nothing else asked. */
    public String query() {
        return keep.isEmpty() ? "" : "?" + keep.substring(1);
    }

    /** Where a reading is sent. */
    public String takes() {
        return address("readings");
    }

    /** Where the last act is taken back. */
    public String undoes() {
        return address("undo");
    }

    private String address(String act) {
        return "/jobs/" + job + "/sheets/" + sheet + "/" + act + query();
    }

    /** More than one way to measure, or other places than the corners: each head says both. */
    public boolean mixed() {
        return !arches.stream().allMatch(a -> a.spot().atCorner())
                || arches.stream().map(Arch::way).distinct().count() > 1;
    }

    /** The other order to read in, and where it begins. */
    public record Turn(String code, String name, String how) {}

    /** A round to choose. */
    public record Chip(String code, String name, String how, boolean chosen, int read, int of, RoundIcon icon) {}

    /** A text that was not taken, to be shown again with its reason. */
    record Refusal(MeasuringPoint spot, String text, String problem, String offer) {}

    /** The walk that nothing was refused on; what is sent from it has an id of its own each time. */
    static Walk of(MeasurePages.Opened o, Round round, UUID me, Reader reader, Words words) {
        Walk walk = o.shown(List.of(Walk.class, round, me, reader), () -> of(o, round, me, reader, words, null));
        return new Walk(
                walk.job,
                walk.sheet,
                walk.keep,
                walk.round,
                walk.chips,
                walk.turn,
                walk.arches.stream().map(Arch::again).toList(),
                walk.next);
    }

    static Walk of(MeasurePages.Opened o, Round round, UUID me, Reader reader, Words words, @Nullable Refusal refusal) {
        Maker make = new Maker(o, round, me, reader, words, refusal);
        return new Walk(
                o.job().id(),
                o.sheet().row().id(),
                o.keep(),
                round.code(),
                (round.atPlace() ? o.placeByPlace() : o.rounds())
                        .stream().map(make::chip).toList(),
                make.turn(),
                round.spots().stream().map(make::arch).toList(),
                make.next());
    }

    /** Forms one walk for one reader. */
    private record Maker(
            MeasurePages.Opened o,
            Round round,
            UUID me,
            Reader reader,
            Words words,
            @Nullable Refusal refusal) {
        private HeightSheet here() {
            return o.sheet().heights();
        }

        @Nullable
        private HeightSheet before() {
            return o.compared() ? o.base().heights() : null;
        }

        Chip chip(Round one) {
            MeasuringPoint first = one.spots().get(0);
            String name;
            String how;
            if (one.atPlace()) {
                name = brief(first.place());
                how = words.say("round.at", reader, "place", first.place());
            } else if (first.way() instanceof PointMethod way && way.named()) {
                name = way.name();
                how = words.say("round.own", reader, "name", way);
            } else {
                String key = (first.way().code().equals(one.code()) ? "method." : "round.") + one.code();
                name = words.say(key);
                how = words.say(key + ".how");
            }
            return new Chip(
                    one.code(),
                    name,
                    how,
                    one.code().equals(round.code()),
                    one.read(here()),
                    one.spots().size(),
                    RoundIcon.of(one.code(), o.job().vehicle().kind().singleTrack()));
        }

        /** Begins where something of that order is still to read. */
        Turn turn() {
            List<Round> other = round.atPlace() ? o.rounds() : o.placeByPlace();
            String code = round.atPlace()
                    ? MeasurePages.chosen(o, null).code()
                    : other.stream()
                            .filter(r -> !MeasurePages.done(r, here(), before()))
                            .findFirst()
                            .orElse(other.get(0))
                            .code();
            String key = round.atPlace() ? "round.methods" : "round.places";
            return new Turn(code, words.say(key), words.say(key + ".how"));
        }

        /** A corner by its letters, everything else by its name. */
        private String brief(Place place) {
            return place instanceof Corner corner ? corner.name() : Words.capital(words.word(place, reader));
        }

        Arch arch(MeasuringPoint spot) {
            List<ReadingRow> rows = o.sheet().at(spot);
            Optional<ReadingRow> mine =
                    rows.stream().filter(r -> r.person().equals(me)).findFirst();
            Optional<ReadingRow> shown = mine.or(() -> rows.stream().findFirst());
            Optional<Refusal> refused =
                    Optional.ofNullable(refusal).filter(r -> r.spot().equals(spot));
            Optional<ReadingRow> lastRow =
                    o.compared() ? o.base().at(spot).stream().findFirst() : Optional.empty();
            Optional<ReadingRow> earlier = lastRow.or(() -> shown);
            Optional<Figure<Estimate>> drop = o.compared() ? o.judged().drop(spot) : Optional.empty();
            return new Arch(
                    spot,
                    round.placesDiffer()
                            ? spot.place().code()
                            : spot.place().code() + "-" + spot.way().code(),
                    round.atPlace() ? spot.way() instanceof Method m ? m.name() : "" : brief(spot.place()),
                    name(spot),
                    point(spot) + ", " + words.word(spot.way(), reader),
                    refused.map(Refusal::text).orElse(mine.map(ReadingRow::raw).orElse("")),
                    refused.isPresent() ? "" : shown.map(this::tape).orElse(""),
                    mine.isPresent()
                            ? ""
                            : shown.map(r -> r.initials() + " " + r.raw()).orElse(""),
                    lastRow.map(this::tape).orElse(""),
                    earlier.map(r -> r.tapeReading().text().replace(" in", "")).orElse(""),
                    drop.map(d -> Numerals.html(
                                    Numerals.moved(spot.way(), d.value().value(), reader)))
                            .orElse(""),
                    drop.map(d -> Numerals.html(
                                    "± " + Numerals.uncertainty(d.value().expanded(), reader)))
                            .orElse(""),
                    drop.map(d -> how(spot, d)).orElse(""),
                    rows.stream()
                            .filter(r -> mine.isPresent() ? r != mine.get() : r != shown.orElse(null))
                            .map(r -> r.initials() + " " + tape(r))
                            .toList(),
                    mine.isPresent(),
                    Ids.fresh(),
                    refused.map(Refusal::problem).orElse(""),
                    refused.map(Refusal::offer).orElse(""),
                    suspect(spot),
                    earlier.map(r -> r.tapeReading().value().nm()).orElse(null),
                    start(spot, shown.or(() -> lastRow)),
                    drawing(spot));
        }

        private String tape(ReadingRow row) {
            return Numerals.html(Numerals.reading(row.tapeReading()));
        }

        /** Beside the short name: the place's own where all is one method round the corners, else what is measured. */
        private String name(MeasuringPoint spot) {
            boolean oneWay =
                    round.spots().stream().map(MeasuringPoint::way).distinct().count() == 1;
            return oneWay && spot.place() instanceof Corner
                    ? point(spot)
                    : Words.capital(words.word(spot.way(), reader));
        }

        /** The place, and at the frame the point that is measured where somebody named it. */
        private String point(MeasuringPoint spot) {
            String name = Words.capital(words.word(spot.place(), reader));
            String point = spot.way() == Method.FG
                    ? o.job().vehicle().points().of(spot.corner().end())
                    : "";
            return point.isEmpty() ? name : name + ", " + point;
        }

        private String how(MeasuringPoint spot, Figure<Estimate> drop) {
            Stream<String> adjusted = spot.atCorner()
                    ? o
                            .judged()
                            .adjusted(spot.corner(), spot.method())
                            .map(d -> words.say("adjusted", reader, "all", d))
                            .stream()
                    : Stream.empty();
            return Numerals.html(Stream.concat(words.reason(drop.reason(), reader).stream(), adjusted)
                    .collect(Collectors.joining(" ")));
        }

        /** Near what will be read: what stands here or stood before, else across, else any, else what is usual. */
        private long start(MeasuringPoint spot, Optional<ReadingRow> there) {
            VehicleKind kind = o.job().vehicle().kind();
            Length usual = spot.way() instanceof PointMethod way && way.named()
                    ? SOMEWHERE
                    : spot.way().usualFrom(kind).plus(spot.way().usualTo(kind)).dividedBy(2);
            return there.or(() -> spot.place() instanceof Corner corner
                            ? o.sheet().at(MeasuringPoint.of((Place) corner.across(), spot.way())).stream()
                                    .findFirst()
                            : Optional.empty())
                    .or(() -> o.sheet().current().stream()
                            .filter(r -> r.spot().way().equals(spot.way()))
                            .findFirst())
                    .map(r -> r.tapeReading().value())
                    .orElse(usual)
                    .nm();
        }

        private String suspect(MeasuringPoint spot) {
            int number = o.all().sheets().indexOf(o.sheet());
            List<Outlier> suspects = o.judged().suspects();
            return suspects.stream()
                    .filter(s -> s.sheet() == number && s.spot().equals(spot))
                    .findFirst()
                    .map(s -> suspects.size() > 1
                            ? words.say("suspect.one.of", reader, "count", suspects.size())
                            : words.say("suspect.others", reader, "others", s.probable()))
                    .map(Numerals::html)
                    .orElse("");
        }

        private Elevation drawing(MeasuringPoint spot) {
            VehicleFacts vehicle = o.job().vehicle();
            if (vehicle.kind().singleTrack()) {
                return MotorcycleDrawing.of(spot, vehicle.vehicle(), before(), here());
            }
            if (!(spot.place() instanceof Corner corner)) {
                return ArchDrawing.alone(spot, here(), before());
            }
            VehicleFacts.Measure tyre = VehicleFacts.Measure.TYRE.get(corner.end());
            double usual = vehicle.kind().unitBody() ? 317 : 395;
            HeightSheet before = before();
            ArchDrawing.Wheel wheel = before == null
                    ? ArchDrawing.Wheel.of(corner, vehicle.measure(tyre), usual, here())
                    : ArchDrawing.Wheel.of(corner, vehicle.measure(tyre), usual, here(), before);
            return ArchDrawing.of(spot, wheel, before, here());
        }

        /** After this walk: the next round that was begun before and is not done now. */
        @Nullable
        String next() {
            if (round.atPlace()) {
                return after(o.placeByPlace())
                        .filter(r -> !MeasurePages.done(r, here(), before()))
                        .findFirst()
                        .map(Round::code)
                        .orElse(null);
            }
            HeightSheet before = before();
            return after(o.rounds())
                    .filter(r -> before != null ? r.read(before) > 0 : USUAL.contains(r.code()))
                    .filter(r -> !MeasurePages.done(r, here(), before))
                    .findFirst()
                    .map(Round::code)
                    .orElse(null);
        }

        /** Those behind this one, then those before it. */
        private Stream<Round> after(List<Round> rounds) {
            int at = rounds.stream().map(Round::code).toList().indexOf(round.code());
            return Stream.concat(rounds.subList(at + 1, rounds.size()).stream(), rounds.subList(0, at).stream());
        }
    }
}
