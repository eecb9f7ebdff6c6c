package abbex.core.state;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.heights.Stage;
import abbex.core.vehicle.Whole;
import java.util.List;

/** What the state of a vehicle has to say. The order is that in which findings of one severity are shown. */
public sealed interface StateFinding extends Finding {
    @Override
    default Place place() {
        return Whole.VEHICLE;
    }

    /** A sheet was read while a wheel was off. */
    record MeasuredWheelOff(Stage stage, List<Place> wheels) implements StateFinding, Look {
        @Override
        public String which() {
            return stage.name();
        }
    }

    /** A sheet was read while the vehicle was up. */
    record MeasuredRaised(Stage stage, Footing footing) implements StateFinding, Look {
        @Override
        public String which() {
            return stage.name();
        }
    }

    /** What was worn or bent when it came, in somebody's own words. */
    record WornAtArrival(String what) implements StateFinding, Look {}

    /** Read while some of it was up or off; empty where it stood as it is driven. */
    static List<StateFinding> measured(Stage stage, OpenWork open) {
        if (!open.wheelsOff().isEmpty()) {
            return List.of(new MeasuredWheelOff(stage, open.wheelsOff()));
        }
        return open.footing().raised() ? List.of(new MeasuredRaised(stage, open.footing())) : List.of();
    }
}
