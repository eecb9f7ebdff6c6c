package abbex.core.state;

import abbex.core.heights.SheetState;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerCorner;

/** Something that was done to a vehicle, or told of it; nothing else changes its state. */
public sealed interface StateAct {
    /** Other parts went in at an end, or those it came with went back. */
    record PartsChanged(End end, PartsFitted parts) implements StateAct {}

    /**
     * Adjusters were turned.
     *
     * @param atWheel what that moves at each wheel as it is believed, mm, body up positive
     */
    record Turned(PerCorner<Double> atWheel) implements StateAct {}

    /** Wheels went on. */
    record WheelsMounted(String set) implements StateAct {}

    /** A remedy was done to the vehicle, by the id under which it was planned. */
    record RemedyFitted(String remedy) implements StateAct {}

    /** It was taken off again. */
    record RemedyRemoved(String remedy) implements StateAct {}

    /** A step of the work was done, or opened again. */
    record Worked(OpenWork open) implements StateAct {}

    /** It was measured in a state. */
    record Loaded(SheetState loads) implements StateAct {}

    /** It was driven until its springs had settled. */
    record Settled() implements StateAct {}
}
