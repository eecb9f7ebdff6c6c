package abbex.core.units;

import java.util.Optional;

/**
 * The finest marks of a tape: {@code perUnit} marks an inch or a millimetre. It is a property of the tape and not of the
 * text: {@code 25 1/2} does not say what it was read on.
 */
public record Graduation(LengthUnit unit, int perUnit) {
    public static final Graduation SIXTEENTH_INCH = new Graduation(LengthUnit.INCH, 16);
    public static final Graduation MILLIMETRE = new Graduation(LengthUnit.MILLIMETRE, 1);

    public Graduation {
        boolean inch = unit == LengthUnit.INCH && perUnit >= 1 && perUnit <= 64 && Integer.bitCount(perUnit) == 1;
        boolean metric = unit == LengthUnit.MILLIMETRE && (perUnit == 1 || perUnit == 2 || perUnit == 10);
        if (!inch && !metric) {
            throw new IllegalArgumentException(
                    "graduation: read " + perUnit + " per " + unit + "; 1, 2, 4 … 64 an inch or 1, 2, 10 a millimetre");
        }
    }

    /** The usual tape of that unit: 1/16 in or 1 mm (common practice). */
    public static Graduation usual(LengthUnit unit) {
        return unit.metric() ? MILLIMETRE : SIXTEENTH_INCH;
    }

    /** Reads {@code 1/16}, {@code 1/16 in}, {@code 1 mm}, {@code 1/2 mm}; empty when it is none of these. */
    public static Optional<Graduation> parse(String text) {
        var match = java.util.regex.Pattern.compile("\\s*1(?:\\s*/\\s*(\\d{1,2}))?\\s*(in|mm)?\\s*")
                .matcher(text);
        if (!match.matches()) {
            return Optional.empty();
        }
        int per = match.group(1) == null ? 1 : Integer.parseInt(match.group(1));
        boolean metric = "mm".equals(match.group(2));
        try {
            return Optional.of(new Graduation(metric ? LengthUnit.MILLIMETRE : LengthUnit.INCH, per));
        } catch (IllegalArgumentException notATape) {
            return Optional.empty();
        }
    }

    /** The distance between two marks; exact. */
    public Length step() {
        return Length.ofNm(unit.nm() / perUnit);
    }

    public boolean marks(Length value) {
        return value.nm() % step().nm() == 0;
    }

    public boolean finerThan(Graduation other) {
        return step().nm() < other.step().nm();
    }

    /** {@code 1/16 in}, {@code 1 mm}; {@link #parse} reads it back. */
    @Override
    public String toString() {
        return (perUnit == 1 ? "1" : "1/" + perUnit) + " " + unit.symbol();
    }
}
