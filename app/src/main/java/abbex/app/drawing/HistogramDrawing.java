package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** How often each length was seen: a mark for each bin, as high as often, on a tape. Drawing geometry only. */
public record HistogramDrawing(String box, List<Bar> bars, List<Mark> marks) {
    private static final double WIDE = 320;
    private static final double HIGH = 96;
    private static final double FOOT = 22;
    private static final double EDGE = 14;
    private static final double INCH = 25.4;

    public record Bar(String x, String y, String width, String height) {}

    public record Mark(String x, String text) {}

    /**
     * @param counts how often, by bin
     * @param bin its width, mm
     */
    public static HistogramDrawing of(Map<Integer, Integer> counts, double bin, boolean metric) {
        int least = counts.keySet().stream().mapToInt(b -> b).min().orElse(0) - 1;
        int most = counts.keySet().stream().mapToInt(b -> b).max().orElse(0) + 1;
        // A single value is no needle in nothing.
        int pad = Math.max(0, (int) Math.round(8 / bin) - (most - least)) / 2;
        double from = (least - pad - 0.5) * bin;
        double to = (most + pad + 0.5) * bin;
        double scale = (WIDE - 2 * EDGE) / (to - from);
        int highest = counts.values().stream().mapToInt(n -> n).max().orElse(1);
        List<Bar> bars = new ArrayList<>();
        counts.forEach((b, n) -> {
            double height = HIGH * n / highest;
            bars.add(new Bar(
                    plain(EDGE + ((b - 0.5) * bin - from) * scale),
                    plain(HIGH - height),
                    plain(Math.max(1.5, bin * scale - 1)),
                    plain(height)));
        });
        return new HistogramDrawing(
                "0 0 " + plain(WIDE) + " " + plain(HIGH + FOOT), bars, marks(from, to, scale, metric));
    }

    private static List<Mark> marks(double from, double to, double scale, boolean metric) {
        double step = metric ? 5 : INCH / 8;
        while ((to - from) / step > 7) {
            step *= 2;
        }
        List<Mark> marks = new ArrayList<>();
        for (double at = Math.ceil(from / step) * step; at <= to; at += step) {
            marks.add(new Mark(plain(EDGE + (at - from) * scale), metric ? millimetres(at) : inches(at)));
        }
        return marks;
    }

    private static String millimetres(double mm) {
        return String.format(Locale.ROOT, "%.0f", mm).replace('-', '−');
    }

    /** In eighths. */
    private static String inches(double mm) {
        long eighths = Math.round(Math.abs(mm) / INCH * 8);
        long part = eighths % 8;
        long under = 8;
        while (part > 0 && part % 2 == 0) {
            part /= 2;
            under /= 2;
        }
        String whole = eighths / 8 == 0 && part > 0 ? "" : Long.toString(eighths / 8);
        String text = part == 0 ? whole : (whole.isEmpty() ? "" : whole + " ") + part + "/" + under;
        return (mm < -0.01 ? "−" : "") + text;
    }
}
