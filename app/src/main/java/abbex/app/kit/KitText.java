package abbex.app.kit;

import abbex.core.units.AreaText;
import abbex.core.units.ForceText;
import abbex.core.units.ForceUnit;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.RateUnit;
import abbex.core.units.TapeText;
import abbex.core.vehicle.End;
import java.util.HashMap;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** Fields of a kit by their names and texts, for whoever has them from elsewhere than a form; bare lengths are inches. */
public final class KitText {
    private KitText() {}

    /**
     * @throws IllegalArgumentException for a name that is no field and a text that cannot be read
     */
    public static Map<KitValues.Key, KitValues.Told> read(Map<String, String> texts) {
        Map<KitValues.Key, KitValues.Told> told = new HashMap<>();
        texts.forEach((name, text) -> {
            KitValues.Key key = key(name);
            told.put(
                    key,
                    new KitValues.Told(
                            text,
                            value(key.field(), text)
                                    .orElseThrow(() -> new IllegalArgumentException(name + ": " + text))));
        });
        return told;
    }

    private static KitValues.Key key(String name) {
        for (End end : End.values()) {
            if (name.startsWith(end.name() + "_")) {
                return new KitValues.Key(
                        end, KitField.valueOf(name.substring(end.name().length() + 1)));
            }
        }
        @Nullable End whole = null;
        return new KitValues.Key(whole, KitField.valueOf(name));
    }

    private static OptionalDouble value(KitField field, String text) {
        return switch (field.kind()) {
            case TEXT, TABLE, SIZES, WISH -> OptionalDouble.of(0);
            case TURNS -> TurnsText.read(text);
            case YES -> OptionalDouble.of(1);
            case AREA -> AreaText.area(text, false);
            case PRESSURE -> BagText.pressure(text, false);
            case NUMBER, COUNT, ANGLE -> OptionalDouble.of(Double.parseDouble(text));
            case FORCE -> ForceText.force(text, ForceUnit.POUND);
            case RATE -> ForceText.rate(text, RateUnit.POUND_PER_INCH);
            case LENGTH, DROP ->
                TapeText.parse(
                                text,
                                LengthUnit.INCH,
                                Graduation.SIXTEENTH_INCH,
                                TapeText.Allowed.ANY,
                                Length.ofRoundedMm(field.most()))
                        .asReading()
                        .map(reading -> OptionalDouble.of(reading.value().mm()))
                        .orElseGet(OptionalDouble::empty);
        };
    }
}
