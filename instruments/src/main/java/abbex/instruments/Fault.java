package abbex.instruments;

/** What goes wrong with an instrument, by switch. */
public enum Fault {
    /** It says nothing any more. */
    SILENT,
    /** It says what it measured half a second later. */
    LATE,
    /** Every frame goes out twice. */
    DOUBLED,
    /** Of two readings the second goes out first. */
    OUT_OF_ORDER,
    /** Before every frame goes one with a changed letter, and one that breaks off. */
    GARBLED,
    /** Its readings carry a unit of something else. */
    WRONG_UNIT,
    LOW_BATTERY,
    /** Each reading is a little more than the last. */
    DRIFTING,
    /** It says that it was given to somebody else. */
    ANOTHER_JOB
}
