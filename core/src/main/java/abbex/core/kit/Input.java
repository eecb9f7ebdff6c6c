package abbex.core.kit;

/** What goes into a planned height, each with its own width. */
public enum Input {
    LOAD,
    RATIO,
    ROD_RATIO,
    OLD_RATE,
    OLD_LENGTH,
    SEATS,
    NEW_RATE,
    NEW_LENGTH,
    OLD_GAS,
    NEW_GAS,
    WHEEL_RATE,
    BOX,
    AT_SEAT,
    AT_WHEEL,
    ROD,
    STOP,
    /** Of the motion ratio over the wheel's way up. */
    SLOPE;

    static final int COUNT = values().length;
}
