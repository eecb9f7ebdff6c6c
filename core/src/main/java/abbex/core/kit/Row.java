package abbex.core.kit;

/** What a line of the ledger is of, in the order in which it is shown. */
public enum Row {
    SPRING,
    BOX,
    GAS,
    PERCH,
    JACK_BOLT,
    STACK,
    ISOLATOR,
    SEAT,
    POCKET,
    LEAF,
    FLIP,
    ARCH,
    LINK,
    TUBES,
    BAGS,
    ONE_TO_ONE,
    STOP
}
