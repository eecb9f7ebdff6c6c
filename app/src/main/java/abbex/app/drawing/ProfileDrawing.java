package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import abbex.core.ground.Profile;
import java.util.List;

/**
 * A ground in small, the way up to the left as the vehicle faces it: its whole length in one width, its height larger than life
 * where it is gentle. Drawing geometry only.
 *
 * @param box the part that is shown
 * @param line the ground, closed below
 * @param points where it bends
 */
public record ProfileDrawing(String box, String line, List<Spot> points) {
    private static final double WIDE = 120;
    private static final double HIGH = 40;
    private static final double EDGE = 5;

    /** A bend. */
    public record Spot(String x, String y) {}

    public static ProfileDrawing of(List<Profile.Point> points) {
        double first = points.get(0).along();
        double length = points.get(points.size() - 1).along() - first;
        double low = points.stream().mapToDouble(Profile.Point::up).min().orElse(0);
        double rise = points.stream().mapToDouble(Profile.Point::up).max().orElse(0) - low;
        double across = (WIDE - 20) / Math.max(1, length);
        double up = Math.min((HIGH - 2 * EDGE) / Math.max(1, rise), 6 * across);
        List<Spot> spots = points.stream()
                .map(p -> new Spot(
                        plain(WIDE - 10 - (p.along() - first) * across), plain(HIGH - EDGE - (p.up() - low) * up)))
                .toList();
        StringBuilder line = new StringBuilder(
                "M" + plain(WIDE) + " " + plain(HIGH) + "V" + spots.get(0).y());
        spots.forEach(s -> line.append('L').append(s.x()).append(' ').append(s.y()));
        line.append("H0V").append(plain(HIGH)).append('Z');
        return new ProfileDrawing("0 0 " + plain(WIDE) + " " + plain(HIGH), line.toString(), spots);
    }
}
