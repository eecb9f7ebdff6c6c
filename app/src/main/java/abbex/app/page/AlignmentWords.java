package abbex.app.page;

import abbex.core.alignment.AlignFinding;
import abbex.core.electronics.VehicleSystem;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** Words for the angles of wheels. */
@Component
public class AlignmentWords extends Wording {
    private static final double FEET_PER_MILE_OF_METRES = 5.28;

    public AlignmentWords() {
        named(AlignFinding.Way.class, "toe.");
        named(AlignFinding.Reach.class, "reach.");
        named(AlignFinding.Side.class, "side.");
        named(VehicleSystem.class, "system.");
        of(
                AlignFinding.Scrub.class,
                (scrub, words, reader) -> reader.unit().metric()
                        ? String.format(Locale.ROOT, "%.1f m in a kilometre", scrub.metresPerKilometre())
                        : String.format(
                                Locale.ROOT,
                                "%.0f ft in a mile",
                                scrub.metresPerKilometre() * FEET_PER_MILE_OF_METRES));
    }
}
