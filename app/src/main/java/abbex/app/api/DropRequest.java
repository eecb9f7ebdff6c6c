package abbex.app.api;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.heights.Advertised;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.Method;
import abbex.core.heights.Reading;
import abbex.core.heights.SheetState;
import abbex.core.heights.Spot;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeParse;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/**
 * The request of the drop computation. Lengths are tape texts; a number without a unit is in the request's unit; the
 * graduation is the tape's, 1/16 in or 1 mm when it is not said.
 */
record DropRequest(Vehicle vehicle, HeightSheet before, HeightSheet after, Advertised advertised, Reader reader) {
    private static final List<String> FIELDS =
            List.of("unit", "graduation", "kind", "wheelbase", "frameBase", "advertised", "before", "after");
    private static final List<String> METHODS =
            Stream.of(Method.values()).map(Enum::name).toList();
    private static final List<String> CORNERS =
            Stream.of(Corner.values()).map(Enum::name).toList();
    private static final Length LONGEST = Length.ofInches(480, 0, 1);

    static DropRequest of(JsonNode json, Words words) {
        Fields fields = new Fields("", json, FIELDS);
        String symbol = fields.text("unit").orElse("in");
        if (!symbol.equals("in") && !symbol.equals("mm")) {
            throw ApiProblem.field("unit", symbol, "The unit of bare numbers is in or mm.", "in");
        }
        LengthUnit unit = symbol.equals("mm") ? LengthUnit.MILLIMETRE : LengthUnit.INCH;
        Graduation tape = fields.text("graduation")
                .map(text -> Graduation.parse(text)
                        .orElseThrow(() -> ApiProblem.field("graduation", text, "No tape is marked so.", "1/16 in")))
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
            HeightSheet before = sheet("before", reader);
            HeightSheet after = sheet("after", reader);
            if (before.isEmpty() && after.isEmpty()) {
                throw ApiProblem.of(422, "Nothing to compare", "Neither before nor after holds a height.");
            }
            return new DropRequest(vehicle, before, after, advertised(reader), reader);
        }

        private VehicleKind kind() {
            String kind = fields.text("kind").orElse("car");
            return Stream.of(VehicleKind.values())
                    .filter(k -> k.name().toLowerCase(Locale.ROOT).equals(kind))
                    .findFirst()
                    .orElseThrow(() -> ApiProblem.field("kind", kind, "That kind of vehicle is not known.", "car"));
        }

        private Optional<Length> base(String name, Reader reader) {
            return fields.text(name)
                    .map(text -> read(fields.at(name), text, TapeText.Allowed.POSITIVE, LONGEST, reader)
                            .value());
        }

        private HeightSheet sheet(String name, Reader reader) {
            List<Reading> readings = new ArrayList<>();
            fields.object(name, METHODS).ifPresent(methods -> {
                for (Method method : Method.values()) {
                    methods.object(method.name(), CORNERS).ifPresent(corners -> {
                        for (Corner corner : Corner.values()) {
                            corners.text(corner.name())
                                    .map(text -> read(
                                            corners.at(corner.name()),
                                            text,
                                            method.allowed(),
                                            TapeText.LARGEST_HEIGHT,
                                            reader))
                                    .ifPresent(tapeRead -> readings.add(Reading.of(Spot.of(corner, method), tapeRead)));
                        }
                    });
                }
            });
            return HeightSheet.of(SheetState.NOT_TAKEN, readings);
        }

        private Advertised advertised(Reader reader) {
            Map<End, Advertised.Range> ranges = new EnumMap<>(End.class);
            fields.object("advertised", List.of("front", "rear")).ifPresent(ends -> {
                for (End end : End.values()) {
                    ends.object(end.code(), List.of("least", "most")).ifPresent(range -> {
                        Optional<Length> least = drop(range, "least", reader);
                        Optional<Length> most = drop(range, "most", reader).or(() -> least);
                        Length low = least.or(() -> most)
                                .orElseThrow(() -> ApiProblem.field(
                                        range.at("least"), "nothing", "A number is needed here.", "\"30 mm\""));
                        if (low.compareTo(most.orElseThrow()) > 0) {
                            throw ApiProblem.of(
                                    422, "A range the wrong way round", range.at("least") + " is above most.");
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
                throw ApiProblem.field(field, text, words.refusal(refused, reader), right);
            }
            return parse.asReading().orElseThrow();
        }
    }
}
