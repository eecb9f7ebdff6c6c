package abbex.core.clearance;

import abbex.core.wheels.Fitment;

/**
 * A probe with what it was measured from: together they fix a point.
 *
 * @param from wheel and tyre that stood there
 * @param stood how far the body had come down by then from where it was first measured, in mm, positive down
 * @param standard finding the place and reading the gap, one standard deviation in mm
 */
public record LocatedGap(GapReading probe, Fitment from, double stood, double standard) {
    /** Finding the face and reading a pin or a finger (ours). */
    public static final double BY_HAND = 1.0;

    /** A gap measured by hand before the body came down. */
    public static LocatedGap byHand(GapReading probe, Fitment from) {
        return new LocatedGap(probe, from, 0, BY_HAND);
    }

    /** The point in the corner's axes, with the body lowered so far from where it was first measured, in mm. */
    double[] at(double lowered) {
        return at(lowered, 0, 0);
    }

    /** The same for a spot that lies so many hours on and so many mm along the face from where it was told. */
    double[] at(double lowered, double hours, double off) {
        double[] point = probe.point(TyreBody.of(from), hours, off);
        point[2] -= (lowered - stood) * probe.place().carrier().withBody();
        return point;
    }
}
