package abbex.app.page;

import abbex.core.ground.Lamps;
import org.springframework.stereotype.Component;

/** Words for lamps and bumpers. */
@Component
public class GroundWords extends Wording {
    public GroundWords() {
        named(Lamps.Code.class, "code.");
    }
}
