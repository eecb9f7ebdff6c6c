package abbex.core.wheels;

import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import java.util.Optional;

/**
 * A wheel by its dimensions.
 *
 * @param width between the flanges' inner faces, in inches, such as 8 of 8J
 * @param rimCode nominal diameter, the code in inches
 * @param offset from the middle of the rim to the mounting face (ET), positive when that lies outboard of the middle, so that
 *     the wheel goes inboard
 * @param spacer between hub and mounting face; nought when there is none
 */
public record Wheel(BigDecimal width, BigDecimal rimCode, Length offset, Length spacer) {
    /** Height of a J flange over the bead seat, in mm (ETRTO, from memory). */
    private static final double FLANGE = 17.3;

    /** Specified rim diameters in mm, which are not code × 25.4 (ISO 4000-2 / ETRTO, from memory). */
    private static final Map<Integer, Double> SPECIFIED = Map.ofEntries(
            Map.entry(12, 304.0),
            Map.entry(13, 329.4),
            Map.entry(14, 354.8),
            Map.entry(15, 380.2),
            Map.entry(16, 405.6),
            Map.entry(17, 436.6),
            Map.entry(18, 462.0),
            Map.entry(19, 487.4),
            Map.entry(20, 512.8),
            Map.entry(21, 538.2),
            Map.entry(22, 563.6),
            Map.entry(23, 589.0),
            Map.entry(24, 614.4));

    /** Reads a wheel as it is stamped or said; what cannot be read says why. */
    public static WheelParse parse(String text) {
        return WheelText.parse(text);
    }

    public Wheel withSpacer(Length other) {
        return new Wheel(width, rimCode, offset, other);
    }

    /** The offset as the hub feels it: a spacer takes its thickness from it. */
    public Length effectiveOffset() {
        return offset.minus(spacer);
    }

    /** From the mounting face to the inner edge of the rim, in inches: (width + 1) / 2 + offset (common practice: 1 in for both flanges). */
    public BigDecimal backspacingIn() {
        return width.add(BigDecimal.ONE)
                .divide(BigDecimal.valueOf(2), 6, RoundingMode.HALF_EVEN)
                .add(offset.in(LengthUnit.MILLIMETRE).divide(Length.MM_PER_INCH, 6, RoundingMode.HALF_EVEN));
    }

    /** Offset of a wheel that is said by its backspacing; the inverse of {@link #backspacingIn()}, to a hundredth of a millimetre. */
    static Length offset(BigDecimal width, BigDecimal backspacing) {
        BigDecimal in = backspacing.subtract(width.add(BigDecimal.ONE).divide(BigDecimal.valueOf(2)));
        return Length.of(in.multiply(Length.MM_PER_INCH).setScale(2, RoundingMode.HALF_EVEN), LengthUnit.MILLIMETRE);
    }

    /** Radius of the rim's outer edge; empty for a diameter that the table does not have. */
    public Optional<Length> outerRimRadius() {
        return Optional.ofNullable(SPECIFIED.get(rimCode.intValue()))
                .filter(d -> rimCode.stripTrailingZeros().scale() <= 0)
                .map(d -> Length.ofRoundedMm(d / 2 + FLANGE));
    }

    /** As it is written, in one form for each wheel: 8Jx17 ET45, +5 mm spacer. */
    public String text() {
        String et = offset.in(LengthUnit.MILLIMETRE).stripTrailingZeros().toPlainString();
        String with = spacer.sign() == 0
                ? ""
                : " +" + spacer.in(LengthUnit.MILLIMETRE).stripTrailingZeros().toPlainString() + " mm";
        return width.stripTrailingZeros().toPlainString() + "Jx"
                + rimCode.stripTrailingZeros().toPlainString() + " ET" + et + with;
    }
}
