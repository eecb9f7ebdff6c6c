package abbex.core.clearance;

import abbex.core.units.Length;

/**
 * A gap that was measured once at a corner, wheel straight ahead.
 *
 * @param place where
 * @param clock hours on the wheel as seen from outside the vehicle, 12 on top; more than 0, at most 12
 * @param face which face of the tyre it was measured from
 * @param gap between that face and the obstacle, not negative
 * @param bump how far the wheel stood over the corner's ride height of today, positive up; nought when it was measured so
 */
public record GapReading(ProbePlace place, double clock, TyreBody.Face face, Length gap, Length bump) {
    private static final double SAME_HOUR = 0.5;

    public GapReading {
        if (!(clock > 0 && clock <= 12)) {
            throw new IllegalArgumentException("probe: clock " + clock + "; more than 0, at most 12");
        }
        if (gap.sign() < 0) {
            throw new IllegalArgumentException("probe: gap " + gap + "; not negative");
        }
    }

    /**
     * The obstacle's point in the corner's own axes at ride height: x along the vehicle to the right of who looks from
     * outside, y outboard of the hub's face, z up from the wheel's centre, millimetres.
     *
     * @param tyre the body that the gap was measured from
     */
    public double[] point(TyreBody tyre) {
        double radius = tyre.radiusAt(face, gap.mm());
        double angle = Math.toRadians(30 * clock);
        return new double[] {
            radius * Math.sin(angle), tyre.axialAt(face, gap.mm()), radius * Math.cos(angle) + bump.mm()
        };
    }

    GapReading withGap(double mm) {
        return new GapReading(place, clock, face, Length.ofRoundedMm(mm), bump);
    }

    /** True when both speak of the same spot of the same part, as near as anybody says an hour. */
    public boolean sameSpot(GapReading other) {
        double apart = Math.abs(clock - other.clock) % 12;
        return place == other.place && Math.min(apart, 12 - apart) <= SAME_HOUR;
    }
}
