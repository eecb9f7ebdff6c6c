package abbex.core.figure;

/** How much a finding matters, least first. */
public enum Severity {
    CLEAR,
    NOTE,
    LOOK,
    STOP
}
