package abbex.core.vehicle;

import abbex.core.figure.Place;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** All places at which a height may be taken. */
public final class Places {
    /** Corners in walking order, then a motorcycle's from front to rear, then the vehicle as a whole. */
    public static final List<Place> MEASURED =
            List.of(Corner.LF, Corner.RF, Corner.RR, Corner.LR, End.FRONT, Seat.SEAT, End.REAR, Whole.VEHICLE);

    private Places() {}

    /** The place of a code such as {@code LF}, {@code front} or {@code seat}. */
    public static Optional<Place> of(String code) {
        return MEASURED.stream().filter(p -> p.code().equals(code)).findFirst();
    }

    /** Every wheel that any vehicle has. */
    public static List<Place> wheels() {
        return Stream.of(VehicleKind.values())
                .flatMap(kind -> kind.wheels(true).stream())
                .distinct()
                .toList();
    }
}
