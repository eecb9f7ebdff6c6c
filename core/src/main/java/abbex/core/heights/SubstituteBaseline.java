package abbex.core.heights;

/**
 * What stands in for heights that nobody measured before. Each carries its own standard uncertainty on top of the tape's;
 * all of them are ours, no published source.
 */
public enum SubstituteBaseline {
    /** This vehicle was measured. */
    NONE(0),
    /** The other side of the same axle. */
    OTHER_SIDE(2.5),
    /** The shop's own earlier vehicles of the kind. */
    EARLIER_VEHICLES(4),
    /** An untouched vehicle of the same kind and tyre. */
    SAME_KIND(5),
    /** The mark of travel on the old damper. */
    DAMPER_MARK(6);

    private final double standardMm;

    SubstituteBaseline(double standardMm) {
        this.standardMm = standardMm;
    }

    /** Of the variance so much is one height of the whole vehicle, so much its pitch; what is left is each point's own (ours). */
    private static final double HEAVE = 0.64;

    private static final double PITCH = 0.25;

    /** The part that all its heights have in common, one standard deviation in millimetres. */
    double heaveMm() {
        return standardMm * Math.sqrt(HEAVE);
    }

    /** The part that one end has up and the other down. */
    double pitchMm() {
        return standardMm * Math.sqrt(PITCH);
    }

    /** What is each point's own. */
    double ownMm() {
        return standardMm * Math.sqrt(1 - HEAVE - PITCH);
    }

    /** How far this vehicle may have stood from what stands in for it, one standard deviation in millimetres. */
    public double standardMm() {
        return standardMm;
    }
}
