package abbex.app.page;

import java.util.Map;

/**
 * The judgement of a stay as every page shows it.
 *
 * @param mark stop, look, clear, open or empty while there is nothing to judge
 * @param word the mark in a word
 * @param title the worst in a line; empty when nothing is wrong
 * @param station where that is seen to
 * @param stations the mark of each station that has one, by its name on the strip
 * @param filled how far each of them is: begun, or done
 */
public record JobMark(
        String mark,
        String word,
        String title,
        String station,
        Map<String, String> stations,
        Map<String, String> filled) {
    public static final JobMark NONE = new JobMark("", "", "", "", Map.of(), Map.of());

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
