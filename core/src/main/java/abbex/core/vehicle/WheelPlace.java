package abbex.core.vehicle;

import abbex.core.figure.Place;
import java.util.Optional;
import java.util.stream.Stream;

/** Where a wheel stands: in a corner, or on a single track at an end. */
public sealed interface WheelPlace extends Place permits Corner, End {
    /** The end that it belongs to. */
    End end();

    /** Looked at from the left of the vehicle: a left corner, and a wheel that stands in the middle. */
    boolean fromLeft();

    /** By which it is kept. */
    String name();

    /** The place of a name such as {@code LF} or {@code FRONT}. */
    static Optional<WheelPlace> named(String name) {
        return Stream.<WheelPlace>concat(Stream.of(Corner.values()), Stream.of(End.values()))
                .filter(place -> place.name().equals(name))
                .findFirst();
    }
}
