package abbex.core.figure;

/** The kind of a finding; each concept has its own enumeration of them. */
public interface FindingCode {
    /** The constant's name, by which the words are found. */
    String name();

    int ordinal();

    /** True when the finding says that something has not been looked at or cannot be said yet. */
    boolean open();
}
