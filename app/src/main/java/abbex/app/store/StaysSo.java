package abbex.app.store;

import java.util.Set;

/** Makes something of a restored backup what it is known to be since. */
public interface StaysSo {
    /** The kinds of lines that it takes. */
    Set<Journal.What> takes();

    /** What there is of what it keeps, in words for a terminal; empty for what nobody would count. */
    default String holds() {
        return "";
    }

    /** All of it was made so, and the restored data is about to be put in the place of the other. */
    default void restored() {}

    /** Makes it so; true when the backup held it otherwise. What the backup does not know is left alone. */
    boolean again(Journal.Line line);
}
