package abbex.app.measure;

import abbex.app.drawing.Elevation;
import abbex.app.store.Ids;
import abbex.core.heights.MeasuringPoint;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One reading of the strip.
 *
 * @param spot place and way to measure
 * @param key what tells it from the others of the walk
 * @param head its short name
 * @param name the rest of it
 * @param label its whole name, as it is said aloud
 * @param text what the input holds: the person's own text
 * @param hero the reading in true fractions, made safe
 * @param shown whose reading stands where this person has none, in plain text
 * @param last the reading of the first sheet, when this is a later one
 * @param drop what it did, made safe; empty when it cannot be told
 * @param spokenLast the same in plain text, as it is said aloud
 * @param sure how far the drop may be off, made safe
 * @param others what other people read here
 * @param problem why the text was not taken, made safe; empty when it was
 * @param offer what would be right
 * @param lastNm the last reading's exact value; null when there is none
 * @param startNm where the enlarged tape begins for this spot
 * @param suspect what all other readings say, made safe, when this one does not go with them
 */
public record Arch(
        MeasuringPoint spot,
        String key,
        String head,
        String name,
        String label,
        String text,
        String hero,
        String shown,
        String last,
        String spokenLast,
        String drop,
        String sure,
        String how,
        List<String> others,
        boolean undo,
        UUID client,
        String problem,
        String offer,
        String suspect,
        @Nullable Long lastNm,
        long startNm,
        Elevation drawing) {
    /** The same, to be sent once more. */
    Arch again() {
        return new Arch(
                spot,
                key,
                head,
                name,
                label,
                text,
                hero,
                shown,
                last,
                spokenLast,
                drop,
                sure,
                how,
                others,
                undo,
                Ids.fresh(),
                problem,
                offer,
                suspect,
                lastNm,
                startNm,
                drawing);
    }

    public String place() {
        return spot.place().code();
    }

    public String way() {
        return spot.way().code();
    }

    public String code() {
        return spot.code();
    }

    /** The text that stands; empty while the one in the field was not taken. */
    public String kept() {
        return problem.isEmpty() ? text : "";
    }

    /** How its part of the walk is drawn: refused, taken, doubted. */
    public String states() {
        return String.join(
                " ",
                problem.isEmpty() ? "" : "refused",
                hero.isEmpty() ? "" : "taken",
                suspect.isEmpty() ? "" : "doubted");
    }
}
