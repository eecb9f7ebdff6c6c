package abbex.core.parts;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.vehicle.Whole;

/** What is to be said of a job's parts. The order is that in which findings of one severity are shown. */
public sealed interface PartFinding extends Finding {
    /** How many. */
    record Lines(int count) {}

    /** The vehicle was raised, and parts are awaited that the card puts on. */
    record RaisedWithout(Place place, Lines lines) implements PartFinding, Look {
        public RaisedWithout(int count) {
            this(Whole.VEHICLE, new Lines(count));
        }
    }
}
