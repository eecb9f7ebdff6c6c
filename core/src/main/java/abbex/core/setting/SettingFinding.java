package abbex.core.setting;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.heights.Method;
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

    /** Ways to measure. */
    record Methods(List<Method> methods) {
        public Methods {
            methods = List.copyOf(methods);
        }
    }

    /** Something was turned, and what was read these ways before it stands on the sheet. */
    record ReadBeforeTurned(Place place, Methods ways) implements SettingFinding, Look {
        public ReadBeforeTurned(List<Method> ways) {
            this(Whole.VEHICLE, new Methods(ways));
        }
    }

    /** What was typed after the last turn is what was expected, but for sides or ends that stand in each other’s places. */
    record TypedExchanged(Place place, Forecast.Exchanged what, Methods ways) implements SettingFinding, Look {
        public TypedExchanged(Forecast.Exchanged what, Method way) {
            this(Whole.VEHICLE, what, new Methods(List.of(way)));
        }
    }

    /** Something was turned, and these corners were not measured since. */
    record TurnedNotMeasured(Place place, Corners corners) implements SettingFinding, Look {
        public TurnedNotMeasured(List<Corner> corners) {
            this(Whole.VEHICLE, new Corners(corners));
        }
    }
}
