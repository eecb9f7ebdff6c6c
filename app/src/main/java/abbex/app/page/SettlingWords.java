package abbex.app.page;

import abbex.core.setting.Forecast;
import abbex.core.setting.SettingFinding;
import abbex.core.settling.SettlingFinding;
import abbex.core.settling.Watch;
import abbex.core.units.Distance;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** Words for what is turned, what is driven and what is looked at after it. */
@Component
public class SettlingWords extends Wording {
    public SettlingWords() {
        of(Distance.class, (distance, words, reader) -> distance(distance, reader));
        named(Forecast.Exchanged.class, "exchanged.");
        of(SettingFinding.Methods.class, (ways, words, reader) -> words.list(ways.methods(), reader));
        of(SettingFinding.Corners.class, (corners, words, reader) -> words.list(corners.corners(), reader));
        named(Watch.class, "watch.");
        of(
                SettlingFinding.Items.class,
                (items, words, reader) -> items.count() + " " + words.say(items.count() == 1 ? "thing" : "things"));
    }

    /** In whole miles or kilometres. */
    public static String distance(Distance distance, Reader reader) {
        boolean metric = reader.unit().metric();
        return String.format(
                Locale.ENGLISH, "%,d %s", Math.round(metric ? distance.km() : distance.miles()), metric ? "km" : "mi");
    }
}
