package abbex.core.figure;

/** Where on the vehicle a finding or a figure stands. */
public interface Place {
    /** Short and stable, such as {@code LF}, {@code LF.HF}, {@code front} or {@code vehicle}. */
    String code();
}
