package abbex.core.clearance;

import abbex.core.motion.Motion;
import abbex.core.wheels.Fitment;
import java.util.Optional;

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

    /** It was read beside the wheel's side, from sidewall or shoulder, and goes on past it. */
    boolean upright() {
        return probe.place().upright() && probe.face() != TyreBody.Face.TREAD;
    }

    /**
     * The point in the corner's axes, which are upright at the planned ride height: the wheel leant as it did when the gap was
     * read, so that only what leans it otherwise since then counts.
     *
     * @param lowered the body from where it was first measured, mm
     */
    double[] at(double lowered, Motion motion) {
        return at(lowered, motion, 0, 0);
    }

    /** In the axes of the wheel, which leans alike throughout: what two gaps say of each other. */
    double[] at(double lowered) {
        return at(lowered, 0, 0, Optional.empty());
    }

    /** The same for a spot that lies so many hours on and so many mm along the face from where it was told. */
    double[] at(double lowered, Motion motion, double hours, double off) {
        return at(lowered, hours, off, Optional.of(motion));
    }

    private double[] at(double lowered, double hours, double off, Optional<Motion> motion) {
        double[] point = probe.point(TyreBody.of(from), hours, off);
        ProbePlace.Carrier carrier = probe.place().carrier();
        double bump = (probe.bump().mm() - (lowered - stood)) * carrier.withBody();
        point[2] -= probe.bump().mm();
        // What goes with the wheel stands to it as it stood.
        if (carrier == ProbePlace.Carrier.KNUCKLE) {
            return point;
        }
        if (motion.isPresent()) {
            motion.get().fromWheel(point, bump);
        } else {
            point[2] += bump;
        }
        return point;
    }
}
