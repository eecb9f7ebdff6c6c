package abbex.core.vehicle;

import abbex.core.figure.Place;
import abbex.core.units.Angle;
import abbex.core.units.Length;
import java.util.List;
import java.util.Optional;

/**
 * The measures of a vehicle that the comparison of heights needs. What nobody has measured is empty.
 *
 * @param kind car, truck or motorcycle
 * @param wheelbase between the axles
 * @param frameBase between the front and the rear frame point, along the vehicle
 * @param frontTrack between the front wheels' centre planes
 * @param rearTrack between the rear wheels' centre planes
 * @param frontTyre the tyre in front
 * @param rearTyre the tyre in the rear
 * @param headAngle a motorcycle's steering head from the vertical, positive leaning back
 * @param twinRear true when each side of the rear axle carries two wheels
 */
public record Vehicle(
        VehicleKind kind,
        Optional<Length> wheelbase,
        Optional<Length> frameBase,
        Optional<Length> frontTrack,
        Optional<Length> rearTrack,
        Optional<Tyre> frontTyre,
        Optional<Tyre> rearTyre,
        Optional<Angle> headAngle,
        boolean twinRear) {
    public Vehicle {
        requirePositive("wheelbase", wheelbase);
        requirePositive("frame base", frameBase);
        requirePositive("front track", frontTrack);
        requirePositive("rear track", rearTrack);
    }

    private static void requirePositive(String name, Optional<Length> length) {
        if (length.isPresent() && length.get().sign() <= 0) {
            throw new IllegalArgumentException(name + ": read " + length.get() + "; more than 0");
        }
    }

    public static Vehicle of(VehicleKind kind) {
        Optional<Length> unknown = Optional.empty();
        return new Vehicle(
                kind, unknown, unknown, unknown, unknown, Optional.empty(), Optional.empty(), Optional.empty(), false);
    }

    public Vehicle withWheelbase(Length length) {
        return new Vehicle(
                kind, Optional.of(length), frameBase, frontTrack, rearTrack, frontTyre, rearTyre, headAngle, twinRear);
    }

    public Vehicle withFrameBase(Length length) {
        return new Vehicle(
                kind, wheelbase, Optional.of(length), frontTrack, rearTrack, frontTyre, rearTyre, headAngle, twinRear);
    }

    public Vehicle withTyres(Tyre front, Tyre rear) {
        return new Vehicle(
                kind,
                wheelbase,
                frameBase,
                frontTrack,
                rearTrack,
                Optional.of(front),
                Optional.of(rear),
                headAngle,
                twinRear);
    }

    public Vehicle withTracks(Length front, Length rear) {
        return new Vehicle(
                kind,
                wheelbase,
                frameBase,
                Optional.of(front),
                Optional.of(rear),
                frontTyre,
                rearTyre,
                headAngle,
                twinRear);
    }

    public Vehicle withHeadAngle(Angle angle) {
        return new Vehicle(
                kind, wheelbase, frameBase, frontTrack, rearTrack, frontTyre, rearTyre, Optional.of(angle), twinRear);
    }

    public Vehicle withTwinRear() {
        return new Vehicle(kind, wheelbase, frameBase, frontTrack, rearTrack, frontTyre, rearTyre, headAngle, true);
    }

    public boolean isMotorcycle() {
        return kind == VehicleKind.MOTORCYCLE;
    }

    /** Its wheels, each with a tyre pressure of its own. */
    public List<Place> wheels() {
        return Places.wheels(kind, twinRear);
    }

    public Optional<Tyre> tyre(End end) {
        return end == End.FRONT ? frontTyre : rearTyre;
    }
}
