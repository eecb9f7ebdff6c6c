package abbex.app.page;

import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.Pressure;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** Words for quantities. */
@Component
public class UnitWords extends Wording {
    public UnitWords() {
        of(Length.class, (length, words, reader) -> Numerals.text(length, reader));
        of(Estimate.class, (estimate, words, reader) -> Numerals.known(estimate.value(), estimate.expanded(), reader));
        of(Angle.class, (angle, words, reader) -> degrees(angle));
        of(Pressure.class, (pressure, words, reader) -> pressure(pressure, reader));
        of(
                Graduation.class,
                (graduation, words, reader) -> graduation.toString().replace('/', '⁄'));
        named(LengthUnit.class, "unit.");
    }

    public static String degrees(Angle angle) {
        return String.format(Locale.ROOT, "%.2f°", angle.degrees())
                .replaceFirst("(\\.\\d)0°$", "$1°")
                .replace('-', '−');
    }

    public static String pressure(Pressure pressure, Reader reader) {
        return reader.unit().metric()
                ? String.format(Locale.ROOT, "%.2f bar", pressure.kPa() / 100)
                : String.format(Locale.ROOT, "%.1f psi", pressure.psi()).replace(".0 psi", " psi");
    }
}
