package abbex.core.kit;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What travel an end has, at the wheel, mm, before and after. What was not measured is empty.
 *
 * @param toStop up from where it rests; below nought it rests on the stop
 * @param toMetal up until the damper is in
 * @param droop down until the damper is out
 * @param slack how much longer the room between the seats is at full droop than the spring; below nought it is held
 * @param spring old and new one
 */
public record Travel(
        Both toStop, Both toMetal, Both droop, Optional<Interval> slack, BothSprings spring, BothRides ride) {
    /** Before and after. */
    public record Both(OptionalDouble was, OptionalDouble is) {}

    /** Lengths of a spring, mm. */
    public record Lengths(double free, OptionalDouble droop, double ride, double solid) {}

    public record BothSprings(Optional<Lengths> was, Optional<Lengths> is) {}

    /** Frequency in Hz, and by how much 50 kg at a wheel press it down, mm. */
    public record Riding(double hertz, double sink) {}

    public record BothRides(Optional<Riding> was, Optional<Riding> is) {}
}
