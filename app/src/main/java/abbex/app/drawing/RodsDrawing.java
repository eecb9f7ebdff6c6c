package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * How far a wheel may go before and after, upright: metal above, the stop below it, where it rides, where it hangs. What is the
 * same in both lies at the same height. Drawing geometry only.
 *
 * @param rods as it is, as planned
 */
public record RodsDrawing(String box, List<Rod> rods) {
    private static final double WIDE = 270;
    private static final double HIGH = 190;
    private static final double EDGE = 14;
    private static final double APART = 130;

    /**
     * A rod.
     *
     * @param line from metal to where it hangs, as far as either is known
     * @param metal a bar; empty where it is not known
     * @param free what is left to the stop, a box; empty where it is not known or nothing is
     * @param ride where it rides
     * @param hang where it hangs; empty where it is not known
     * @param x of its text
     * @param y of its text
     */
    public record Rod(
            String style, String line, String metal, String free, String ride, String hang, String x, String y) {}

    /** Travel from where the wheel rides, mm: up to metal, up to the stop, down to where it hangs. */
    public record Travel(OptionalDouble metal, OptionalDouble stop, OptionalDouble droop) {}

    /**
     * Both.
     *
     * @param drop how much further up the wheel rides as planned, mm
     */
    public static RodsDrawing of(Travel was, Travel is, double drop) {
        double high = Math.max(top(was), drop + top(is)) + 5;
        double low = Math.min(-was.droop().orElse(20), drop - is.droop().orElse(20)) - 5;
        double scale = (HIGH - 2 * EDGE) / (high - low);
        List<Rod> rods = new ArrayList<>();
        rods.add(rod("was", was, 0, 30, high, scale));
        rods.add(rod("planned", is, drop, 30 + APART, high, scale));
        return new RodsDrawing("0 0 " + plain(WIDE) + " " + plain(HIGH), rods);
    }

    private static double top(Travel of) {
        return Math.max(of.metal().orElse(20), of.stop().orElse(20));
    }

    private static Rod rod(String style, Travel of, double ride, double x, double high, double scale) {
        double at = y(ride, high, scale);
        double metal = of.metal().isPresent() ? y(ride + of.metal().getAsDouble(), high, scale) : at - 12;
        double hang = of.droop().isPresent() ? y(ride - of.droop().getAsDouble(), high, scale) : at + 12;
        double stop = of.stop().isPresent() ? y(ride + of.stop().getAsDouble(), high, scale) : at;
        return new Rod(
                style,
                "M" + plain(x) + " " + plain(metal) + "V" + plain(hang),
                of.metal().isPresent() ? bar(x, metal, 26) : "",
                of.stop().isPresent() && stop < at
                        ? "M" + plain(x - 9) + " " + plain(stop) + "h18V" + plain(at) + "h-18Z"
                        : "",
                bar(x, at, 30),
                of.droop().isPresent() ? bar(x, hang, 16) : "",
                plain(x + 22),
                plain(Math.min(HIGH - 6, Math.max(14, (stop + at) / 2 + 5))));
    }

    private static double y(double up, double high, double scale) {
        return EDGE + (high - up) * scale;
    }

    private static String bar(double x, double y, double width) {
        return "M" + plain(x - width / 2) + " " + plain(y) + "h" + plain(width);
    }
}
