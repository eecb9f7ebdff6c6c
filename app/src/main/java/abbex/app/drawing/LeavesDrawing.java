package abbex.app.drawing;

import abbex.core.state.OpenWork;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A vehicle as it stands before it leaves, front to the left, in mm: what it stands on, which wheels are off, and at each place
 * the numbers of what is said of it. Drawing geometry only.
 *
 * @param lift how far it is drawn over the floor
 * @param posts what carries it; empty on its wheels
 */
public record LeavesDrawing(
        String box, List<String> outline, String lift, String posts, List<Wheel> wheels, List<Badge> badges) {
    private static final double RADIUS = 317;
    private static final double RAISED = 420;
    private static final double AROUND = 300;
    private static final double BADGE = 230;

    /** A wheel; crossed out where one of its end is off. */
    public record Wheel(String x, String y, boolean off) {}

    /** A number at a place. */
    public record Badge(String x, String y, int number, String mark) {}

    /**
     * What is said of a place.
     *
     * @param end empty for the vehicle as a whole
     * @param low it lies at the floor
     */
    public record Said(int number, String mark, Optional<End> end, boolean low) {}

    public static LeavesDrawing of(Outline shape, OpenWork open, List<Said> said) {
        double up = open.footing().raised() ? RAISED : 0;
        double rear = shape.wheelbase();
        List<Wheel> wheels = new ArrayList<>();
        for (End end : End.values()) {
            wheels.add(new Wheel(
                    number(end == End.FRONT ? 0 : rear),
                    number(-RADIUS - up),
                    open.wheelsOff().stream().anyMatch(place -> at(place.code(), end))));
        }
        return new LeavesDrawing(
                String.format(
                        Locale.ROOT,
                        "%.0f %.0f %.0f %.0f",
                        -shape.ahead() - AROUND,
                        -shape.top() - up - AROUND,
                        shape.ahead() + rear + shape.behind() + 2 * AROUND,
                        shape.top() + up + 2 * AROUND),
                shape.lines(),
                number(-up),
                up == 0 ? "" : String.format(Locale.ROOT, "M%1$.0f 0V-575M%2$.0f 0V-575", 0.2 * rear, 0.8 * rear),
                wheels,
                badges(shape, up, said));
    }

    private static boolean at(String code, End end) {
        return code.equals(end.code()) || code.length() == 2 && code.endsWith(end == End.FRONT ? "F" : "R");
    }

    /** Those of one place one over the other. */
    private static List<Badge> badges(Outline shape, double up, List<Said> said) {
        List<Badge> badges = new ArrayList<>();
        Map<String, Integer> stacked = new HashMap<>();
        for (Said one : said) {
            double x = one.end()
                    .map(end -> end == End.FRONT ? 0 : shape.wheelbase())
                    .orElse(shape.wheelbase() / 2);
            int over = stacked.merge(one.end() + " " + one.low(), 1, Integer::sum) - 1;
            double y = one.low() ? 0 : one.end().isPresent() ? -shape.arch() - up : -shape.top() * 0.55 - up;
            badges.add(new Badge(
                    number(x + BADGE * (over % 4 - 1)), number(y - BADGE * (over / 4)), one.number(), one.mark()));
        }
        return badges;
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.0f", value);
    }
}
