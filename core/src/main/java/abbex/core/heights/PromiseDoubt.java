package abbex.core.heights;

/** Why it cannot be told whether a drop is as advertised. */
public enum PromiseDoubt {
    /** The two sheets were taken in another state of the vehicle. */
    STATE,
    /** One of the two sheets tells its load and the like, the other does not. */
    HALF_SAID,
    /** Another vehicle or side stands in for the heights before. */
    STAND_IN,
    /** One side of the axle alone was measured. */
    ONE_SIDE,
    /** The readings are as uncertain as that. */
    SPREAD
}
