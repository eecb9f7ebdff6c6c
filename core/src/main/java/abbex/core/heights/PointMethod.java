package abbex.core.heights;

import static abbex.core.units.TapeText.Allowed.ANY;
import static abbex.core.units.TapeText.Allowed.POSITIVE;
import static abbex.core.units.TapeText.Allowed.ZERO_OR_MORE;

import abbex.core.figure.Place;
import abbex.core.units.Length;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Seat;
import abbex.core.vehicle.VehicleKind;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A way to measure beyond the four-corner methods: a truck's cab, bed and axle, a motorcycle's fork, axles and seat, or a
 * point that a shop named itself.
 *
 * <p>Repeatabilities and usual ranges are common practice or ours, no published source.
 *
 * @param code its short name
 * @param name what the shop calls it; empty for those that come with the program
 * @param places where it is read, in walking order
 * @param tyreInIt true when tyres change it
 * @param floorInIt true when it ends on the floor
 * @param sense what of it moves as the body comes down, or as an axle goes sideways
 * @param repeatability standard uncertainty of finding the points
 * @param allowed which signs it may have
 * @param least the lowest usual height
 * @param most the greatest
 */
public record PointMethod(
        String code,
        String name,
        List<Place> places,
        boolean tyreInIt,
        boolean floorInIt,
        Sense sense,
        Length repeatability,
        TapeText.Allowed allowed,
        Length least,
        Length most)
        implements Way {
    /** Which way a reading goes. */
    public enum Sense {
        /** It falls as the body comes down. */
        FALLS,
        /** It grows as the body comes down. */
        RISES,
        /** It lies across the vehicle: on a left corner it grows to the left, elsewhere to the right. */
        SIDEWAYS
    }

    private static final List<Place> REAR = List.of(Corner.RR, Corner.LR);
    private static final List<Place> BOTH = List.of(End.FRONT, End.REAR);

    /** Ground to cab sill, below the front edge of the door. */
    public static final PointMethod CAB = ground("CAB", List.of(Corner.LF, Corner.RF), 8, 40);
    /** Ground to the top of the bed rail, over the rear axle. */
    public static final PointMethod BED = ground("BED", REAR, 28, 66);
    /** Ground to the top of the bed rail at the bed's front end. */
    public static final PointMethod BEDF = ground("BEDF", List.of(Corner.LF, Corner.RF), 28, 66);
    /** Ground to the under side of the running board, at its ends. */
    public static final PointMethod BOARD = ground("BOARD", List.copyOf(Corner.WALK), 6, 30);
    /** Ground to the bolt of the leaf spring's front hanger. */
    public static final PointMethod HANGF = ground("HANGF", REAR, 8, 36);
    /** Ground to the bolt of the rear hanger, frame side. */
    public static final PointMethod HANGR = ground("HANGR", REAR, 10, 42);
    /** Top of the axle tube to the frame above it: the travel there is. */
    public static final PointMethod AXLE = hard("AXLE", REAR, POSITIVE, 1, 14);

    /** Axle centre to a marked point of the body. */
    public static final PointMethod AX = hard("AX", BOTH, POSITIVE, 6, 45);
    /** Fork tube showing above the upper clamp: more of it is lower. */
    public static final PointMethod FT = new PointMethod(
            "FT",
            "",
            List.of(End.FRONT),
            false,
            false,
            Sense.RISES,
            Length.ofInches(0, 1, 64),
            ZERO_OR_MORE,
            Length.ZERO,
            inches(4));
    /** Edge of a fender that is fixed to the frame, to the rim. */
    public static final PointMethod FR = hard("FR", BOTH, POSITIVE, 1, 24);
    /** Ground to the marked point of the seat, upright, nobody on it. */
    public static final PointMethod SEAT = ground("SEAT", List.of(Seat.SEAT), 20, 46);
    /** Ground to a marked point of the body at that end. */
    public static final PointMethod BODY = ground("BODY", BOTH, 2, 50);
    /** Axle centre to the same point with the wheel off the ground. */
    public static final PointMethod FREE = hard("FREE", BOTH, POSITIVE, 6, 48);
    /** The same with the rider on. */
    public static final PointMethod RIDER = hard("RIDER", BOTH, POSITIVE, 5, 45);

    private static final List<PointMethod> CAB_AND_BED = List.of(CAB, BED, BEDF, BOARD, HANGF, AXLE, HANGR);
    private static final List<PointMethod> SINGLE_TRACK = List.of(AX, FT, SEAT, FR, BODY, FREE, RIDER);

    public PointMethod {
        places = List.copyOf(places);
        if (places.isEmpty()) {
            throw new IllegalArgumentException(code + ": no place");
        }
    }

    private static PointMethod ground(String code, List<Place> places, int least, int most) {
        return new PointMethod(
                code,
                "",
                places,
                true,
                true,
                Sense.FALLS,
                Length.ofInches(0, 1, 64),
                POSITIVE,
                inches(least),
                inches(most));
    }

    private static PointMethod hard(String code, List<Place> places, TapeText.Allowed allowed, int least, int most) {
        return new PointMethod(
                code,
                "",
                places,
                false,
                false,
                Sense.FALLS,
                Length.ofInches(0, 1, 32),
                allowed,
                inches(least),
                inches(most));
    }

    private static Length inches(int whole) {
        return Length.ofInches(1, 0, 1).times(whole);
    }

    /** A point that a shop named: it falls with the body, and nothing is known of where such heights lie; it may be nought or below. */
    public static PointMethod named(String code, String name, List<Place> places, boolean tyreInIt, boolean floorInIt) {
        return new PointMethod(
                code,
                name,
                places,
                tyreInIt,
                floorInIt,
                Sense.FALLS,
                Length.ofInches(0, 1, 32),
                ANY,
                TapeText.LARGEST_HEIGHT.negate(),
                TapeText.LARGEST_HEIGHT);
    }

    /** The same read across the vehicle, such as from the frame to an axle: neither floor nor tyre is in it. */
    public PointMethod sideways() {
        return new PointMethod(code, name, places, false, false, Sense.SIDEWAYS, repeatability, allowed, least, most);
    }

    /** True when it lies across the vehicle. */
    public boolean across() {
        return sense == Sense.SIDEWAYS;
    }

    /** Those that come with the program for a kind of vehicle. */
    public static List<PointMethod> of(VehicleKind kind) {
        return kind.singleTrack() ? SINGLE_TRACK : kind.cabAndBed() ? CAB_AND_BED : List.of();
    }

    /** The one of a code that comes with the program. */
    public static Optional<PointMethod> of(String code) {
        return Stream.concat(CAB_AND_BED.stream(), SINGLE_TRACK.stream())
                .filter(p -> p.code.equals(code))
                .findFirst();
    }

    /** The program's own in the order in which they are read, then those that shops named. */
    public static List<PointMethod> inOrder(Collection<PointMethod> ways) {
        List<PointMethod> known =
                Stream.concat(CAB_AND_BED.stream(), SINGLE_TRACK.stream()).toList();
        return ways.stream()
                .distinct()
                .sorted(Comparator.comparingInt(
                                (PointMethod way) -> known.contains(way) ? known.indexOf(way) : known.size())
                        .thenComparing(PointMethod::code))
                .toList();
    }

    /** True where a vehicle whose rear is sprung so has it: hangers are a leaf spring's, an axle under its frame is no link's. */
    public boolean fits(Architecture rear) {
        boolean hanger = this.equals(HANGF) || this.equals(HANGR);
        if (rear == Architecture.OTHER || !hanger && !this.equals(AXLE)) {
            return true;
        }
        return rear == Architecture.SOLID_AXLE_LEAF || rear == Architecture.SOLID_AXLE_COIL && !hanger;
    }

    /** True when a shop named it. */
    public boolean named() {
        return !name.isEmpty();
    }

    @Override
    public Length usualFrom(VehicleKind kind) {
        return least;
    }

    @Override
    public Length usualTo(VehicleKind kind) {
        return most;
    }
}
