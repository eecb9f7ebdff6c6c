package abbex.core.clearance;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.vehicle.WheelPlace;
import abbex.core.vehicle.Whole;
import java.util.List;

/** What may be said of the clearance of a stay. The order is that in which findings of one severity are shown. */
public sealed interface ClearanceFinding extends Finding {
    /**
     * A part beside a wheel.
     *
     * @param clock the hour of the wheel at which it lies
     */
    record At(WheelPlace wheel, ProbePlace part, double clock) implements Place {
        @Override
        public String code() {
            return wheel.code() + "." + part + "." + clock;
        }
    }

    /** What was swept: the wheels and the height that are planned, those that stand there, or both. */
    enum Swept {
        PLANNED,
        STANDING,
        BOTH
    }

    /** At some pose of the sweep the wheel would go so far into the part. */
    record Touches(At place, Estimate into, Swept as) implements ClearanceFinding, Stop {}

    /** The least air is positive, but more than one in twenty such readings touches. */
    record MayTouch(At place, Estimate air, Length needed) implements ClearanceFinding, Look {}

    /** It does not touch, but the clearance that is required is not proven. */
    record TooClose(At place, Estimate air, Length needed) implements ClearanceFinding, Look {}

    /** Something is planned against what does not clear, and it is not on the vehicle. */
    record RemedyPlanned(WheelPlace place, Remedy remedy, int steps) implements ClearanceFinding, Note, Open {
        @Override
        public String which() {
            return remedy.name();
        }
    }

    /** Parts that every corner of the kind has and that were not measured there. */
    record NotProbed(WheelPlace place, List<ProbePlace> parts) implements ClearanceFinding, Note, Open {}

    /** What clears there does so within a bump that is usual, not within the one that this vehicle has. */
    record BumpGuessed(WheelPlace place, Length bump) implements ClearanceFinding, Note, Open {}

    /** No gap was measured at any wheel. */
    record ClearanceUnknown() implements ClearanceFinding, Note, Open {
        @Override
        public Place place() {
            return Whole.VEHICLE;
        }
    }
}
