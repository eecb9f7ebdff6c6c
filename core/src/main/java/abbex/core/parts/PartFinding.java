package abbex.core.parts;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.vehicle.Whole;
import java.util.List;

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

    /** Counted parts of which more was fitted than lay on the shelf. */
    record BelowShelf(Place place, Lines lines) implements PartFinding, Look {
        public BelowShelf(int count) {
            this(Whole.VEHICLE, new Lines(count));
        }
    }

    /**
     * What differs between the part that came off and the one that goes on.
     *
     * @param own the kind is as somebody named it
     */
    record Unlike(String kind, boolean own, List<OldNew.Feature> features) {}

    /** The new part does not fit what the old one went on. */
    record NotAlike(Place place, Unlike unlike) implements PartFinding, Look {}

    /** It goes on although it differs, and somebody has said why. */
    record UnlikeAndMeant(Place place, Unlike unlike) implements PartFinding, Note {}
}
