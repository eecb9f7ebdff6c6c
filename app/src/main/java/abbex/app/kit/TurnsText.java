package abbex.app.kit;

import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeText;
import java.util.OptionalDouble;

/** Turns as people write them, which is as they read a tape: {@code 2 1/4}. */
public final class TurnsText {
    private TurnsText() {}

    /** Empty for what is no number of turns. */
    public static OptionalDouble read(String text) {
        if (text.matches(".*[A-Za-z\"'].*")) {
            return OptionalDouble.empty();
        }
        return TapeText.parse(text, LengthUnit.INCH, Graduation.SIXTEENTH_INCH, TapeText.Allowed.ANY)
                .asReading()
                .map(read -> OptionalDouble.of((double) read.value().nm() / Length.NM_PER_INCH))
                .orElseGet(OptionalDouble::empty);
    }
}
