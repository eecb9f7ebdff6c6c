package abbex.core.instrument;

/** What became of a line. */
public sealed interface FrameParse {
    record Good(Frame frame) implements FrameParse {}

    /** It is no frame, and nothing of it counts. */
    record Bad(Why why) implements FrameParse {}

    /** What is wrong with a line. */
    enum Why {
        /** Longer than any frame. */
        LONG,
        /** Not between braces, or without a checksum. */
        TORN,
        CHECKSUM,
        /** Too many parts, too few, or one that is none of its kind. */
        PARTS,
        /** A unit of something else. */
        UNIT,
        /** Measured too long ago. */
        STALE
    }
}
