package abbex.app.memory;

/** Lengths that are remembered of each stay, in mm, down positive. */
public enum Remembered {
    DROP_FRONT,
    DROP_REAR,
    /** What all corners sank in all. */
    SANK
}
