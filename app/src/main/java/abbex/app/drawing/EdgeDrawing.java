package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;
import static abbex.app.drawing.Elevation.up;

import abbex.core.units.Length;
import abbex.core.wheels.Fitment;
import java.util.List;
import java.util.Locale;

/**
 * Two wheels of one place cut across the axle, one over the other, with what moves between them at the edges it moves at: the
 * hub's face at x = 0, outboard to the right, millimetres to scale. Drawing geometry only.
 *
 * @param box the part that is shown, with room for texts on both sides
 * @param moves outer edge, inner edge, outer wall, inner wall, radius
 */
public record EdgeDrawing(String box, List<Move> moves) {
    private static final double MM_PER_INCH = Length.MM_PER_INCH.doubleValue();
    private static final double TEXTS = 290;
    private static final double TICK = 9;

    /**
     * What one edge does.
     *
     * @param bar from where it was to where it is, with a tick at both
     * @param lead from there to its text
     * @param x where the text begins, or ends
     * @param anchor start, middle or end
     */
    public record Move(String bar, String lead, String x, String y, String anchor) {}

    /** A wheel's edges. */
    private record Edges(double middle, double half, double wall, double seat, double outside) {
        static Edges of(Fitment f) {
            return new Edges(
                    -f.wheel().effectiveOffset().mm(),
                    f.wheel().width().doubleValue() * MM_PER_INCH / 2,
                    f.tyre().sectionWidth(f.wheel().width()).mm() / 2,
                    f.wheel().rimCode().doubleValue() * MM_PER_INCH / 2,
                    f.tyre().overallDiameter().mm() / 2);
        }

        double widest() {
            return seat + 0.55 * (outside - seat);
        }

        double farthest() {
            return Math.abs(middle) + wall;
        }
    }

    public static EdgeDrawing of(Fitment was, Fitment is) {
        Edges a = Edges.of(was);
        Edges b = Edges.of(is);
        double side = Math.max(a.farthest(), b.farthest()) + 26;
        double top = Math.max(a.outside(), b.outside());
        double rim = Math.min(a.seat(), b.seat()) - 30;
        double wall = (a.widest() + b.widest()) / 2;
        return new EdgeDrawing(
                String.format(
                        Locale.ROOT,
                        "%.1f %.1f %.1f %.1f",
                        -side - TEXTS,
                        -top - 114,
                        2 * (side + TEXTS),
                        top + 114 - 44),
                List.of(
                        across(a.middle() + a.half(), b.middle() + b.half(), rim, side, 1),
                        across(a.middle() - a.half(), b.middle() - b.half(), rim, side, -1),
                        across(a.middle() + a.wall(), b.middle() + b.wall(), wall, side, 1),
                        across(a.middle() - a.wall(), b.middle() - b.wall(), wall, side, -1),
                        upright(a.outside(), b.outside(), b.middle(), top)));
    }

    private static Move across(double from, double to, double z, double side, int out) {
        double far = out > 0 ? Math.max(from, to) : Math.min(from, to);
        return new Move(
                "M" + plain(from) + " " + up(z) + "H" + plain(to) + "M" + plain(from) + " " + up(z + TICK) + "v"
                        + plain(2 * TICK) + "M" + plain(to) + " " + up(z + TICK) + "v" + plain(2 * TICK),
                "M" + plain(far + out * 6) + " " + up(z) + "H" + plain(out * side),
                plain(out * (side + 8)),
                up(z),
                out > 0 ? "start" : "end");
    }

    private static Move upright(double from, double to, double x, double top) {
        return new Move(
                "M" + plain(x) + " " + up(from) + "V" + up(to) + "M" + plain(x - TICK) + " " + up(from) + "h"
                        + plain(2 * TICK) + "M" + plain(x - TICK) + " " + up(to) + "h" + plain(2 * TICK),
                "M" + plain(x) + " " + up(top + 6) + "V" + up(top + 20),
                plain(x),
                up(top + 56),
                "middle");
    }
}
