package abbex.app.drawing;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A part of a vehicle seen from its side on the floor line, in millimetres, to scale: SVG coordinates, so up is negative.
 *
 * @param box the part that is shown: left, top, width, height
 * @param wheels drawn first
 * @param strokes lines over them, each with its style
 * @param arrow what is measured; null where nothing can be drawn of it
 */
public record Elevation(
        String box,
        List<Wheel> wheels,
        List<Stroke> strokes,
        @Nullable Arrow arrow) {
    /** A wheel's centre, the free radius of its tyre and the radius of its rim. */
    public record Wheel(String x, String hub, String tyre, String rim) {}

    /** A line. */
    public record Stroke(String style, String path) {}

    /** A dimension arrow that stands upright. */
    public record Arrow(String x, String from, String to) {}

    public Elevation {
        wheels = List.copyOf(wheels);
        strokes = List.copyOf(strokes);
    }

    static Arrow arrow(double x, double from, double to) {
        return new Arrow(plain(x), up(from), up(to));
    }

    /** A small cross at a marked point. */
    static Stroke mark(double x, double z) {
        return new Stroke("mark", "M" + plain(x - 22) + " " + up(z) + "h44M" + plain(x) + " " + up(z - 22) + "v-44");
    }

    static String box(double left, double top, double width) {
        return plain(left) + " " + up(top) + " " + plain(width) + " " + plain(width * 880 / 900);
    }

    static String up(double z) {
        return plain(-z);
    }

    /** A coordinate to a tenth; drawn by the hundred on every page, where a format string would be the slowest part. */
    static String plain(double mm) {
        return Double.toString(Math.round(mm * 10) / 10.0);
    }
}
