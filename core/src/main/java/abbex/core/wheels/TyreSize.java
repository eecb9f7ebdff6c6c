package abbex.core.wheels;

import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;

/**
 * A tyre by its size, as it is written on the wall.
 *
 * @param notation how it is written
 * @param prefix P, LT, ST, T or empty; LT stands behind a flotation size
 * @param width nominal section width: millimetres in metric sizes, inches in the others
 * @param aspect section height as a part of the width, in percent
 * @param outside overall diameter in inches as a flotation size says it; nought in the others
 * @param construction R radial, B bias-belted, D or - diagonal
 * @param rimCode nominal rim diameter, the code in inches
 * @param service load and speed, where they are written
 * @param extraLoad marked XL, or otherwise reinforced
 */
public record TyreSize(
        Notation notation,
        String prefix,
        BigDecimal width,
        BigDecimal aspect,
        BigDecimal outside,
        String construction,
        BigDecimal rimCode,
        Optional<Service> service,
        boolean extraLoad) {
    /** How a size is written. */
    public enum Notation {
        METRIC,
        FLOTATION,
        ALPHANUMERIC,
        INCH,
        /** Metric width, no aspect: 185R14C. */
        FULL
    }

    /**
     * Load and speed.
     *
     * @param loadIndex of a tyre alone on its side
     * @param dualIndex of a tyre beside another; empty when it is not written
     * @param speed the symbol
     * @param above in brackets: made for more than the symbol's speed
     */
    public record Service(int loadIndex, Optional<Integer> dualIndex, SpeedSymbol speed, boolean above) {
        String text() {
            String load = loadIndex + dualIndex.map(d -> "/" + d).orElse("");
            return above ? "(" + load + speed + ")" : load + speed;
        }
    }

    private static final BigDecimal HALF = new BigDecimal("0.5");
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    /** UN R30: a tyre grows in service to 1.04 times its section height and width (from memory). */
    private static final BigDecimal GROWTH = new BigDecimal("0.04");

    /** UN R30: the section widens by 0.4 of what the rim is wider than the measuring rim (from memory). */
    private static final BigDecimal PER_RIM = new BigDecimal("0.4");

    /** Reads a size; what cannot be read says why and what would be right. */
    public static TyreParse parse(String text) {
        return TyreText.parse(text);
    }

    /** Section width on its measuring rim. */
    public Length nominalWidth() {
        return mm(metricWidth() ? width : inches(width));
    }

    /** The width is said in millimetres. */
    private boolean metricWidth() {
        return notation == Notation.METRIC || notation == Notation.ALPHANUMERIC || notation == Notation.FULL;
    }

    /** From rim to tread, nominal: half of what overall diameter and rim leave. */
    public Length sectionHeight() {
        return overallDiameter().minus(mm(inches(rimCode))).dividedBy(2);
    }

    /**
     * Overall diameter of the new tyre, not loaded: rim code × 25.4 + 2 × width × aspect (ISO 4000-1 / ETRTO, nominal design
     * dimension); a flotation size says it itself.
     */
    public Length overallDiameter() {
        if (notation == Notation.FLOTATION) {
            return mm(inches(outside));
        }
        BigDecimal mmWidth = notation == Notation.INCH ? inches(width) : width;
        BigDecimal height = mmWidth.multiply(aspect).divide(HUNDRED, 9, RoundingMode.HALF_EVEN);
        return mm(inches(rimCode).add(height.multiply(BigDecimal.valueOf(2))));
    }

    /** True where the size is only near to a metric one, so that the diameter may be off by some 2 % (from memory). */
    public boolean approximate() {
        return notation != Notation.METRIC && notation != Notation.FLOTATION;
    }

    /**
     * The rim it is measured on, in inches to the half: width × a coefficient by aspect (ISO 4000-1, from memory; it gives
     * the three that the handbook prints).
     */
    public BigDecimal measuringRim() {
        double a = aspect.doubleValue();
        double coefficient = a >= 75 ? 0.7 : a >= 60 ? 0.75 : a >= 50 ? 0.8 : a >= 45 ? 0.85 : a >= 30 ? 0.9 : 0.92;
        double halves = Math.rint(nominalWidth().mm() * coefficient / Length.MM_PER_INCH.doubleValue() * 2);
        return BigDecimal.valueOf(halves).divide(BigDecimal.valueOf(2), 1, RoundingMode.UNNECESSARY);
    }

    /**
     * Rim widths that the size is approved for, narrowest and widest, in inches: about the measuring rim, the lower the aspect
     * the less below it (ETRTO's tables of approved rims, from memory: 205/55 5.5 to 7.5, 225/45 7 to 8.5, 255/45 8 to 9.5).
     */
    public List<BigDecimal> approvedRims() {
        BigDecimal measuring = measuringRim();
        double a = aspect.doubleValue();
        return List.of(
                measuring.subtract(a > 50 ? BigDecimal.ONE : HALF), measuring.add(a > 30 ? BigDecimal.ONE : HALF));
    }

    /**
     * Section width on a rim.
     *
     * @param rimWidth the rim's width in inches
     */
    public Length sectionWidth(BigDecimal rimWidth) {
        return nominalWidth().plus(mm(inches(rimWidth.subtract(measuringRim())).multiply(PER_RIM)));
    }

    /** Overall diameter that it may grow to in service. */
    public Length grownDiameter() {
        BigDecimal height =
                BigDecimal.valueOf(sectionHeight().nm()).multiply(GROWTH).multiply(BigDecimal.valueOf(2));
        return overallDiameter()
                .plus(Length.ofNm(height.setScale(0, RoundingMode.HALF_EVEN).longValueExact()));
    }

    /** Section width that it may grow to in service, on a rim. */
    public Length grownWidth(BigDecimal rimWidth) {
        BigDecimal nm = BigDecimal.valueOf(sectionWidth(rimWidth).nm()).multiply(BigDecimal.ONE.add(GROWTH));
        return Length.ofNm(nm.setScale(0, RoundingMode.HALF_EVEN).longValueExact());
    }

    /** Turns a kilometre, rolling: the circumference rolled is 3.05 times the diameter (ETRTO for radial tyres, from memory). */
    public double revolutionsPerKm() {
        return 1e6 / (3.05 * overallDiameter().mm());
    }

    /**
     * What it carries in kg by the table of load indices; empty where no index is said.
     *
     * @param twin true for one of two wheels side by side: the second index counts, where one is said
     */
    public Optional<Double> loadKg(boolean twin) {
        return service.map(s -> LoadIndex.kg(twin ? s.dualIndex().orElse(s.loadIndex()) : s.loadIndex())
                .orElseThrow());
    }

    /** What it carries alone on its side, in kg; empty when its load index is not written. */
    public Optional<Double> loadKg() {
        return loadKg(false);
    }

    /** As it is written, in one form for each size. */
    public String text() {
        String tail = service.map(s -> " " + s.text()).orElse("") + (extraLoad ? " XL" : "");
        String rim = plain(rimCode);
        return switch (notation) {
            case METRIC -> prefix + plain(width) + "/" + plain(aspect) + construction + rim + tail;
            case FLOTATION ->
                plain(outside) + "x" + width.setScale(2, RoundingMode.HALF_EVEN) + construction + rim + prefix + tail;
            case ALPHANUMERIC -> prefix + plain(aspect) + construction + rim + tail;
            case FULL -> plain(width) + construction + rim + prefix + tail;
            case INCH -> width.setScale(2, RoundingMode.HALF_EVEN) + construction + rim + tail;
        };
    }

    private static String plain(BigDecimal number) {
        return number.stripTrailingZeros().toPlainString();
    }

    private static BigDecimal inches(BigDecimal in) {
        return in.multiply(Length.MM_PER_INCH);
    }

    private static Length mm(BigDecimal mm) {
        return Length.of(mm.setScale(6, RoundingMode.HALF_EVEN), LengthUnit.MILLIMETRE);
    }
}
