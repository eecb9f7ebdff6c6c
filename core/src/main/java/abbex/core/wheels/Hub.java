package abbex.core.wheels;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How a wheel is held on its hub.
 *
 * @param bore the wheel's centre bore
 * @param spigot the hub's centring diameter
 * @param thread of the studs or bolts
 * @param turns full turns that nut or bolt takes hold, counted
 */
public record Hub(Optional<Length> bore, Optional<Length> spigot, Optional<Thread> thread, Optional<Double> turns) {
    /** Nobody said anything of it. */
    public static final Hub UNKNOWN = new Hub(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    /** A bore closer to the spigot than this centres on it (common practice). */
    private static final double FITS_MM = 0.2;

    /**
     * A stud's thread.
     *
     * @param diameter in mm
     * @param pitch in mm
     */
    public record Thread(double diameter, double pitch) {
        private static final Pattern TEXT = Pattern.compile("M?(\\d{1,2}(?:\\.\\d)?)\\s*[X×]\\s*(\\d(?:\\.\\d{1,2})?)");

        /** Inch diameter and threads an inch, such as 1/2-20 (ASME B1.1, from memory). */
        private static final Pattern INCH =
                Pattern.compile("(\\d{1,2})/(2|4|8|16)\\s*(?:\"|IN)?\\s*[-–X×]\\s*(\\d{2})(?:\\s*UN[FC]?)?");

        private static final double MM_PER_INCH = 25.4;

        /** Such as M12x1.5 or 1/2-20; empty for anything else. */
        public static Optional<Thread> parse(String text) {
            String read = text.strip().toUpperCase(Locale.ROOT).replace(',', '.');
            Matcher inch = INCH.matcher(read);
            if (inch.matches()) {
                return real(new Thread(
                        MM_PER_INCH * Double.parseDouble(inch.group(1)) / Double.parseDouble(inch.group(2)),
                        MM_PER_INCH / Double.parseDouble(inch.group(3))));
            }
            Matcher m = TEXT.matcher(read);
            return m.matches()
                    ? real(new Thread(Double.parseDouble(m.group(1)), Double.parseDouble(m.group(2))))
                    : Optional.empty();
        }

        private static Optional<Thread> real(Thread thread) {
            return thread.diameter >= 6 && thread.diameter <= 24 && thread.pitch >= 0.5 && thread.pitch <= 3
                    ? Optional.of(thread)
                    : Optional.empty();
        }

        /** Turns that make the thread hold over its own diameter: the least that is called safe (common practice). */
        public double turnsNeeded() {
            return diameter / pitch;
        }
    }

    /**
     * What is odd about it.
     *
     * @param spacer true when one is between hub and wheel, so that the turns must be counted
     */
    public List<Finding> check(Place place, boolean spacer) {
        List<Finding> found = new ArrayList<>();
        if (bore.isPresent() && spigot.isPresent()) {
            double more = bore.get().minus(spigot.get()).mm();
            if (more < -0.02) {
                found.add(new WheelFinding.BoreSmall(place, bore.get(), spigot.get()));
            } else if (more > FITS_MM) {
                found.add(new WheelFinding.BoreLarge(place, bore.get(), spigot.get()));
            }
        }
        if (thread.isPresent() && turns.isPresent()) {
            double needed = thread.get().turnsNeeded();
            found.add(
                    turns.get() >= needed
                            ? new WheelFinding.StudsEngaged(place, number(turns.get()), number(needed))
                            : new WheelFinding.StudsShort(place, number(turns.get()), number(needed)));
        } else if (spacer) {
            found.add(new WheelFinding.StudsUnknown(place));
        }
        return List.copyOf(found);
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.1f", value).replace(".0", "");
    }
}
