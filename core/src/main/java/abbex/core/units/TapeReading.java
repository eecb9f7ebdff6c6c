package abbex.core.units;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * What was read off a tape: the raw text for ever, the value it stands for, the marks it was read against.
 *
 * <p>A reading on a mark has a rectangular half-width of half a graduation; "+" and "−" mean the mark ± a quarter of a
 * graduation with a half-width of a quarter graduation (JCGM 100:2008, 4.3.7; the meaning of + and − is ours). The value
 * is rounded half to even to the nanometre, once.
 *
 * @param raw as typed
 * @param value the value the reading stands for
 * @param graduation the marks this reading was read against
 * @param mark on, past or short of the mark
 * @param bareUnit true when no unit was written and the sheet's own was taken
 * @param finerThanTape true when the text is finer than the tape that the sheet was set to
 */
public record TapeReading(
        String raw, Length value, Graduation graduation, Mark mark, boolean bareUnit, boolean finerThanTape) {

    /** A reading of an exact value on a tape's mark; for stored readings and tests. */
    public static TapeReading of(Length value, Graduation graduation) {
        return new TapeReading(TapeText.print(value, graduation), value, graduation, Mark.ON, false, false);
    }

    static Length shifted(Length mark, Graduation graduation, Mark side) {
        if (side == Mark.ON) {
            return mark;
        }
        BigDecimal quarter = BigDecimal.valueOf(graduation.unit().nm())
                .divide(BigDecimal.valueOf(4L * graduation.perUnit()), 6, RoundingMode.UNNECESSARY);
        BigDecimal exact = BigDecimal.valueOf(mark.nm()).add(side == Mark.PAST ? quarter : quarter.negate());
        return Length.ofNm(exact.setScale(0, RoundingMode.HALF_EVEN).longValueExact());
    }

    /** Standard uncertainty of the reading of the scale alone, in millimetres: rectangular half-width over √3. */
    public double standardMm() {
        double step = graduation.step().nm() / 1e6;
        return (mark == Mark.ON ? step / 2 : step / 4) / Math.sqrt(3);
    }

    /** The mark that was read, without the quarter graduation that + or − adds. */
    public Length onMark() {
        long step = graduation.step().nm();
        return mark == Mark.ON ? value : Length.ofNm(Math.floorDiv(value.nm() + step / 2, step) * step);
    }

    /** The reading in its canonical writing, such as {@code 23 3/32+ in}; {@link TapeText#parse} reads it back. */
    public String text() {
        String number = finerThanTape && graduation.unit() == LengthUnit.INCH
                ? TapeText.inchesOver(onMark(), graduation.perUnit())
                : TapeText.number(onMark(), graduation.unit());
        return number + mark.sign() + " " + graduation.unit().symbol();
    }

    /** The text as typed, with the unit that it was taken in where none was typed. */
    public String rawIn(LengthUnit bare) {
        return bareUnit ? raw.strip() + " " + bare.symbol() : raw.strip();
    }
}
