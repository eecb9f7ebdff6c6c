package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/**
 * How the ends sink as the vehicle is driven: the road to the right, down as on a tape that hangs beside it. Drawing geometry
 * only.
 *
 * @param box the part that is shown
 * @param curves front, then rear
 * @param marks of the tape
 * @param roads marks of the road
 * @param floor y of the lower edge
 */
public record SettlingDrawing(String box, List<Curve> curves, List<Mark> marks, List<Mark> roads, String floor) {
    private static final double WIDE = 640;
    private static final double LEFT = 58;
    private static final double RIGHT = 612;
    private static final double TOP = 26;
    private static final double HIGH = 262;
    private static final double ROAD = 24;
    /** So much of the depth is drawn above the set-down. */
    private static final double DEEPER = 0.08;
    /** The least depth that is drawn, mm. */
    private static final double LEAST = 8;

    private static final double INCH = 25.4;

    /** So many steps make a curve. */
    public static final int STEPS = 32;

    /**
     * An end.
     *
     * @param line what is believed
     * @param band its interval, as a closed path
     * @param dots what was measured
     */
    public record Curve(String line, String band, List<Dot> dots, Beside beside) {}

    /** A sheet's height of a corner, or the mean of an end. */
    public record Dot(String x, String y, String name) {}

    /** Names of the front stand before and above their marks, those of the rear behind and below. */
    private static final List<Beside> BESIDE = List.of(new Beside("-9", "-6", "end"), new Beside("9", "15", "start"));

    /** Where names stand beside marks. */
    public record Beside(String dx, String dy, String anchor) {}

    /** A mark with what stands beside it; its text is empty for a small one. */
    public record Mark(String at, String text) {}

    /**
     * What an end did.
     *
     * @param sunk for each of the steps least, mean and most, mm down
     * @param seen distance, mm down and name of what was measured
     */
    public record End(List<double[]> sunk, List<Seen> seen) {}

    public record Seen(double km, double sunk, String name) {}

    /**
     * @param longest the distance that is drawn, km
     * @param metric the tape and the road in mm and km, else in inches and miles
     */
    public static SettlingDrawing of(List<End> ends, double longest, boolean metric) {
        double deepest = ends.stream()
                .flatMap(end -> Stream.concat(
                        end.sunk().stream().map(s -> s[2]), end.seen().stream().map(Seen::sunk)))
                .mapToDouble(Double::doubleValue)
                .max()
                .orElse(LEAST);
        double step = metric ? 1 : INCH / 16;
        double depth = Math.ceil((Math.max(LEAST, deepest) + step) / step) * step;
        Scale scale = new Scale(longest, depth);
        List<Curve> curves = new ArrayList<>();
        for (int i = 0; i < ends.size(); i++) {
            curves.add(scale.curve(ends.get(i), BESIDE.get(i)));
        }
        return new SettlingDrawing(
                "0 0 " + plain(WIDE) + " " + plain(HIGH + ROAD),
                curves,
                scale.tape(step, metric),
                scale.road(metric),
                plain(HIGH));
    }

    private record Scale(double longest, double depth) {
        String x(double km) {
            return plain(LEFT + (RIGHT - LEFT) * Math.min(km, longest) / longest);
        }

        String y(double sunk) {
            return plain(TOP + (HIGH - TOP) * Math.max(-DEEPER * depth, Math.min(sunk, depth)) / depth);
        }

        Curve curve(End end, Beside beside) {
            StringBuilder line = new StringBuilder();
            StringBuilder upper = new StringBuilder();
            StringBuilder lower = new StringBuilder();
            int last = end.sunk().size() - 1;
            for (int i = 0; i <= last; i++) {
                String x = x(longest * i / last);
                double[] s = end.sunk().get(i);
                line.append(i == 0 ? "M" : "L").append(x).append(' ').append(y(s[1]));
                upper.append(i == 0 ? "M" : "L").append(x).append(' ').append(y(s[0]));
                lower.insert(0, "L" + x + " " + y(s[2]));
            }
            return new Curve(line.toString(), upper.append(lower).append('Z').toString(), dots(end.seen()), beside);
        }

        /** What stands at one spot, to the pixel, has one name after the other. */
        private List<Dot> dots(List<Seen> seen) {
            Map<String, Dot> dots = new LinkedHashMap<>();
            for (Seen one : seen) {
                Dot dot = new Dot(x(one.km()), y(one.sunk()), one.name());
                dots.merge(
                        pixel(dot.x()) + " " + pixel(dot.y()),
                        dot,
                        (a, b) -> new Dot(a.x(), a.y(), a.name() + " " + b.name()));
            }
            return List.copyOf(dots.values());
        }

        private static long pixel(String at) {
            return Math.round(Double.parseDouble(at));
        }

        List<Mark> tape(double step, boolean metric) {
            List<Mark> marks = new ArrayList<>();
            int many = (int) Math.round(depth / step);
            for (int i = 0; i <= many; i++) {
                marks.add(new Mark(y(i * step), i == 0 ? "" : metric ? millimetres(i) : sixteenths(i)));
            }
            return marks;
        }

        private static String millimetres(int mm) {
            return mm % 2 == 0 ? mm + " mm" : "";
        }

        /** Eighths have their number, sixteenths a mark. */
        private static String sixteenths(int n) {
            if (n % 2 != 0) {
                return "";
            }
            int whole = n / 16;
            int part = n % 16;
            int under = 16;
            while (part > 0 && part % 2 == 0) {
                part /= 2;
                under /= 2;
            }
            return part == 0 ? whole + "″" : (whole == 0 ? "" : whole + " ") + part + "/" + under + "″";
        }

        List<Mark> road(boolean metric) {
            double unit = metric ? 1 : 1.609344;
            double each = metric ? 400 : 250;
            while (longest / unit / each > 7) {
                each *= 2;
            }
            List<Mark> marks = new ArrayList<>();
            for (double at = 0; at * unit <= longest * 1.0001; at += each) {
                marks.add(new Mark(
                        x(at * unit),
                        at == 0 ? "0" : String.format(Locale.ENGLISH, "%,.0f", at) + (metric ? " km" : " mi")));
            }
            return marks;
        }
    }
}
