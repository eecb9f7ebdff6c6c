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
 * @param track between the wheels' centre planes of each end
 * @param tyre of each end
 * @param headAngle a motorcycle's steering head from the vertical, positive leaning back
 * @param dualRear true when each side of the rear axle carries two wheels
 */
public record Vehicle(
        VehicleKind kind,
        Optional<Length> wheelbase,
        Optional<Length> frameBase,
        PerEnd<Optional<Length>> track,
        PerEnd<Optional<Tyre>> tyre,
        Optional<Angle> headAngle,
        boolean dualRear) {
    public Vehicle {
        requirePositive("wheelbase", wheelbase);
        requirePositive("frame base", frameBase);
        track.forEach((end, length) -> requirePositive(end.code() + " track", length));
    }

    private static void requirePositive(String name, Optional<Length> length) {
        if (length.isPresent() && length.get().sign() <= 0) {
            throw new IllegalArgumentException(name + ": read " + length.get() + "; more than 0");
        }
    }

    public static Vehicle of(VehicleKind kind) {
        return new Vehicle(
                kind,
                Optional.empty(),
                Optional.empty(),
                PerEnd.of(end -> Optional.empty()),
                PerEnd.of(end -> Optional.empty()),
                Optional.empty(),
                false);
    }

    public Vehicle withWheelbase(Length length) {
        return new Vehicle(kind, Optional.of(length), frameBase, track, tyre, headAngle, dualRear);
    }

    public Vehicle withFrameBase(Length length) {
        return new Vehicle(kind, wheelbase, Optional.of(length), track, tyre, headAngle, dualRear);
    }

    public Vehicle withTyre(End end, Tyre other) {
        return new Vehicle(kind, wheelbase, frameBase, track, tyre.with(end, Optional.of(other)), headAngle, dualRear);
    }

    public Vehicle withTrack(End end, Length length) {
        return new Vehicle(kind, wheelbase, frameBase, track.with(end, Optional.of(length)), tyre, headAngle, dualRear);
    }

    public Vehicle withHeadAngle(Angle angle) {
        return new Vehicle(kind, wheelbase, frameBase, track, tyre, Optional.of(angle), dualRear);
    }

    public Vehicle withDualRear() {
        return new Vehicle(kind, wheelbase, frameBase, track, tyre, headAngle, true);
    }

    /** Its wheels, each with a tyre pressure of its own. */
    public List<Place> wheels() {
        return kind.wheels(dualRear);
    }

    public Optional<Tyre> tyre(End end) {
        return tyre.get(end);
    }
}
