package abbex.core.heights;

/** How a reading may have gone wrong; common practice, in the order in which equally good explanations are preferred. */
public enum Slip {
    /** Read at another corner's place: the reading of another corner by the same method fits. */
    SWAPPED_CORNERS,
    /** Written into another column: it is what another method reads at the same corner. */
    OTHER_METHOD,
    /** Copied from another sheet: it is what stood there. */
    OTHER_SHEET,
    /** The whole inch, or the centimetre, beside the right one. */
    SLIPPED_UNIT,
    /** Two digits in the wrong order. */
    TRANSPOSED,
    /** Another long mark of the same inch: a half, a quarter or an eighth away. */
    OTHER_MARK,
    /** None of them. */
    UNEXPLAINED
}
