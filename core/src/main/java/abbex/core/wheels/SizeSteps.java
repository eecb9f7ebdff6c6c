package abbex.core.wheels;

import abbex.core.units.Length;
import java.math.BigDecimal;
import java.util.Optional;

/** The next size that can be had in one number of a tyre and its wheel, by every notation; a step back is the way it came. */
public final class SizeSteps {
    private SizeSteps() {}

    /** Which number is stepped. */
    public enum Part {
        WIDTH,
        /** Of a flotation size its overall diameter. */
        ASPECT,
        RIM,
        RIMWIDTH,
        OFFSET
    }

    /**
     * A tyre and its wheel.
     *
     * @param wheel empty where there is none that can be read
     */
    public record Pair(TyreSize tyre, Optional<Wheel> wheel) {}

    private static final BigDecimal TEN = BigDecimal.TEN;
    private static final BigDecimal FIVE = BigDecimal.valueOf(5);
    private static final BigDecimal HALF = new BigDecimal("0.5");
    private static final BigDecimal QUARTER = new BigDecimal("0.25");

    /** Empty where the size has no such number, or no such next one is made. */
    public static Optional<Pair> step(Pair from, Part part, int by) {
        BigDecimal times = BigDecimal.valueOf(by);
        Pair to = switch (part) {
            case WIDTH -> new Pair(wider(from.tyre(), times), from.wheel());
            case ASPECT -> new Pair(taller(from.tyre(), times), from.wheel());
            case RIM ->
                new Pair(
                        rim(from.tyre(), times),
                        from.wheel().map(w -> new Wheel(w.width(), w.rimCode().add(times), w.offset(), w.spacer())));
            case RIMWIDTH ->
                new Pair(
                        from.tyre(),
                        from.wheel()
                                .map(w -> new Wheel(
                                        w.width().add(HALF.multiply(times)), w.rimCode(), w.offset(), w.spacer())));
            case OFFSET ->
                new Pair(
                        from.tyre(),
                        from.wheel()
                                .map(w -> new Wheel(
                                        w.width(), w.rimCode(), w.offset().plus(Length.ofMm(by)), w.spacer())));
        };
        return to.equals(from) ? Optional.empty() : read(to.tyre().text(), text(to.wheel()));
    }

    private static String text(Optional<Wheel> wheel) {
        return wheel.map(Wheel::text).orElse("");
    }

    /** As the grammar reads them; empty where the tyre's is none. */
    public static Optional<Pair> read(String tyre, String wheel) {
        return TyreSize.parse(tyre)
                .asSize()
                .map(size -> new Pair(size, Wheel.parse(wheel).asWheel()));
    }

    private static TyreSize wider(TyreSize tyre, BigDecimal by) {
        BigDecimal step = switch (tyre.notation()) {
            case METRIC, FULL -> TEN;
            case FLOTATION -> HALF;
            case INCH -> QUARTER;
            case ALPHANUMERIC -> BigDecimal.ZERO;
        };
        return with(tyre, tyre.width().add(step.multiply(by)), tyre.aspect(), tyre.outside(), tyre.rimCode());
    }

    private static TyreSize taller(TyreSize tyre, BigDecimal by) {
        return switch (tyre.notation()) {
            case METRIC ->
                with(tyre, tyre.width(), tyre.aspect().add(FIVE.multiply(by)), tyre.outside(), tyre.rimCode());
            case FLOTATION ->
                with(tyre, tyre.width(), tyre.aspect(), tyre.outside().add(by), tyre.rimCode());
            default -> tyre;
        };
    }

    private static TyreSize rim(TyreSize tyre, BigDecimal by) {
        return with(
                tyre,
                tyre.width(),
                tyre.aspect(),
                tyre.outside(),
                tyre.rimCode().add(by));
    }

    private static TyreSize with(
            TyreSize tyre, BigDecimal width, BigDecimal aspect, BigDecimal outside, BigDecimal rim) {
        return new TyreSize(
                tyre.notation(),
                tyre.prefix(),
                width,
                aspect,
                outside,
                tyre.construction(),
                rim,
                tyre.service(),
                tyre.extraLoad());
    }
}
