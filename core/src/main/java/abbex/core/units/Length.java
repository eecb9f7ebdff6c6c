package abbex.core.units;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;

/**
 * A signed distance in whole nanometres: 1/64 in is exactly 396 875 nm, so no tape reading is rounded.
 * Range: ± 9.2 million kilometres; arithmetic that leaves it throws {@link ArithmeticException}.
 * Source: 1 in = 25.4 mm exactly (International yard and pound agreement 1959; NIST SP 811).
 */
public record Length(long nm) implements Comparable<Length> {
    public static final Length ZERO = new Length(0);
    /** The inch: every other place that needs it asks here or {@link LengthUnit#INCH}. */
    public static final long NM_PER_INCH = 25_400_000;

    /** The same in millimetres, exact. */
    public static final BigDecimal MM_PER_INCH =
            BigDecimal.valueOf(NM_PER_INCH, 6).stripTrailingZeros();

    static final long NM_PER_MM = 1_000_000;
    /** Nanometres in 1/64 in, the finest mark of any tape. */
    public static final long NM_PER_64TH = NM_PER_INCH / 64;

    public static Length ofNm(long nm) {
        return nm == 0 ? ZERO : new Length(nm);
    }

    /** To the nearest whole number of steps, halves to the even one. */
    public Length toNearest(Length step) {
        return ofNm(divideHalfEven(nm, step.nm()) * step.nm());
    }

    /**
     * A tape reading such as 26 9/16 in. Unit: inches. Sign: none, a reading is not a difference.
     *
     * @throws IllegalArgumentException if whole &lt; 0, over is not 1, 2, 4 … 64, or n is outside 0 … over - 1
     */
    public static Length ofInches(int whole, int n, int over) {
        if (whole < 0 || over < 1 || over > 64 || Integer.bitCount(over) != 1 || n < 0 || n >= over) {
            throw new IllegalArgumentException(
                    "inches: read " + whole + " " + n + "/" + over + "; whole >= 0, n < over, over 1, 2, 4 … 64");
        }
        return ofNm(Math.addExact(Math.multiplyExact(whole, NM_PER_INCH), n * (NM_PER_INCH / over)));
    }

    /** Whole millimetres. */
    public static Length ofMm(long mm) {
        return ofNm(Math.multiplyExact(mm, NM_PER_MM));
    }

    /** A decimal number of the unit, rounded half to even to the nanometre (only beyond five places of an inch). */
    public static Length of(BigDecimal amount, LengthUnit unit) {
        return ofNm(amount.multiply(BigDecimal.valueOf(unit.nm()))
                .setScale(0, RoundingMode.HALF_EVEN)
                .longValueExact());
    }

    /** Millimetres as a double, rounded half to even to the nanometre: for results of computation, never for readings. */
    public static Length ofRoundedMm(double mm) {
        return ofNm((long) Math.rint(mm * NM_PER_MM));
    }

    public Length plus(Length other) {
        return ofNm(Math.addExact(nm, other.nm));
    }

    public Length minus(Length other) {
        return ofNm(Math.subtractExact(nm, other.nm));
    }

    public Length negate() {
        return ofNm(Math.negateExact(nm));
    }

    public Length abs() {
        return nm < 0 ? negate() : this;
    }

    public Length times(int factor) {
        return ofNm(Math.multiplyExact(nm, factor));
    }

    /**
     * This length divided by a whole number, rounded half to even to the nanometre, so that the result for the negated
     * length is the negated result.
     *
     * @throws ArithmeticException if divisor is 0
     */
    public Length dividedBy(int divisor) {
        return ofNm(divideHalfEven(nm, divisor));
    }

    static long divideHalfEven(long dividend, long divisor) {
        long quotient = Math.floorDiv(dividend, divisor);
        long twiceRest = 2 * Math.floorMod(dividend, divisor);
        boolean up = Math.abs(twiceRest) > Math.abs(divisor)
                || Math.abs(twiceRest) == Math.abs(divisor) && (quotient & 1) != 0;
        return up ? quotient + 1 : quotient;
    }

    /** Millimetres, nearest double. */
    public double mm() {
        return nm / (double) NM_PER_MM;
    }

    /** -1, 0 or 1. */
    public int sign() {
        return Long.signum(nm);
    }

    /** True when the length is a whole number of 1/64 in, so that it can be printed as a fraction without rounding. */
    public boolean onInchMarks() {
        return nm % NM_PER_64TH == 0;
    }

    /** The exact number of the unit; inches have at most as many decimals as needed (terminating or rounded at 12). */
    public BigDecimal in(LengthUnit unit) {
        BigDecimal value = new BigDecimal(BigInteger.valueOf(nm))
                .divide(BigDecimal.valueOf(unit.nm()), 12, RoundingMode.HALF_EVEN)
                .stripTrailingZeros();
        return value.scale() < 0 ? value.setScale(0) : value;
    }

    @Override
    public int compareTo(Length other) {
        return Long.compare(nm, other.nm);
    }

    /** Exact, for logs and test output: {@code 20637500 nm}. */
    @Override
    public String toString() {
        return nm + " nm";
    }
}
