package abbex.core.settling;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.units.Distance;
import abbex.core.units.Length;
import abbex.core.vehicle.Whole;

/** What the sheets since the set-down say of settling. The order is that in which findings of one severity are shown. */
public sealed interface SettlingFinding extends Finding {
    /** A corner or an end that came down more than settling makes it. */
    record SankMore(Place place, Length by) implements SettlingFinding, Look {}

    /** One that stands higher than settling leaves it. */
    record SankLess(Place place, Length by) implements SettlingFinding, Look {}

    /** An odometer that shows less than before, and not for its unit. */
    record OdometerBack(Place place, Distance was, Distance is) implements SettlingFinding, Look {
        public OdometerBack(Distance was, Distance is) {
            this(Whole.VEHICLE, was, is);
        }
    }

    /** One that was read in miles once and in kilometres once, as it seems. */
    record OdometerUnits(Place place, Distance was, Distance is) implements SettlingFinding, Look {
        public OdometerUnits(Distance was, Distance is) {
            this(Whole.VEHICLE, was, is);
        }
    }

    /** Measured as settled, and never as set down: there is nothing to settle from. */
    record ReturnBeforeFitting(Place place) implements SettlingFinding, Look {
        public ReturnBeforeFitting() {
            this(Whole.VEHICLE);
        }
    }

    /** Things to be watched that nobody has looked at since it came back. */
    record NotLookedAt(Place place, Items items) implements SettlingFinding, Look {
        public NotLookedAt(int count) {
            this(Whole.VEHICLE, new Items(count));
        }
    }

    /** Something was seen at what was to be watched. */
    record SeenOnReturn(Place place, Watch item) implements SettlingFinding, Look {
        @Override
        public String which() {
            return item.name();
        }
    }

    /** It was measured again, and nobody read the odometer. */
    record NotDriven(Place place) implements SettlingFinding, Note, Open {
        public NotDriven() {
            this(Whole.VEHICLE);
        }
    }

    /** It goes on settling: so much is still to come at the end that has most of it. */
    record StillSinks(Place place, Length by) implements SettlingFinding, Note {}

    /** What is left is less than a tape shows. */
    record Settled(Place place) implements SettlingFinding, Clear {
        public Settled() {
            this(Whole.VEHICLE);
        }
    }

    /** So many things. */
    record Items(int count) {}
}
