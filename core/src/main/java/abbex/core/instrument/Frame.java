package abbex.core.instrument;

import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * A frame that arrived whole.
 *
 * @param seq counts up by one from each power-up of the device
 * @param device its name
 * @param boot drawn at power-up: numbers of another one begin anew
 * @param pair whom it was given to; empty while nobody has it
 * @param value as it stands in the frame; the code on its display for {@link Kind#HELLO}, {@code -} for {@link Kind#ALIVE}
 * @param unit in which the value is
 * @param ago milliseconds since it was measured
 * @param battery per cent
 */
public record Frame(
        long seq,
        String device,
        String boot,
        Optional<String> pair,
        Kind kind,
        String value,
        String unit,
        long ago,
        int battery) {
    /** What a frame is about, with the units that it may come in. */
    public enum Kind {
        /** It was switched on, and shows a code. */
        HELLO(Set.of("-")),
        /** Nothing was measured; it is there. */
        ALIVE(Set.of("-")),
        TORQUE(Set.of("Nm", "lbfft")),
        HEIGHT(Set.of("mm", "in")),
        PRESSURE(Set.of("kPa", "psi", "bar")),
        WEIGHT(Set.of("kg", "lb", "N"));

        private final Set<String> units;

        Kind(Set<String> units) {
            this.units = units;
        }

        /** A reading of the kind may come in a unit. */
        public boolean in(String unit) {
            return units.contains(unit);
        }

        /** Its units, in one order. */
        public String said() {
            return String.join(", ", new TreeSet<>(units));
        }

        /** It carries a reading. */
        public boolean measures() {
            return this != HELLO && this != ALIVE;
        }
    }

    /** A battery of which less is left may end a reading (ours). */
    private static final int LOW = 15;

    public boolean low() {
        return battery < LOW;
    }

    /** The reading as somebody would type it, with its unit. */
    public String text() {
        return text(value, unit);
    }

    /** A value with its unit as somebody would type it. */
    public static String text(String value, String unit) {
        String shown = unit.equals("lbfft") ? "lbf·ft" : unit.equals("Nm") ? "N·m" : unit;
        return value + " " + shown;
    }
}
