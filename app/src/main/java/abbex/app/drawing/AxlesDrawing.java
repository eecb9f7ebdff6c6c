package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Four wheels from above, nose to the left, toe drawn many times as large; beside each its camber, seen from behind. Drawing
 * geometry only.
 *
 * @param wheels LF, RF, RR, LR
 * @param thrust where the rear axle steers to, as a path; empty where that is not known
 */
public record AxlesDrawing(List<Seen> wheels, String thrust) {
    /** Toe and camber are drawn so many times as large. */
    private static final double TOE_TIMES = 25;

    private static final double CAMBER_TIMES = 6;
    private static final double MOST = 24;
    /** Where the wheels stand: LF, RF, RR, LR; the left side below. */
    private static final double[][] AT = {{90, 226}, {90, 74}, {350, 74}, {350, 226}};

    /** A wheel's angles in degrees and how they are written. */
    public record Wheel(OptionalDouble toe, OptionalDouble camber, String camberText, String toeText) {}

    /**
     * A wheel in the drawing.
     *
     * @param turn of the tyre from above
     * @param lean of the tyre from behind
     */
    public record Seen(String x, String y, String turn, String lean, boolean left, String camber, String toe) {}

    public static AxlesDrawing of(List<Wheel> wheels, OptionalDouble thrust) {
        List<Seen> seen = new ArrayList<>();
        for (int c = 0; c < AT.length; c++) {
            Wheel wheel = wheels.get(c);
            boolean left = AT[c][1] > 150;
            // Toe-in turns a left wheel's front towards the middle: up in the drawing, its front being to the left.
            double turn = (left ? 1 : -1) * bounded(wheel.toe().orElse(0) * TOE_TIMES);
            // From behind, camber below nothing leans the top inwards: the left wheel's to the right.
            double lean = (left ? -1 : 1) * bounded(wheel.camber().orElse(0) * CAMBER_TIMES);
            seen.add(new Seen(
                    plain(AT[c][0]),
                    plain(AT[c][1]),
                    plain(turn),
                    plain(lean),
                    left,
                    wheel.camberText(),
                    wheel.toeText()));
        }
        return new AxlesDrawing(seen, thrust.isEmpty() ? "" : thrust(thrust.getAsDouble()));
    }

    /** From the rear axle forward: to the right is up in the drawing. */
    private static String thrust(double degrees) {
        double rad = Math.toRadians(bounded(degrees * TOE_TIMES));
        return "M350 150L" + plain(350 - 250 * Math.cos(rad)) + " " + plain(150 - 250 * Math.sin(rad));
    }

    private static double bounded(double degrees) {
        return Math.max(-MOST, Math.min(MOST, degrees));
    }
}
