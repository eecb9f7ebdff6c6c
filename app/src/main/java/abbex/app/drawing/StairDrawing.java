package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import java.util.ArrayList;
import java.util.List;

/**
 * How a body comes down part by part: a staircase from as it stands to as it will stand, one column a part. Drawing geometry
 * only.
 *
 * @param box the part that is shown: columns of one width
 * @param treads as it stands, then after each part
 * @param risers from one to the next
 * @param widths how far each tread may lie higher or lower
 */
public record StairDrawing(String box, List<String> treads, List<String> risers, List<String> widths) {
    private static final double COLUMN = 100;
    private static final double HIGH = 130;
    private static final double EDGE = 12;

    /**
     * A staircase.
     *
     * @param drops mm, positive down, in their order
     * @param halves half of what each may be off by, mm
     */
    public static StairDrawing of(List<Double> drops, List<Double> halves) {
        double at = 0;
        double top = 0;
        double foot = 0;
        for (int i = 0; i < drops.size(); i++) {
            at += drops.get(i);
            top = Math.min(top, at - halves.get(i));
            foot = Math.max(foot, at + halves.get(i));
        }
        double scale = (HIGH - 2 * EDGE) / Math.max(20, foot - top);
        List<String> treads = new ArrayList<>();
        List<String> risers = new ArrayList<>();
        List<String> widths = new ArrayList<>();
        double y = EDGE - top * scale;
        treads.add("M8 " + plain(y) + "H" + plain(COLUMN - 4));
        for (int i = 0; i < drops.size(); i++) {
            double left = (i + 1) * COLUMN;
            double to = y + drops.get(i) * scale;
            risers.add("M" + plain(left) + " " + plain(y) + "V" + plain(to));
            treads.add("M" + plain(left) + " " + plain(to) + "H" + plain(left + COLUMN - 4));
            double half = halves.get(i) * scale;
            widths.add("M" + plain(left + 4) + " " + plain(to - half) + "h" + plain(COLUMN - 12) + "v" + plain(2 * half)
                    + "h" + plain(12 - COLUMN) + "Z");
            y = to;
        }
        return new StairDrawing(
                "0 0 " + plain((drops.size() + 1) * COLUMN) + " " + plain(HIGH), treads, risers, widths);
    }
}
