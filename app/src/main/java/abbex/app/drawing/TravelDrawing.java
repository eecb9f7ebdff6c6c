package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import java.util.ArrayList;
import java.util.List;

/**
 * How far a wheel goes up and down, upright on a rod: each limit a bracket at its height with its text beside it. Drawing
 * geometry only.
 *
 * @param box the part that is shown
 * @param rod x of the rod
 * @param top upper end of the rod
 * @param foot lower end of the rod
 * @param zero where ride height is
 * @param scale so much of the drawing is a millimetre
 * @param limits highest first
 */
public record TravelDrawing(
        String box, String rod, String top, String foot, String zero, String scale, List<Limit> limits) {
    private static final double WIDE = 156;
    private static final double HIGH = 300;
    private static final double EDGE = 26;
    private static final double ROD = 30;
    private static final double TEXTS = 46;

    /**
     * A limit.
     *
     * @param y where its bracket stands
     * @param text y of the text beside it
     */
    public record Limit(String y, String text) {}

    /**
     * The limits of a corner.
     *
     * @param up from ride height in mm, positive up, highest first; at least one
     */
    public static TravelDrawing of(List<Double> up) {
        double most = up.stream().mapToDouble(Double::doubleValue).max().orElse(0);
        double least = up.stream().mapToDouble(Double::doubleValue).min().orElse(0);
        double scale = (HIGH - 2 * EDGE) / Math.max(1, most - least);
        double[] y = up.stream().mapToDouble(u -> EDGE + (most - u) * scale).toArray();
        double[] texts = Apart.onLine(y, TEXTS, EDGE, HIGH - EDGE);
        List<Limit> limits = new ArrayList<>();
        for (int i = 0; i < y.length; i++) {
            limits.add(new Limit(plain(y[i]), plain(texts[i])));
        }
        return new TravelDrawing(
                "0 0 " + plain(WIDE) + " " + plain(HIGH),
                plain(ROD),
                plain(EDGE - 14),
                plain(HIGH - EDGE + 14),
                plain(EDGE + most * scale),
                Double.toString(scale),
                limits);
    }
}
