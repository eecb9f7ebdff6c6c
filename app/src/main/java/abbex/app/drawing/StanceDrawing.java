package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;
import static abbex.app.drawing.Elevation.up;

import abbex.core.ground.Crossing;
import abbex.core.ground.Passage;
import abbex.core.ground.Profile;
import abbex.core.ground.Stance;
import abbex.core.ground.Underbody;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A vehicle from its side, front to the left, on the ground: millimetres to scale. Drawing geometry only.
 *
 * @param box the part that is shown
 * @param ground the ground's line
 * @param bodies outlines, each with its style
 * @param wheels on the ground
 * @param under the underside
 * @param points of the underside, in the order of the vehicle
 * @param air from the place that comes nearest down to the ground
 */
public record StanceDrawing(
        String box, String ground, List<Body> bodies, List<Wheel> wheels, String under, List<Spot> points, String air) {
    /** Left free round the vehicle, mm. */
    private static final double AROUND = 260;

    private static final double BEYOND = 4000;

    /** An outline and how it lies. */
    public record Body(String style, String transform) {}

    /** A wheel. */
    public record Wheel(String x, String y, String tyre, String rim) {}

    /** A point. */
    public record Spot(String x, String y) {}

    /** The vehicle on level ground as it was, is and is planned, one outline over the other. */
    public static StanceDrawing level(Outline shape, Stance stance) {
        Profile level = new Profile(List.of(new Profile.Point(-100_000, 0), new Profile.Point(100_000, 0)));
        Underbody under = stance.planned();
        return of(
                shape,
                under,
                level,
                new Passage.Here(Crossing.pose(under, level, 0), Optional.empty()),
                stance.outlines());
    }

    /** The vehicle at a place of its way. */
    public static StanceDrawing on(Outline shape, Stance stance, Passage way, Passage.Here here) {
        return of(shape, way.under(), way.ground(), here, List.of(stance.going()));
    }

    private static StanceDrawing of(
            Outline shape, Underbody under, Profile ground, Passage.Here here, List<Stance.Outline> lips) {
        Crossing.Pose pose = here.pose();
        double along = pose.along();
        double scale = under.wheelbase() / shape.wheelbase();
        double left = -along - shape.ahead() * scale - AROUND;
        double right = -pose.rearAlong() + shape.behind() * scale + AROUND;
        double low = Math.min(0, Math.min(ground.up(along), ground.up(pose.rearAlong()))) - AROUND;
        double high = Math.max(ground.up(along), ground.up(pose.rearAlong())) + shape.top() * scale + AROUND / 2;
        List<Body> bodies = new ArrayList<>();
        lips.forEach(l -> bodies.add(body(shape, l, under, pose)));
        List<Spot> points = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (Underbody.Point p : under.points()) {
            double[] at = pose.put(p.station(), p.height(), under.frontRadius());
            points.add(new Spot(plain(-at[0]), up(at[1])));
            line.append(line.isEmpty() ? "M" : "L")
                    .append(plain(-at[0]))
                    .append(' ')
                    .append(up(at[1]));
        }
        return new StanceDrawing(
                plain(left) + " " + up(high) + " " + plain(right - left) + " " + plain(high - low),
                // A picture wider than the vehicle shows more of the ground.
                ground(ground, left - BEYOND, right + BEYOND, low - BEYOND),
                bodies,
                List.of(
                        wheel(along, pose.front(), under.frontRadius()),
                        wheel(pose.rearAlong(), pose.rear(), under.rearRadius())),
                line.toString(),
                points,
                here.least().map(l -> air(under, ground, pose, l.station())).orElse(""));
    }

    private static Wheel wheel(double along, double axle, double radius) {
        return new Wheel(plain(-along), up(axle), plain(radius), plain(radius * 0.68));
    }

    /** The outline scaled to the wheelbase, its arches put where the lips are, and turned with the vehicle. */
    private static Body body(Outline shape, Stance.Outline lips, Underbody under, Crossing.Pose pose) {
        double scale = under.wheelbase() / shape.wheelbase();
        double rake = Math.toDegrees(Math.atan2(lips.front() - lips.rear(), under.wheelbase()));
        double down = shape.arch() * scale - lips.front();
        return new Body(
                lips.when().name().toLowerCase(Locale.ROOT),
                "translate(" + plain(-pose.along()) + " " + up(pose.front() - under.frontRadius()) + ") rotate("
                        + degrees(Math.toDegrees(pose.turn())) + " 0 " + up(under.frontRadius()) + ") translate(0 "
                        + plain(down)
                        + ") rotate(" + degrees(rake) + " 0 " + plain(-shape.arch() * scale) + ") scale("
                        + String.format(Locale.ROOT, "%.4f", scale) + ")");
    }

    private static String degrees(double degrees) {
        return String.format(Locale.ROOT, "%.3f", degrees);
    }

    private static String ground(Profile ground, double left, double right, double low) {
        StringBuilder path = new StringBuilder("M" + plain(left) + " " + up(low) + "V" + up(ground.up(-left)));
        for (int i = ground.points().size() - 1; i >= 0; i--) {
            Profile.Point p = ground.points().get(i);
            if (-p.along() > left && -p.along() < right) {
                path.append("L").append(plain(-p.along())).append(' ').append(up(p.up()));
            }
        }
        return path.append("L")
                .append(plain(right))
                .append(' ')
                .append(up(ground.up(-right)))
                .append("V")
                .append(up(low))
                .append("Z")
                .toString();
    }

    private static String air(Underbody under, Profile ground, Crossing.Pose pose, double station) {
        double height = 0;
        for (int i = 0; i < under.points().size(); i++) {
            Underbody.Point a = under.points().get(i);
            Underbody.Point b = under.points().get(Math.max(0, i - 1));
            if (station >= a.station() - 1 && (i == 0 || station <= b.station())) {
                double run = b.station() - a.station();
                height = a.height() + (run == 0 ? 0 : (station - a.station()) / run * (b.height() - a.height()));
                break;
            }
        }
        double[] at = pose.put(station, height, under.frontRadius());
        double floor = ground.up(at[0]);
        return Elevation.arrow(-at[0], floor, at[1], 1400);
    }
}
