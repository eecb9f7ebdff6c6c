package abbex.core.settling;

import abbex.core.vehicle.VehicleKind;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** What is looked at on every return, beside what the last sheet left to be watched. Source: common practice. */
public enum Watch {
    TYRE_EDGES,
    RUB_MARKS,
    ROD_BAND,
    STOP_FACES,
    /** Air bags: pressure as it was left, nothing chafes. */
    BAGS,
    /** U-bolts of a leaf spring, and what lies under them. */
    U_BOLTS,
    SHACKLES,
    LINKS,
    /** Lock rings and collars of what was turned. */
    COLLARS,
    PAINT_MARKS,
    BOOTS,
    WHEEL_NUTS,
    /** What whoever drives it noticed. */
    DRIVER;

    /**
     * What is looked at by what was fitted; where nothing is known of that, what every lowered vehicle has.
     *
     * @param fitted kinds of parts that are other than when it came, such as {@code spring}
     * @param adjusted rings, collars or bolts were turned
     */
    public static List<Watch> of(VehicleKind kind, Set<String> fitted, boolean adjusted) {
        return Stream.of(values())
                .filter(item -> !kind.singleTrack() || item != BOOTS && item != WHEEL_NUTS)
                .filter(item -> item.of(fitted, adjusted))
                .toList();
    }

    private boolean of(Set<String> fitted, boolean adjusted) {
        boolean any = fitted.isEmpty();
        return switch (this) {
            case ROD_BAND, STOP_FACES -> any || has(fitted, "spring", "damper", "stop", "helper", "ring", "spindle");
            case BAGS -> has(fitted, "bag");
            case U_BOLTS -> has(fitted, "block", "saddle");
            case SHACKLES -> has(fitted, "shackle");
            case LINKS -> has(fitted, "link");
            case COLLARS -> adjusted;
            default -> true;
        };
    }

    private static boolean has(Set<String> fitted, String... kinds) {
        return Stream.of(kinds).anyMatch(fitted::contains);
    }

    /** How it was found. */
    public enum Answer {
        GOOD,
        SEEN
    }
}
