package abbex.core.settling;

import abbex.core.vehicle.VehicleKind;
import java.util.List;
import java.util.stream.Stream;

/** What is looked at on every return, beside what the last sheet left to be watched. Source: common practice. */
public enum Watch {
    TYRE_EDGES,
    RUB_MARKS,
    ROD_BAND,
    STOP_FACES,
    PAINT_MARKS,
    BOOTS,
    WHEEL_NUTS,
    /** What whoever drives it noticed. */
    DRIVER;

    public static List<Watch> of(VehicleKind kind) {
        return Stream.of(values())
                .filter(item -> !kind.singleTrack() || item != BOOTS && item != WHEEL_NUTS)
                .toList();
    }

    /** How it was found. */
    public enum Answer {
        GOOD,
        SEEN
    }
}
