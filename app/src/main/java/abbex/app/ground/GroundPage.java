package abbex.app.ground;

import abbex.app.drawing.ProfileDrawing;
import abbex.app.drawing.StanceDrawing;
import abbex.app.page.Words;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A vehicle over the ground, as one page and the sheet show it; every text is safe for a page.
 *
 * @param missing what is to be said first; empty when nothing is
 * @param outline lines of the side outline
 * @param drawing null while something is missing
 * @param figures angles, each with how it came about
 * @param ways every ground with what becomes of it
 * @param says what the lamps and the chosen ground have to say
 */
public record GroundPage(
        String missing,
        List<String> outline,
        @Nullable StanceDrawing drawing,
        List<Line> figures,
        List<Way> ways,
        @Nullable Chosen chosen,
        List<Words.Said> says) {
    /** A figure with how it came about. */
    public record Line(String name, String value, List<String> how) {}

    /**
     * A ground.
     *
     * @param key by which it is chosen
     * @param own its id when it is the vehicle's own
     * @param profile in small
     */
    public record Way(
            String key,
            String own,
            String name,
            String mark,
            String word,
            String air,
            String where,
            ProfileDrawing profile) {}

    /** The ground that is the worst of all; null while nothing low was measured. */
    public @Nullable Way worst() {
        return ways.stream()
                .min(Comparator.comparingInt(w -> BAD.indexOf(w.mark())))
                .orElse(null);
    }

    private static final List<String> BAD = List.of("stop", "look", "open", "clear");

    /**
     * The ground that is shown.
     *
     * @param least of the way, mm, for the handle
     * @param along where the front axle is
     */
    public record Chosen(String key, String name, long least, long most, long along, String here) {}
}
