package abbex.core.heights;

import abbex.core.heights.Unknown.Freedom;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Vehicle;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * Where the frame points lie in the body's plane, in half wheelbases forward and half tracks to the left, as far as anybody
 * knows. Usually nobody measured it: how far they are apart, how far their middle lies ahead and how far they lie outboard
 * are unknowns with a width of their own. What they move by is a product of such a place and of the body's pitch or roll, so
 * it is solved by steps (Gauss-Newton), each linear about the one before.
 *
 * @param apart half of what front and rear points are apart
 * @param apartWidth how well that is known, one standard deviation
 * @param outboard how far they lie from the middle
 * @param places the unknowns' values at the last step
 * @param poses pitch, roll and twist of each sheet at the last step, in mm
 */
record FramePlaces(
        double apart, double apartWidth, double outboard, Map<Unknown.FramePlace, Double> places, double[][] poses) {
    /** Front and rear points, whether measured apart or not, lie with their middle so near to the wheels' (ours). */
    private static final double AHEAD_WIDTH = 0.12;

    private static final double OUTBOARD_WIDTH = 0.1;

    /** Not measured: pinch welds and rails lie from 0.4 to 0.9 of the wheelbase apart (ours). */
    private static final double APART_WIDTH = 0.15;

    /** Measured by tape between two points that are found by eye. */
    private static final double MEASURED_WIDTH = 0.01;

    /** Where they lie as far as is known before any height is read. */
    static FramePlaces of(Vehicle vehicle, int sheets) {
        boolean measured =
                vehicle.frameBase().isPresent() && vehicle.wheelbase().isPresent();
        double apart = measured
                ? vehicle.frameBase().get().mm() / vehicle.wheelbase().get().mm()
                : Floor.FRAME_PITCH;
        return new FramePlaces(
                apart, measured ? MEASURED_WIDTH : APART_WIDTH, Floor.FRAME_ROLL, Map.of(), new double[sheets][3]);
    }

    /** The next step: the same with what the last solution says. */
    FramePlaces at(ToDoubleFunction<Unknown> solved) {
        double[][] now = new double[poses.length][3];
        for (int sheet = 1; sheet < poses.length; sheet++) {
            now[sheet][0] = solved.applyAsDouble(new Unknown.Moved(Freedom.PITCH, sheet));
            now[sheet][1] = solved.applyAsDouble(new Unknown.Moved(Freedom.ROLL, sheet));
            now[sheet][2] = solved.applyAsDouble(new Unknown.Moved(Freedom.TWIST, sheet));
        }
        return new FramePlaces(
                apart,
                apartWidth,
                outboard,
                Map.of(
                        Unknown.FramePlace.APART, solved.applyAsDouble(Unknown.FramePlace.APART),
                        Unknown.FramePlace.AHEAD, solved.applyAsDouble(Unknown.FramePlace.AHEAD),
                        Unknown.FramePlace.OUTBOARD, solved.applyAsDouble(Unknown.FramePlace.OUTBOARD)),
                now);
    }

    double width(Unknown.FramePlace place) {
        return switch (place) {
            case APART -> apartWidth;
            case AHEAD -> AHEAD_WIDTH;
            case OUTBOARD -> OUTBOARD_WIDTH;
        };
    }

    private static double ahead(Corner corner) {
        return corner.end() == End.FRONT ? 1 : -1;
    }

    private static double left(Corner corner) {
        return corner.isLeft() ? 1 : -1;
    }

    private double value(Unknown.FramePlace place) {
        return places.getOrDefault(place, 0.0);
    }

    /** How far forward the point of a corner lies. */
    double forward(Corner corner) {
        return ahead(corner) * (apart + value(Unknown.FramePlace.APART)) + value(Unknown.FramePlace.AHEAD);
    }

    /** How far to the left. */
    double leftward(Corner corner) {
        return left(corner) * (outboard + value(Unknown.FramePlace.OUTBOARD));
    }

    /** What a point's height on a sheet changes by with one of the unknown places, in mm. */
    double slope(int sheet, Corner corner, Unknown.FramePlace place) {
        double[] pose = poses[sheet];
        double forward = pose[0] + leftward(corner) * pose[2];
        double leftward = pose[1] + forward(corner) * pose[2];
        return switch (place) {
            case APART -> ahead(corner) * forward;
            case AHEAD -> forward;
            case OUTBOARD -> left(corner) * leftward;
        };
    }

    /** What the linear sum says too much by: the places' part is in it twice, in mm. */
    double twice(int sheet, Corner corner) {
        double twice = 0;
        for (Unknown.FramePlace place : Unknown.FramePlace.values()) {
            twice += value(place) * slope(sheet, corner, place);
        }
        return twice;
    }
}
