package abbex.app.page;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The judgement of a stay as every page shows it.
 *
 * @param mark stop, look, clear, open or empty while there is nothing to judge
 * @param word the mark in a word
 * @param title the worst in a line; empty when nothing is wrong
 * @param link where that is seen to, below the stay's address
 * @param stations the mark of each station that has one, by its name on the strip
 * @param filled how far each of them is: begun, or done
 * @param work how far a card is that is under way; null where none is
 */
public record JobMark(
        String mark,
        String word,
        String title,
        String link,
        Map<String, String> stations,
        Map<String, String> filled,
        @Nullable Work work) {
    public static final JobMark NONE = new JobMark("", "", "", "", Map.of(), Map.of(), null);

    /**
     * A card that is under way.
     *
     * @param text such as "step 15 of 63, on stands, ready about 4:10 PM"
     * @param next the step in hand, in words
     * @param link where it is, below the stay's address
     */
    public record Work(String text, String next, String link) {}

    /** The same for a page: fractions drawn. */
    public String titleHtml() {
        return Numerals.html(title);
    }

    /** The mark of a station of the strip; empty for none. */
    public String of(String strip) {
        return stations.getOrDefault(strip, "");
    }

    /** How far a station of the strip is; empty where nothing was looked at. */
    public String far(String strip) {
        return filled.getOrDefault(strip, "");
    }
}
