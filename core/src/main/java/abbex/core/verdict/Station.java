package abbex.core.verdict;

/** Where in the work something was found, in the order of the work. */
public enum Station {
    HEIGHTS,
    PLAN,
    FIT,
    WHEELS,
    CLEARANCE,
    GROUND
}
