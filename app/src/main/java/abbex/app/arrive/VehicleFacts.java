package abbex.app.arrive;

import abbex.core.heights.SheetState;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.Tyre;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** A vehicle as the shop knows it. */
public record VehicleFacts(
        UUID id,
        String plate,
        VehicleKind kind,
        Shape shape,
        String name,
        Architecture front,
        Architecture rear,
        String tyreFront,
        String tyreRear,
        FramePoints points,
        Build build,
        Map<Measure, Measured> measures) {

    /** What the points of the frame are called between which rake is taken; blank when nobody named them. */
    public record FramePoints(String front, String rear) {
        public static final FramePoints UNNAMED = new FramePoints("", "");

        public String of(End end) {
            return end == End.FRONT ? front : rear;
        }
    }

    /**
     * How it is built where that is not every vehicle's.
     *
     * @param headAngle a motorcycle's, as typed in degrees from the vertical; empty when not known
     * @param dualRear two wheels on each side of the rear axle
     */
    public record Build(String headAngle, boolean dualRear) {
        public static final Build USUAL = new Build("", false);
    }

    /** The side outline it is drawn with. */
    public enum Shape {
        HATCH,
        COUPE,
        PICKUP,
        MOTORCYCLE;

        /** The outline asked for, or the usual one of the kind when that one cannot be. */
        static Shape of(VehicleKind kind, Shape asked) {
            return kind.singleTrack() || asked == MOTORCYCLE ? usual(kind) : asked;
        }

        /** As vehicles of the kind mostly look. */
        static Shape usual(VehicleKind kind) {
            return kind.singleTrack() ? MOTORCYCLE : kind.cabAndBed() ? PICKUP : HATCH;
        }
    }

    /** A named measure of a vehicle. */
    public enum Measure {
        WHEELBASE,
        FRAME_BASE,
        TRACK_FRONT,
        TRACK_REAR,
        TYRE_FRONT,
        TYRE_REAR;

        public static final PerEnd<Measure> TRACK = new PerEnd<>(TRACK_FRONT, TRACK_REAR);
        public static final PerEnd<Measure> TYRE = new PerEnd<>(TYRE_FRONT, TYRE_REAR);
    }

    /** A measure as typed, and exact. */
    public record Measured(String raw, Length length) {}

    public Optional<Length> measure(Measure name) {
        return Optional.ofNullable(measures.get(name)).map(Measured::length);
    }

    public String raw(Measure name) {
        return Optional.ofNullable(measures.get(name)).map(Measured::raw).orElse("");
    }

    /** How an end is sprung. */
    public Architecture sprung(End end) {
        return end == End.FRONT ? front : rear;
    }

    /** The same vehicle with its measures. */
    VehicleFacts with(Map<Measure, Measured> measured) {
        return new VehicleFacts(
                id, plate, kind, shape, name, front, rear, tyreFront, tyreRear, points, build, measured);
    }

    /** What was left blank this time is taken from what the shop knows: receiving a vehicle again forgets nothing. */
    VehicleFacts withBlanksFrom(VehicleFacts known) {
        Map<Measure, Measured> all = new EnumMap<>(Measure.class);
        all.putAll(known.measures);
        all.putAll(measures);
        return new VehicleFacts(
                known.id,
                plate,
                kind,
                shape,
                name,
                front == Architecture.OTHER ? known.front : front,
                rear == Architecture.OTHER ? known.rear : rear,
                tyreFront.isEmpty() ? known.tyreFront : tyreFront,
                tyreRear.isEmpty() ? known.tyreRear : tyreRear,
                new FramePoints(
                        points.front.isEmpty() ? known.points.front : points.front,
                        points.rear.isEmpty() ? known.points.rear : points.rear),
                new Build(build.headAngle.isEmpty() ? known.build.headAngle : build.headAngle, build.dualRear),
                all);
    }

    /** The core's view of it. */
    public Vehicle vehicle() {
        return new Vehicle(
                kind,
                measure(Measure.WHEELBASE),
                measure(Measure.FRAME_BASE),
                Measure.TRACK.map(this::measure),
                Measure.TYRE.map(tyre -> measure(tyre).map(Tyre::of)),
                SheetState.degrees(build.headAngle),
                build.dualRear);
    }

    /** The plate as it is compared: letters and digits only. */
    public static String plateKey(String plate) {
        return plate.toUpperCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }
}
