package abbex.core.setting;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Whole;
import java.util.List;

/** What is still open about what was turned. */
public sealed interface SettingFinding extends Finding {
    /** Some corners. */
    record Corners(List<Corner> corners) {
        public Corners {
            corners = List.copyOf(corners);
        }
    }

    /** Something was turned, and these corners were not measured since. */
    record TurnedNotMeasured(Place place, Corners corners) implements SettingFinding, Look {
        public TurnedNotMeasured(List<Corner> corners) {
            this(Whole.VEHICLE, new Corners(corners));
        }
    }
}
