package abbex.app.api;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.figure.Place;
import abbex.core.heights.Advertised;
import abbex.core.heights.Basis;
import abbex.core.heights.Floor;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.Limit;
import abbex.core.heights.Limits;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Reading;
import abbex.core.heights.SheetState;
import abbex.core.heights.Stage;
import abbex.core.heights.SubstituteBaseline;
import abbex.core.heights.Way;
import abbex.core.units.Angle;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeParse;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Places;
import abbex.core.vehicle.Seat;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/**
 * The request of the drop computation: the last sheet against the first, all that lie between as readings of the same vehicle.
 * Lengths are tape texts; a number without a unit is in the request's unit; the
 * graduation is the tape's, 1/16 in or 1 mm when it is not said.
 */
record DropRequest(Vehicle vehicle, List<HeightSheet> sheets, Advertised advertised, Limits limits, Reader reader) {
    private static final List<String> FIELDS = List.of(
            "unit",
            "graduation",
            "kind",
            "wheelbase",
            "frameBase",
            "headAngle",
            "points",
            "advertised",
            "limits",
            "before",
            "between",
            "after");
    private static final List<String> OF_SHEET = List.of("stage", "floor", "standIn", "arches", "state");
    private static final Pattern POINT = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{N} ._-]{0,39}");
    private static final int MOST_POINTS = 20;
    private static final int MOST_BETWEEN = 8;
    private static final List<String> LIMITS =
            Stream.of(Limit.values()).map(Enum::name).toList();
    private static final List<String> CORNERS =
            Stream.of(Corner.values()).map(Enum::name).toList();
    private static final Length LONGEST = Length.ofInches(480, 0, 1);

    static DropRequest of(JsonNode json, Words words) {
        Fields fields = new Fields("", json, FIELDS);
        String symbol = fields.text("unit").orElse("in");
        if (!symbol.equals("in") && !symbol.equals("mm")) {
            throw ApiProblem.field("unit", symbol, "api.field.unit", "in");
        }
        LengthUnit unit = symbol.equals("mm") ? LengthUnit.MILLIMETRE : LengthUnit.INCH;
        Graduation tape = fields.text("graduation")
                .map(text -> Graduation.parse(text)
                        .orElseThrow(() -> ApiProblem.field("graduation", text, "api.field.tape", "1/16 in")))
                .orElse(Graduation.usual(unit));
        return new Maker(fields, unit, tape, words).make();
    }

    private record Maker(Fields fields, LengthUnit unit, Graduation tape, Words words) {
        DropRequest make() {
            Graduation shown = unit.metric() ? Graduation.MILLIMETRE : new Graduation(LengthUnit.INCH, 32);
            Reader reader = new Reader(unit, shown, ZoneOffset.UTC);
            Vehicle vehicle = Vehicle.of(kind());
            Optional<Length> wheelbase = base("wheelbase", reader);
            Optional<Length> frameBase = base("frameBase", reader);
            vehicle = wheelbase.map(vehicle::withWheelbase).orElse(vehicle);
            vehicle = frameBase.map(vehicle::withFrameBase).orElse(vehicle);
            vehicle = headAngle().map(vehicle::withHeadAngle).orElse(vehicle);
            List<Way> ways = ways(vehicle.kind());
            List<HeightSheet> sheets = sheets(ways, reader);
            if (sheets.stream().allMatch(HeightSheet::isEmpty)) {
                throw ApiProblem.of(422, "api.nothing");
            }
            return new DropRequest(vehicle, sheets, advertised(reader), limits(reader), reader);
        }

        private List<HeightSheet> sheets(List<Way> ways, Reader reader) {
            List<String> known = Stream.concat(ways.stream().map(Way::code), OF_SHEET.stream())
                    .toList();
            List<HeightSheet> sheets = new ArrayList<>();
            sheets.add(sheet(fields.object("before", known), Stage.AS_ARRIVED, ways, reader));
            for (Fields between : fields.list("between", known, MOST_BETWEEN)) {
                sheets.add(sheet(Optional.of(between), Stage.FIRST_SET_DOWN, ways, reader));
            }
            sheets.add(sheet(fields.object("after", known), Stage.FIRST_SET_DOWN, ways, reader));
            return List.copyOf(sheets);
        }

        private VehicleKind kind() {
            String kind = fields.text("kind").orElse("car");
            return Stream.of(VehicleKind.values())
                    .filter(k -> k.name().toLowerCase(Locale.ROOT).equals(kind))
                    .findFirst()
                    .orElseThrow(() -> ApiProblem.field("kind", kind, "api.field.kind", "car"));
        }

        private Optional<Length> base(String name, Reader reader) {
            return fields.text(name)
                    .map(text -> read(fields.at(name), text, TapeText.Allowed.POSITIVE, LONGEST, reader)
                            .value());
        }

        private Optional<Angle> headAngle() {
            return fields.text("headAngle")
                    .map(text -> SheetState.degrees(text)
                            .orElseThrow(
                                    () -> ApiProblem.worded("headAngle", text, words.say("problem.degrees"), "24.5")));
        }

        /** What a vehicle of the kind is read by, and the points of this request. */
        private List<Way> ways(VehicleKind kind) {
            List<Way> ways = new ArrayList<>();
            if (!kind.singleTrack()) {
                ways.addAll(List.of(Method.values()));
            }
            ways.addAll(PointMethod.of(kind));
            fields.open("points", POINT, MOST_POINTS)
                    .ifPresent(points -> points.names()
                            .forEach(name -> points.object(name, List.of("places", "tyre", "floor", "sideways"))
                                    .ifPresent(point -> ways.add(point(name, point, ways)))));
            return ways;
        }

        private PointMethod point(String name, Fields point, List<Way> there) {
            if (OF_SHEET.contains(name) || there.stream().anyMatch(w -> w.code().equals(name))) {
                throw ApiProblem.field(point.at("places"), name, "api.field.taken", "splitter");
            }
            List<Place> places = new ArrayList<>();
            String text = point.text("places").orElse("vehicle");
            for (String word : text.trim().split("\\s+")) {
                Place place = Places.of(word)
                        .orElseThrow(() -> ApiProblem.field(point.at("places"), word, "api.field.places", "LF RF"));
                if (!places.contains(place)) {
                    places.add(place);
                }
            }
            PointMethod way =
                    PointMethod.named(name, name, places, yes(point, "tyre", "yes"), yes(point, "floor", "yes"));
            return yes(point, "sideways", "no") ? way.sideways() : way;
        }

        private static boolean yes(Fields point, String name, String usual) {
            String text = point.text(name).orElse(usual);
            if (!text.equals("yes") && !text.equals("no")) {
                throw ApiProblem.field(point.at(name), text, "api.field.yes-no", "yes");
            }
            return text.equals("yes");
        }

        private HeightSheet sheet(Optional<Fields> sheet, Stage usual, List<Way> ways, Reader reader) {
            List<Reading> readings = new ArrayList<>();
            for (Way way : ways) {
                List<? extends Place> places = way instanceof PointMethod point ? point.places() : Corner.WALK;
                sheet.flatMap(s -> s.object(
                                way.code(), places.stream().map(Place::code).toList()))
                        .ifPresent(of -> lengths(of, places, way.allowed(), reader)
                                .forEach((place, read) ->
                                        readings.add(Reading.of(MeasuringPoint.of(place, way), read))));
            }
            return HeightSheet.of(
                    sheet.flatMap(s -> StateRequest.of(s)).orElse(SheetState.NOT_TAKEN),
                    sheet.map(s -> basis(s, usual, reader)).orElse(Basis.USUAL.at(usual)),
                    readings);
        }

        private <P extends Place> Map<P, TapeReading> lengths(
                Fields of, List<P> places, TapeText.Allowed allowed, Reader reader) {
            Map<P, TapeReading> lengths = new LinkedHashMap<>();
            for (P place : places) {
                of.text(place.code())
                        .map(text -> read(of.at(place.code()), text, allowed, TapeText.LARGEST_HEIGHT, reader))
                        .ifPresent(length -> lengths.put(place, length));
            }
            return lengths;
        }

        private Basis basis(Fields sheet, Stage usual, Reader reader) {
            Basis basis = Basis.USUAL
                    .at(choice(sheet, "stage", Stage.class, usual))
                    .from(choice(sheet, "standIn", SubstituteBaseline.class, SubstituteBaseline.NONE))
                    .worked(arches(sheet));
            return sheet.object("floor", CORNERS)
                    .map(pads -> basis.on(floor(pads, reader)))
                    .orElse(basis);
        }

        private Floor floor(Fields pads, Reader reader) {
            Map<Corner, Length> heights = new EnumMap<>(Corner.class);
            lengths(pads, Corner.WALK, TapeText.Allowed.ANY, reader)
                    .forEach((corner, pad) -> heights.put(corner, pad.value()));
            for (Corner corner : Corner.values()) {
                if (!heights.containsKey(corner)) {
                    throw ApiProblem.field(pads.at(corner.name()), "", "api.field.pads", "\"0\"");
                }
            }
            return Floor.of(heights);
        }

        private static <E extends Enum<E>> E choice(Fields of, String name, Class<E> kind, E usual) {
            String text = of.text(name).orElse(usual.name());
            return Stream.of(kind.getEnumConstants())
                    .filter(one -> one.name().equals(text))
                    .findFirst()
                    .orElseThrow(() -> ApiProblem.field(of.at(name), text, "api.field.choice", usual.name()));
        }

        private static Set<Corner> arches(Fields sheet) {
            Set<Corner> arches = EnumSet.noneOf(Corner.class);
            for (String word : sheet.text("arches").orElse("").trim().split("\\s+")) {
                if (!word.isEmpty()) {
                    if (!CORNERS.contains(word)) {
                        throw ApiProblem.field(sheet.at("arches"), word, "api.field.corners", "LF RR");
                    }
                    arches.add(Corner.valueOf(word));
                }
            }
            return arches;
        }

        private static String millimetres(Length length) {
            return TapeText.number(length, LengthUnit.MILLIMETRE) + " mm";
        }

        private Limits limits(Reader reader) {
            Map<Limit, Length> own = new EnumMap<>(Limit.class);
            fields.object("limits", LIMITS).ifPresent(limits -> {
                for (Limit limit : Limit.values()) {
                    drop(limits, limit.name(), reader).ifPresent(length -> {
                        if (!limit.allows(length)) {
                            throw ApiProblem.field(
                                    limits.at(limit.name()),
                                    limits.text(limit.name()).orElse(""),
                                    "api.field.range",
                                    millimetres(limit.least()) + " – " + millimetres(limit.most()));
                        }
                        own.put(limit, length);
                    });
                }
            });
            return Limits.of(own);
        }

        private Advertised advertised(Reader reader) {
            Map<Place, Advertised.Range> ranges = new LinkedHashMap<>();
            List<Place> promised = List.of(End.FRONT, End.REAR, Seat.SEAT);
            fields.object("advertised", promised.stream().map(Place::code).toList())
                    .ifPresent(ends -> {
                        for (Place end : promised) {
                            ends.object(end.code(), List.of("least", "most")).ifPresent(range -> {
                                Optional<Length> least = drop(range, "least", reader);
                                Optional<Length> most =
                                        drop(range, "most", reader).or(() -> least);
                                Length low = least.or(() -> most)
                                        .orElseThrow(() -> ApiProblem.field(
                                                range.at("least"), "", "api.field.number", "\"30 mm\""));
                                if (low.compareTo(most.orElseThrow()) > 0) {
                                    throw ApiProblem.of(422, "api.range", "field", range.at("least"));
                                }
                                ranges.put(end, new Advertised.Range(low, most.orElseThrow()));
                            });
                        }
                    });
            return new Advertised(ranges);
        }

        private Optional<Length> drop(Fields range, String name, Reader reader) {
            return range.text(name)
                    .map(text -> read(range.at(name), text, TapeText.Allowed.ANY, TapeText.LARGEST_HEIGHT, reader)
                            .value());
        }

        private TapeReading read(String field, String text, TapeText.Allowed allowed, Length largest, Reader reader) {
            TapeParse parse = TapeText.parse(text, unit, tape, allowed, largest);
            if (parse instanceof TapeParse.Refused refused) {
                String right = refused.offers().stream().findFirst().orElse("25 7/16");
                throw ApiProblem.worded(field, text, words.refusal(refused, reader), right);
            }
            return parse.asReading().orElseThrow();
        }
    }
}
