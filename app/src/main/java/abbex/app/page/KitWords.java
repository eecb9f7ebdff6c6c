package abbex.app.page;

import abbex.core.kit.KitFinding;
import abbex.core.kit.Narrowing;
import abbex.core.kit.Row;
import abbex.core.kit.Wish;
import abbex.core.motorcycle.ForkSlide;
import abbex.core.units.Force;
import abbex.core.units.ForceUnit;
import abbex.core.units.Frequency;
import abbex.core.units.Rate;
import abbex.core.units.RateUnit;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** Words for parts, springs and what they do. */
@Component
public class KitWords extends Wording {
    public KitWords() {
        named(Row.class, "row.");
        named(Wish.class, "wish.");
        named(Narrowing.Measurement.class, "measuring.");
        named(KitFinding.Side.class, "towards.");
        named(KitFinding.Nose.class, "nose.");
        named(ForkSlide.Stop.class, "slidestop.");
        of(
                KitFinding.Trim.class,
                (trim, words, reader) -> trim.rings() == 0
                        ? words.say("trim.length", reader, "off", trim.off())
                        : trim.rings() + " " + words.say(trim.rings() == 1 ? "ring" : "rings"));
        of(Force.class, (force, words, reader) -> force(force, reader));
        of(Rate.class, (rate, words, reader) -> rate(rate, reader));
        of(Frequency.class, (frequency, words, reader) -> String.format(Locale.ROOT, "%.2f Hz", frequency.hertz()));
    }

    private static String force(Force force, Reader reader) {
        ForceUnit unit = reader.unit().metric() ? ForceUnit.NEWTON : ForceUnit.POUND;
        return String.format(Locale.ROOT, "%.0f %s", force.in(unit), unit.symbol());
    }

    private static String rate(Rate rate, Reader reader) {
        RateUnit unit = reader.unit().metric() ? RateUnit.NEWTON_PER_MM : RateUnit.POUND_PER_INCH;
        return String.format(Locale.ROOT, reader.unit().metric() ? "%.1f %s" : "%.0f %s", rate.in(unit), unit.symbol());
    }
}
