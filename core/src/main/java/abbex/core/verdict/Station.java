package abbex.core.verdict;

/** Where in the work something was found, in the order of the work. */
public enum Station {
    ARRIVE,
    HEIGHTS,
    PLAN,
    FIT,
    SET,
    WHEELS,
    CLEARANCE,
    GROUND,
    ALIGN,
    RETURN;

    /** Its place on a sheet stands even while nobody looked. */
    public boolean always() {
        return this != ARRIVE && this != PLAN && this != RETURN;
    }
}
