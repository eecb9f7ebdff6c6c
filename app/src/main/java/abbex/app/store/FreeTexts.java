package abbex.app.store;

import java.util.List;
import java.util.UUID;

/** The texts in somebody's own words that a station keeps of a stay or its vehicle: a customer may be named in any. */
public interface FreeTexts {
    /** Whose texts are asked for. */
    record Of(UUID shop, UUID job, UUID vehicle) {}

    /** All that say something. */
    List<FreeText> of(Of stay);

    /** Writes another text in the place of one; nothing when it is none of its own. */
    void put(UUID shop, FreeText text, String now);
}
