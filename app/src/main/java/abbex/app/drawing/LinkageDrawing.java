package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import abbex.core.motorcycle.RearLinkage;
import abbex.core.motorcycle.RearLinkage.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A motorcycle's rear from its left side: arm, rocker, link and spring as they stand and as planned, and
 * how the ratio goes over the travel. Drawing geometry only; mm, the arm's pivot at 0, back to the right.
 *
 * @param poses of the planned linkage, one for each step of a slider: lines, and the wheel's middle
 * @param ratios spring travel over wheel travel, before and after
 */
public record LinkageDrawing(
        String box,
        String tyre,
        Lines was,
        List<Pose> poses,
        int rest,
        List<String> ratios,
        String curveBox,
        String curveAt) {
    /** Arm and spring, rocker and link. */
    public record Lines(String arm, String rocker, String link, String spring, String x, String y) {}

    /** Where a slider stands, mm of travel from the planned height, and the ratio there. */
    public record Pose(Lines lines, String travel, String ratio) {}

    private static final int DOWN = 40;
    private static final int UP = 80;
    private static final int STEP = 4;
    private static final double AIR = 50;

    private static final double CURVE = 100;

    /**
     * @param drop how far the rear comes down, mm
     * @param radius of the rear tyre, mm
     */
    public static LinkageDrawing of(RearLinkage was, RearLinkage is, double drop, double radius) {
        List<Pose> poses = new ArrayList<>();
        int rest = 0;
        for (int travel = -DOWN; travel <= UP; travel += STEP) {
            Optional<RearLinkage.Pose> pose = is.at(drop + travel);
            if (pose.isPresent()) {
                if (travel == 0) {
                    rest = poses.size();
                }
                poses.add(new Pose(
                        lines(is, pose.get()),
                        Integer.toString(travel),
                        String.format(java.util.Locale.ROOT, "%.2f", is.ratio(drop + travel))));
            }
        }
        // Close to the arm: of the wheel as much as fits.
        double left = Math.min(-70, -was.top().x() - AIR);
        double high = was.top().z() + AIR / 2;
        double low = Math.min(was.rocker().z(), was.knee().z()) - AIR;
        double width = -was.axle().x() + 2 * AIR - left;
        return new LinkageDrawing(
                plain(left) + " " + plain(-high) + " " + plain(width) + " "
                        + plain(high - Math.min(low, was.axle().z() - 2 * AIR)),
                plain(radius),
                lines(was, was.at(0).orElseThrow()),
                poses,
                rest,
                List.of(curve(was, 0), curve(is, drop)),
                plain(-DOWN) + " 0 " + plain(DOWN + UP) + " " + plain(CURVE),
                "M0 0V" + plain(CURVE));
    }

    private static Lines lines(RearLinkage of, RearLinkage.Pose pose) {
        boolean direct = of.kind() == RearLinkage.Kind.DIRECT;
        return new Lines(
                line(of.arm(), pose.axle()),
                direct
                        ? ""
                        : line(pose.rocker(), pose.knee())
                                + line(pose.knee(), pose.foot())
                                + line(pose.foot(), pose.rocker()),
                direct ? "" : line(pose.knee(), pose.far()),
                coil(pose.foot(), of.top()),
                plain(-pose.axle().x()),
                plain(-pose.axle().z()));
    }

    private static String at(Point p) {
        return plain(-p.x()) + " " + plain(-p.z());
    }

    private static String line(Point from, Point to) {
        return "M" + at(from) + "L" + at(to);
    }

    /** Zigzags between its eyes. */
    private static String coil(Point foot, Point top) {
        int turns = 9;
        double dx = top.x() - foot.x();
        double dz = top.z() - foot.z();
        double length = Math.hypot(dx, dz);
        StringBuilder path = new StringBuilder("M" + at(foot));
        for (int i = 0; i < turns; i++) {
            double part = 0.15 + 0.7 * (i + 0.5) / turns;
            double side = i % 2 == 0 ? 22 : -22;
            path.append("L")
                    .append(at(new Point(
                            foot.x() + part * dx - side * dz / length, foot.z() + part * dz + side * dx / length)));
        }
        return path.append("L").append(at(top)).toString();
    }

    /** Over the travel from its own rest, ratios from nothing to one. */
    private static String curve(RearLinkage of, double rest) {
        StringBuilder path = new StringBuilder();
        for (int travel = -DOWN; travel <= UP; travel += STEP) {
            double ratio = of.ratio(rest + travel);
            if (!Double.isNaN(ratio)) {
                path.append(path.isEmpty() ? "M" : "L")
                        .append(plain(travel))
                        .append(" ")
                        .append(plain(CURVE - CURVE * Math.max(0, Math.min(1, ratio))));
            }
        }
        return path.toString();
    }
}
