package abbex.core.heights;

import static abbex.core.heights.PointMethod.AX;
import static abbex.core.heights.PointMethod.AXLE;
import static abbex.core.heights.PointMethod.BED;
import static abbex.core.heights.PointMethod.BEDF;
import static abbex.core.heights.PointMethod.BOARD;
import static abbex.core.heights.PointMethod.BODY;
import static abbex.core.heights.PointMethod.CAB;
import static abbex.core.heights.PointMethod.FR;
import static abbex.core.heights.PointMethod.FREE;
import static abbex.core.heights.PointMethod.FT;
import static abbex.core.heights.PointMethod.HANGF;
import static abbex.core.heights.PointMethod.HANGR;
import static abbex.core.heights.PointMethod.RIDER;
import static abbex.core.heights.PointMethod.SEAT;

import abbex.core.figure.Place;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Places;
import abbex.core.vehicle.VehicleKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * What is read in one go, in the order in which a person walks: one method round the vehicle, points that lie together, or
 * everything at one place.
 *
 * @param code its short name; {@code at-} and a place for everything there
 * @param spots in walking order
 */
public record Round(String code, List<MeasuringPoint> spots) {
    private static final String AT = "at-";

    /** At one corner the hub comes first: the tape is set there already for the rim. */
    private static final List<Method> AT_CORNER = List.of(Method.HF, Method.RIM, Method.GF, Method.FG, Method.TG);

    public Round {
        spots = List.copyOf(spots);
    }

    /**
     * The rounds of a kind of vehicle, those that the shop named last.
     *
     * @param own points that the shop named for it
     * @param walk the corners in the order in which the shop walks
     */
    public static List<Round> all(VehicleKind kind, List<PointMethod> own, List<Corner> walk) {
        List<Round> rounds = new ArrayList<>();
        if (kind.singleTrack()) {
            rounds.add(new Round(
                    "BIKE",
                    List.of(
                            MeasuringPoint.of(AX.places().get(0), AX),
                            MeasuringPoint.of(FT.places().get(0), FT),
                            MeasuringPoint.of(SEAT.places().get(0), SEAT),
                            MeasuringPoint.of(AX.places().get(1), AX))));
            rounds.add(by(walk, FR));
            rounds.add(by(walk, BODY));
            rounds.add(placeByPlace("SAG", walk, FREE, RIDER));
        } else {
            Stream.of(Method.values())
                    .map(m -> new Round(
                            m.name(),
                            walk.stream().map(c -> MeasuringPoint.of(c, m)).toList()))
                    .forEach(rounds::add);
        }
        if (kind.cabAndBed()) {
            rounds.add(placeByPlace("CABBED", walk, CAB, BED));
            rounds.add(by(walk, BEDF));
            rounds.add(by(walk, BOARD));
            rounds.add(placeByPlace("REARAXLE", walk, HANGF, AXLE, HANGR));
        }
        own.forEach(way -> rounds.add(by(walk, way)));
        return List.copyOf(rounds);
    }

    private static Round by(List<Corner> walk, PointMethod way) {
        return placeByPlace(way.code(), walk, way);
    }

    private static Round placeByPlace(String code, List<Corner> walk, PointMethod... ways) {
        List<MeasuringPoint> spots = new ArrayList<>();
        for (Place place : places(walk, List.of(ways))) {
            Stream.of(ways)
                    .filter(way -> way.places().contains(place))
                    .map(way -> MeasuringPoint.of(place, way))
                    .forEach(spots::add);
        }
        return new Round(code, spots);
    }

    private static List<Place> places(List<Corner> walk, List<PointMethod> ways) {
        return Places.MEASURED.stream()
                .filter(place -> ways.stream().anyMatch(way -> way.places().contains(place)))
                .sorted(Comparator.comparingInt(p -> p instanceof Corner corner ? walk.indexOf(corner) : 0))
                .toList();
    }

    /** Without what a vehicle whose rear is sprung so does not have; it may be empty then. */
    public Round of(Architecture rear) {
        return new Round(
                code,
                spots.stream()
                        .filter(spot -> !(spot.way() instanceof PointMethod way) || way.fits(rear))
                        .toList());
    }

    /** Everything that is read at one place, for each place where it is more than one height. */
    public static List<Round> placeByPlace(VehicleKind kind, List<PointMethod> own, List<Corner> walk) {
        List<PointMethod> points =
                Stream.concat(PointMethod.of(kind).stream(), own.stream()).toList();
        boolean corners = !kind.singleTrack();
        List<Place> places = corners ? List.copyOf(walk) : places(walk, points);
        return places.stream()
                .map(place -> new Round(
                        AT + place.code(),
                        Stream.concat(
                                        corners ? AT_CORNER.stream() : Stream.<Way>empty(),
                                        points.stream()
                                                .filter(way -> way.places().contains(place)))
                                .map(way -> MeasuringPoint.of(place, way))
                                .toList()))
                .filter(round -> round.spots().size() > 1)
                .toList();
    }

    /** True for everything at one place. */
    public boolean atPlace() {
        return code.startsWith(AT);
    }

    /** True when no place comes twice, so that a place alone names a spot of it. */
    public boolean placesDiffer() {
        return spots.stream().map(MeasuringPoint::place).distinct().count() == spots.size();
    }

    /** True when every height of it stands on the sheet. */
    public boolean complete(HeightSheet sheet) {
        return read(sheet) == spots.size();
    }

    /** How many heights of it stand on the sheet. */
    public int read(HeightSheet sheet) {
        int read = 0;
        for (MeasuringPoint spot : spots) {
            read += sheet.at(spot).isPresent() ? 1 : 0;
        }
        return read;
    }
}
