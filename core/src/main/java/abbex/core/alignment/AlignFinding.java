package abbex.core.alignment;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.units.Angle;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Whole;

/** What the angles of the wheels say. The order is that in which findings of one severity are shown. */
public sealed interface AlignFinding extends Finding {
    /** Which way toe points. */
    enum Way {
        IN,
        OUT
    }

    /** What a tyre is dragged sideways on its way. */
    record Scrub(double metresPerKilometre) {}

    /** What could move an angle. */
    enum Reach {
        UNKNOWN,
        TIE_ROD,
        STRUT_HOLES,
        TOP_PLATE,
        PIN,
        ECCENTRIC,
        ARM,
        SHIM,
        BUSHING
    }

    /** Toe of a wheel beyond its limit, or beyond what tyres live with where none was entered. */
    record ToeEats(Place place, Angle toe, Way way, Scrub scrub) implements AlignFinding, Look {}

    /** Camber beyond its limit: by how much, and what would reach it. */
    record CamberOut(Place place, Angle camber, Angle beyond, Reach reach) implements AlignFinding, Look {}

    /** So much camber that it needs a reason. */
    record CamberSteep(Place place, Angle camber) implements AlignFinding, Look {}

    /** Left and right of an axle stand unlike. */
    record CamberUneven(End place, Angle by) implements AlignFinding, Look {}

    /** Where the rear axle steers to. */
    record ThrustOff(End place, Angle by, Side side) implements AlignFinding, Look {}

    /** A side of the vehicle. */
    enum Side {
        LEFT,
        RIGHT
    }

    /** The drop moved camber by another amount than was expected. */
    record MovedOtherwise(Place place, Angle by, Angle expected) implements AlignFinding, Note {}

    /** It was lowered, and the alignment was not measured since. */
    record NotAligned(Place place) implements AlignFinding, Note, Open {
        public NotAligned() {
            this(Whole.VEHICLE);
        }
    }

    /** A wheel whose toe was not read after the work, while others were. */
    record ToeNotRead(Place place) implements AlignFinding, Note, Open {}

    /** Toe of all four wheels is within what was entered for both axles. */
    record ToeWithinLimits(Place place) implements AlignFinding, Clear {
        public ToeWithinLimits() {
            this(Whole.VEHICLE);
        }
    }
}
