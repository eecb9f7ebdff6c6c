package abbex.app.page;

import abbex.core.clearance.ClearanceFinding;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.Remedy;
import java.math.BigDecimal;
import org.springframework.stereotype.Component;

/** Words for what lies beside a wheel. */
@Component
public class ClearancePlaceWords extends Wording {
    public ClearancePlaceWords() {
        named(ProbePlace.class, "probe.");
        named(Remedy.class, "remedy.");
        named(ClearanceFinding.Swept.class, "swept.");
        of(
                ClearanceFinding.At.class,
                (at, words, reader) -> words.say(
                        "place.clearance",
                        reader,
                        "wheel",
                        at.wheel(),
                        "part",
                        at.part(),
                        "clock",
                        BigDecimal.valueOf(at.clock()).stripTrailingZeros().toPlainString()));
    }
}
