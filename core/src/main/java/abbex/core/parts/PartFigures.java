package abbex.core.parts;

import abbex.core.torque.ScrewThread;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What was measured of a part in hand; what was not is left open.
 *
 * @param length between its ends or eyes, drawn out where it telescopes, mm
 * @param bore of the eye, bush or seat that goes over something, mm
 * @param bar diameter of the bar, bolt or stem that goes into something, mm
 * @param side of the vehicle that it is made for
 */
public record PartFigures(
        OptionalDouble length,
        OptionalDouble bore,
        OptionalDouble bar,
        Optional<ScrewThread> thread,
        Optional<Side> side) {
    /** The side of the vehicle, seen forwards. */
    public enum Side {
        LEFT,
        RIGHT
    }

    public static final PartFigures NONE = new PartFigures(
            OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), Optional.empty(), Optional.empty());

    /** Nothing was measured. */
    public boolean none() {
        return equals(NONE);
    }
}
