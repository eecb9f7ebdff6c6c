package abbex.app.kit;

import abbex.core.units.Pressure;
import java.util.OptionalDouble;

/** Pressures of air bags, in the reader's unit where none is typed. */
public final class BagText {
    private BagText() {}

    /** Reads {@code 5}, {@code 5 psi}, {@code 0.35 bar}, {@code 35 kPa}, in kPa. */
    public static OptionalDouble pressure(String text, boolean metric) {
        String whole = text.strip().matches("[\\d.]+") ? text.strip() + (metric ? " bar" : " psi") : text;
        return Pressure.parse(whole).map(p -> OptionalDouble.of(p.kPa())).orElseGet(OptionalDouble::empty);
    }
}
