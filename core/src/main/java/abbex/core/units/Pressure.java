package abbex.core.units;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A tyre or bag pressure above the atmosphere's, in kilopascals.
 *
 * <p>Source: 1 psi = 6.894 757 293 kPa (NIST SP 811); 1 bar = 100 kPa exactly.
 */
public record Pressure(double kPa) {
    /** Kilopascals in one psi. */
    public static final double KPA_PER_PSI = 6.894757293;

    private static final Pattern TEXT = Pattern.compile("(\\d{1,4}(?:\\.\\d{1,2})?)\\s*(psi|bar|kpa)?");
    private static final double LARGEST_KPA = 1000;

    public static Pressure ofPsi(double psi) {
        return new Pressure(psi * KPA_PER_PSI);
    }

    public static Pressure ofBar(double bar) {
        return new Pressure(bar * 100);
    }

    /**
     * Reads {@code 33}, {@code 33 psi}, {@code 2.3 bar}, {@code 230 kPa}. A bare number is bar below 7, psi below 100,
     * else kPa: no road tyre is run at 7 psi or at 7 bar on a lowered vehicle (ours). Empty when it is none of these or
     * above 1000 kPa.
     */
    public static Optional<Pressure> parse(String raw) {
        Matcher m = TEXT.matcher(raw.strip().toLowerCase(Locale.ROOT));
        if (!m.matches()) {
            return Optional.empty();
        }
        double number = Double.parseDouble(m.group(1));
        String unit = m.group(2) != null ? m.group(2) : number < 7 ? "bar" : number < 100 ? "psi" : "kpa";
        Pressure pressure = switch (unit) {
            case "psi" -> ofPsi(number);
            case "bar" -> ofBar(number);
            default -> new Pressure(number);
        };
        return pressure.kPa > LARGEST_KPA ? Optional.empty() : Optional.of(pressure);
    }

    public double psi() {
        return kPa / KPA_PER_PSI;
    }

    /** True when the two gauges' readings are not the same within 1 psi (ours: the step of a common gauge). */
    public boolean differsFrom(Pressure other) {
        return Math.abs(kPa - other.kPa) > KPA_PER_PSI + 1e-9;
    }
}
