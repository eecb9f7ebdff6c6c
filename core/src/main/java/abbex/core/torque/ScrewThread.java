package abbex.core.torque;

import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A screw thread, metric or unified.
 *
 * @param diameter nominal, mm
 * @param pitch mm
 * @param unified false for a metric one
 */
public record ScrewThread(double diameter, double pitch, boolean unified) {
    private static final double INCH = 25.4;
    private static final Pattern METRIC =
            Pattern.compile("[Mm]\\s*(\\d{1,2}(?:[.]5)?)(?:\\s*[x×X*]\\s*(\\d(?:[.,]\\d{1,2})?))?");
    private static final Pattern UNIFIED =
            Pattern.compile("(\\d{1,2})/(\\d{1,2})\\s*[-x×]\\s*(\\d{1,2})(?:\\s*UN[CF])?");

    /** Coarse pitches by diameter, mm (ISO 261). */
    private static final Map<Double, Double> COARSE = Map.ofEntries(
            Map.entry(4.0, 0.7),
            Map.entry(5.0, 0.8),
            Map.entry(6.0, 1.0),
            Map.entry(7.0, 1.0),
            Map.entry(8.0, 1.25),
            Map.entry(10.0, 1.5),
            Map.entry(12.0, 1.75),
            Map.entry(14.0, 2.0),
            Map.entry(16.0, 2.0),
            Map.entry(18.0, 2.5),
            Map.entry(20.0, 2.5),
            Map.entry(22.0, 2.5),
            Map.entry(24.0, 3.0));

    public ScrewThread {
        if (!(diameter > 0 && pitch > 0 && pitch < diameter / 2)) {
            throw new IllegalArgumentException("thread: " + diameter + " × " + pitch + " mm");
        }
    }

    /** As people write it: M12x1.75, M8 for the coarse one, 1/2-20; empty where it is no thread. */
    public static Optional<ScrewThread> read(String text) {
        Matcher metric = METRIC.matcher(text.strip());
        if (metric.matches()) {
            double diameter = Double.parseDouble(metric.group(1));
            Double pitch = metric.group(2) == null
                    ? COARSE.get(diameter)
                    : Double.valueOf(metric.group(2).replace(',', '.'));
            return pitch == null || pitch <= 0 || pitch >= diameter / 2
                    ? Optional.empty()
                    : Optional.of(new ScrewThread(diameter, pitch, false));
        }
        Matcher unified = UNIFIED.matcher(text.strip());
        if (!unified.matches() || Integer.parseInt(unified.group(2)) == 0 || Integer.parseInt(unified.group(3)) == 0) {
            return Optional.empty();
        }
        double diameter = INCH * Integer.parseInt(unified.group(1)) / Integer.parseInt(unified.group(2));
        double pitch = INCH / Integer.parseInt(unified.group(3));
        return diameter > 2 * pitch ? Optional.of(new ScrewThread(diameter, pitch, true)) : Optional.empty();
    }

    /** Stress area in mm²: π/4 (d − 0.938 194 p)² (ISO 898-1, 9.1.6.1), unified π/4 (d − 0.9743 p)² (ASME B1.1, appendix B). */
    public double stressArea() {
        double d = diameter - (unified ? 0.9743 : 0.938194) * pitch;
        return Math.PI / 4 * d * d;
    }
}
