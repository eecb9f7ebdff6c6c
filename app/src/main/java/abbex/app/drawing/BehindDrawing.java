package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import abbex.core.kit.MachinePlan;
import abbex.core.motorcycle.LeanClearance;
import abbex.core.motorcycle.SideStand;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A motorcycle from behind: on its side stand before and after, and the ground as it comes to a part in a lean. Drawing geometry
 * only; mm, the tyre's contact at 0, its left on the left.
 */
public record BehindDrawing(String box, String floor, List<Machine> machines, List<Ground> grounds) {
    /**
     * A machine.
     *
     * @param style was or planned
     * @param turn how it leans
     * @param stand from its pivot to its foot, in the machine's own frame; empty for one upright
     */
    public record Machine(String style, String turn, String outline, String stand) {}

    /** Where the ground touches tyre and part, in the machine's frame. */
    public record Ground(String style, String line, String x, String y) {}

    private static final double HIGH = 1150;
    private static final double WIDE = 620;

    public static BehindDrawing of(MachinePlan plan) {
        List<Machine> machines = new ArrayList<>();
        plan.stand().ifPresent(stood -> {
            machines.add(machine("was", stood.was()));
            machines.add(machine("planned", stood.is()));
        });
        if (machines.isEmpty()) {
            machines.add(new Machine("planned", "rotate(0)", outline(0), ""));
        }
        List<Ground> grounds = new ArrayList<>();
        for (MachinePlan.Touched touch : plan.touches()) {
            double side = touch.side() == abbex.core.kit.KitFinding.Side.LEFT ? -1 : 1;
            grounds.add(ground("was", touch.was(), side));
            grounds.add(ground("planned", touch.is(), side));
        }
        return new BehindDrawing(
                plain(-WIDE) + " " + plain(-HIGH) + " " + plain(2 * WIDE) + " " + plain(HIGH + 60),
                "M" + plain(-WIDE) + " 0H" + plain(WIDE),
                machines,
                grounds);
    }

    private static Machine machine(String style, SideStand stand) {
        double spread = Math.toRadians(stand.spread());
        double lean = stand.lean();
        return new Machine(
                style,
                String.format(Locale.ROOT, "rotate(%.2f)", -lean),
                outline(0),
                "M" + plain(-stand.out()) + " " + plain(-stand.height())
                        + "l" + plain(-stand.length() * Math.sin(spread)) + " "
                        + plain(stand.length() * Math.cos(spread)));
    }

    /** Tyre, seat and bars: enough to see which way it leans. */
    private static String outline(double down) {
        return "M-65 -70Q-70 0 0 0Q70 0 65 -70V-560Q0 -640 -65 -560Z"
                + "M-150 -" + plain(780 - down) + "Q0 -830 150 -" + plain(780 - down)
                + "M-110 -770L-60 -600M110 -770L60 -600"
                + "M-390 -1010L-300 -1030Q0 -1000 300 -1030L390 -1010M0 -1010V-815";
    }

    private static Ground ground(String style, LeanClearance of, double side) {
        double lean = Math.toRadians(of.degrees());
        double x = of.out() * side;
        // The line that touches the crown's circle and the part, drawn through the part and on both ways.
        double dx = Math.cos(lean) * side;
        double dy = -Math.sin(lean);
        double back = of.out() / Math.cos(lean);
        return new Ground(
                style,
                "M" + plain(x - back * dx) + " " + plain(-of.high() - back * dy) + "L" + plain(x + 160 * dx) + " "
                        + plain(-of.high() + 160 * dy),
                plain(x),
                plain(-of.high()));
    }
}
