package abbex.app.drawing;

import abbex.core.vehicle.End;
import java.util.List;
import java.util.Optional;

/**
 * A vehicle from its side as it stands for a step: what carries it, which wheels are off, and where the work is. Millimetres;
 * front axle at x = 0, up is negative.
 *
 * @param box the drawing's own measures
 * @param symbol of its outline
 * @param across turns it round, for its right side
 * @param body how far it is moved
 * @param carried what it stands on: a lift's pads, stands or nothing, and a jack under what is carried
 * @param floor its line
 */
public record FootingDrawing(
        String box, String symbol, String across, String body, String carried, String floor, List<Wheel> wheels) {
    private static final double LIFT = 560;
    private static final double STANDS = 380;
    private static final double HUB = 315;
    private static final double DROOP = 60;
    private static final double SILL = 195;
    private static final double AIR = 70;

    /**
     * A wheel.
     *
     * @param off its hub is bare
     * @param hand the work is there
     */
    public record Wheel(String x, String y, boolean off, boolean hand) {}

    /**
     * How it stands.
     *
     * @param height 0 on its wheels, 1 with an arm or axle carried, 2 hanging
     * @param end where the work is; empty for all of it
     * @param off ends whose wheel is off on this side
     */
    public record Stand(int height, boolean lift, Optional<End> end, boolean right, List<End> off) {}

    public static FootingDrawing of(String symbol, Stand stand) {
        Outline outline = Outline.of(symbol);
        double up = stand.height() == 0 ? 0 : stand.lift() ? LIFT : STANDS;
        double wide = outline.wheelbase() + outline.ahead() + outline.behind() + 4 * AIR;
        double left = -outline.ahead() - 2 * AIR;
        double top = outline.top() + up + AIR;
        return new FootingDrawing(
                join(left, -top, wide, top + AIR),
                symbol,
                // Turned about the middle of the box, so that it stays inside.
                stand.right() ? "translate(" + Elevation.plain(2 * left + wide) + " 0) scale(-1 1)" : "translate(0 0)",
                "translate(0 " + Elevation.up(up) + ")",
                carried(outline, stand, up),
                "M" + Elevation.plain(left) + " 0h" + Elevation.plain(wide),
                List.of(wheel(End.FRONT, 0, stand, up), wheel(End.REAR, outline.wheelbase(), stand, up)));
    }

    private static String join(double... numbers) {
        StringBuilder all = new StringBuilder();
        for (double number : numbers) {
            all.append(all.isEmpty() ? "" : " ").append(Elevation.plain(number));
        }
        return all.toString();
    }

    private static boolean here(End end, Stand stand) {
        return stand.end().filter(e -> e == end).isPresent();
    }

    private static Wheel wheel(End end, double x, Stand stand, double up) {
        boolean carried = stand.height() == 1 && here(end, stand);
        double droop = stand.height() == 0 || carried ? 0 : DROOP;
        return new Wheel(
                Elevation.plain(x), Elevation.up(HUB + up - droop), stand.off().contains(end), here(end, stand));
    }

    private static String carried(Outline outline, Stand stand, double up) {
        StringBuilder path = new StringBuilder();
        if (stand.height() > 0) {
            for (double part : new double[] {0.24, 0.76}) {
                double x = part * outline.wheelbase();
                double sill = up + SILL;
                path.append("M").append(join(x - 130, -sill)).append("h260M").append(join(x, -sill));
                path.append(stand.lift() ? "V0" : "V-150M" + join(x, -150) + "L" + join(x - 150, 0) + "h300Z");
            }
        }
        if (stand.height() == 1) {
            double x = here(End.REAR, stand) ? outline.wheelbase() : 0;
            double under = up + HUB - 120;
            path.append("M").append(join(x - 90, -under)).append("h180M").append(join(x, -under));
            path.append("V0M").append(join(x - 140, 0)).append("h280");
        }
        return path.toString();
    }
}
