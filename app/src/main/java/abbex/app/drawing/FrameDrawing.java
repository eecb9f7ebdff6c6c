package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import abbex.core.truck.Shackle;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A truck's frame from its left side: leaf pack, shackle, axle and driveline true to scale, before and after. Drawing geometry
 * only; mm, the fixed eye at 0, back to the right.
 *
 * @param states before, then as planned
 */
public record FrameDrawing(String box, String rail, List<State> states) {
    /**
     * How it stands.
     *
     * @param style was or planned
     * @param hangerX where its shackle turns
     * @param x of the axle's middle
     * @param tube its radius
     * @param shafts from the engine's to the pinion's; empty where nobody measured them
     * @param joints between them
     */
    public record State(
            String style,
            String leaf,
            String shackle,
            String hangerX,
            String hangerY,
            String x,
            String y,
            String tube,
            String wheel,
            String shafts,
            List<Joint> joints) {}

    /** Where two shafts meet. */
    public record Joint(String x, String y) {}

    /**
     * What it is drawn from.
     *
     * @param shackle where it is; null where nobody measured it: a usual one
     * @param fixed from the fixed eye to the axle
     * @param pack of the leaves, and of what lies between them and the axle's middle
     * @param under the axle is under its leaves
     * @param up by how much the axle stands higher by what turns nothing
     * @param slopes of engine, shafts and pinion, degrees down to the rear; empty where nobody measured them
     */
    public record Of(
            String style,
            @Nullable Shackle shackle,
            double fixed,
            double pack,
            boolean under,
            double up,
            double radius,
            List<Double> slopes,
            double length) {}

    private static final double TUBE = 40;
    private static final double ARCH = 70;
    private static final double RAIL = 150;
    private static final double ENGINE = 260;
    private static final double PINION = 300;
    private static final double TURN = Math.PI / 180;

    public static FrameDrawing of(List<Of> all) {
        List<State> states = new ArrayList<>();
        double left = -160;
        double right = 0;
        double low = 0;
        for (Of one : all) {
            states.add(state(one));
            right = Math.max(right, one.fixed() + one.radius());
            low = Math.max(low, ARCH + TUBE + one.radius());
            if (!one.slopes().isEmpty()) {
                left = Math.min(left, one.fixed() - PINION - one.length() - ENGINE - 60);
            }
            if (one.shackle() != null) {
                right = Math.max(right, one.shackle().chord() + 160);
            }
        }
        double top = RAIL + 80;
        for (State state : states) {
            top = Math.max(top, Double.parseDouble(state.wheel()) - Double.parseDouble(state.y()) + 20);
        }
        return new FrameDrawing(
                plain(left) + " " + plain(-top) + " " + plain(right - left + 60) + " " + plain(top + low + 40),
                "M" + plain(left) + " " + plain(-RAIL) + "H" + plain(right) + "M" + plain(left) + " "
                        + plain(-RAIL + 60) + "H" + plain(right),
                states);
    }

    private static State state(Of one) {
        Shackle.@Nullable At at = one.shackle() == null ? null : one.shackle().at();
        double chord = one.shackle() == null ? 2 * one.fixed() : one.shackle().chord();
        double eyeX = at == null ? chord : at.eyeX();
        double eyeZ = at == null ? 0 : at.eyeZ();
        double turn = Math.atan2(eyeZ, eyeX);
        double cos = Math.cos(turn);
        double sin = Math.sin(turn);
        double seat = ARCH;
        double middle = one.under() ? seat + one.pack() : seat - one.pack();
        double x = one.fixed() * cos + middle * sin;
        double z = one.fixed() * sin - middle * cos + one.up();
        double bowX = one.fixed() * cos + 2 * seat * sin;
        double bowZ = one.fixed() * sin - 2 * seat * cos + one.up();
        List<Joint> joints = new ArrayList<>();
        return new State(
                one.style(),
                "M0 0Q" + plain(bowX) + " " + plain(-bowZ) + " " + plain(eyeX) + " " + plain(-eyeZ),
                one.shackle() == null
                        ? ""
                        : "M" + plain(eyeX) + " " + plain(-eyeZ) + "L"
                                + plain(one.shackle().hangerX()) + " "
                                + plain(-one.shackle().hangerZ()),
                one.shackle() == null ? "" : plain(one.shackle().hangerX()),
                one.shackle() == null ? "" : plain(-one.shackle().hangerZ()),
                plain(x),
                plain(-z),
                plain(TUBE),
                plain(one.radius()),
                one.slopes().isEmpty() ? "" : shafts(one, x, z, joints),
                joints);
    }

    /** From the pinion forward: each shaft by its own slope. */
    private static String shafts(Of one, double x, double z, List<Joint> joints) {
        List<Double> slopes = one.slopes();
        double pinion = slopes.get(slopes.size() - 1) * TURN;
        double px = x - PINION * Math.cos(pinion);
        double pz = z + PINION * Math.sin(pinion);
        StringBuilder path = new StringBuilder("M" + plain(x) + " " + plain(-z) + "L" + plain(px) + " " + plain(-pz));
        for (int i = slopes.size() - 2; i >= 0; i--) {
            joints.add(new Joint(plain(px), plain(-pz)));
            double slope = slopes.get(i) * TURN;
            double length = i == 0 ? ENGINE : i == slopes.size() - 2 ? one.length() : one.length() / 2;
            px -= length * Math.cos(slope);
            pz += length * Math.sin(slope);
            path.append("L").append(plain(px)).append(" ").append(plain(-pz));
        }
        return path.toString();
    }
}
