package abbex.core.heights;

import java.util.List;

/** At which point of the work a sheet is taken, in the order in which they usually come. */
public enum Stage {
    AS_ARRIVED,
    FIRST_SET_DOWN,
    AFTER_SHORT_DRIVE,
    AFTER_HARD_DRIVE,
    AFTER_ALIGNMENT,
    SETTLED,
    /** Other parts on trial; it may come at any time. */
    TRIAL,
    /** Anything else; it may come at any time. */
    OTHER;

    /** Those that a vehicle may be measured at again. */
    public static List<Stage> later() {
        return List.of(values()).subList(1, values().length);
    }

    /** True when the vehicle stands on the parts that lower it, for good. */
    public boolean lowered() {
        return ordered() && this != AS_ARRIVED;
    }

    /** True when it has its place in the order of the work. */
    public boolean ordered() {
        return this != TRIAL && this != OTHER;
    }

    /** What usually comes next. */
    public Stage next() {
        return this == SETTLED || !ordered() ? OTHER : values()[ordinal() + 1];
    }
}
