package abbex.app.set;

import abbex.core.vehicle.Corner;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** The body as a plate on four legs, nose to the left, seen from above and behind; what is off is drawn many times as large. */
final class PlateDrawing {
    /** Millimetres off are drawn so many units large. */
    static final double TIMES = 4;

    private static final double MOST = 60;
    /** Feet of the legs: LF, RF, RR, LR. */
    private static final double[][] FEET = {{110, 330}, {170, 210}, {490, 210}, {430, 330}};
    /** How long a leg is at the height that is wanted. */
    private static final double LEG = 110;

    private PlateDrawing() {}

    static SetPage.Plate of(double[] now, double[] after, double[] wanted) {
        List<SetPage.Leg> legs = new ArrayList<>();
        for (int c = 0; c < FEET.length; c++) {
            legs.add(new SetPage.Leg(
                    Corner.WALK.get(c).code(),
                    FEET[c][0],
                    FEET[c][1],
                    top(c, now[c] - wanted[c]),
                    top(c, after[c] - wanted[c])));
        }
        return new SetPage.Plate(outline(now, wanted), outline(after, wanted), outline(wanted, wanted), legs);
    }

    private static double top(int corner, double off) {
        return FEET[corner][1] - LEG - Math.max(-MOST, Math.min(MOST, off * TIMES));
    }

    private static String outline(double[] heights, double[] wanted) {
        StringBuilder points = new StringBuilder();
        for (int c = 0; c < FEET.length; c++) {
            points.append(String.format(Locale.ROOT, "%.1f,%.1f ", FEET[c][0], top(c, heights[c] - wanted[c])));
        }
        return points.toString().strip();
    }
}
