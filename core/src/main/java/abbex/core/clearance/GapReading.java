package abbex.core.clearance;

import abbex.core.units.Length;
import java.util.Optional;

/**
 * A gap that was measured once at a corner, wheel straight ahead.
 *
 * @param place where
 * @param clock hours on the wheel as seen from outside the vehicle, 12 on top; more than 0, at most 12
 * @param face which face of the tyre it was measured from
 * @param gap between that face and the obstacle, not negative
 * @param bump how far the wheel stood over the corner's ride height of today, positive up; nought when it was measured so
 * @param spot how well hour and place across the face were told
 */
public record GapReading(ProbePlace place, double clock, TyreBody.Face face, Length gap, Length bump, Spot spot) {
    private static final double SAME_HOUR = 0.5;

    /**
     * How well it was told where on the tyre a gap was read.
     *
     * @param hour one standard deviation of the hour, in hours, not negative
     * @param across in from the outer sidewall for the tread, down from the tread for a sidewall; empty where the eye chose the
     *     middle of the face
     */
    public record Spot(double hour, Optional<Length> across) {
        /** An hour that the eye tells (ours: half an hour is easily said wrong). */
        public static final double EYE = 0.25;

        /** An hour that was taped along the tread from 12 o'clock: half an inch of it (ours). */
        public static final double TAPED = 0.05;

        /** Hour and face by eye. */
        public static final Spot BY_EYE = new Spot(EYE, Optional.empty());

        /** A face's middle that the eye chose, mm of one standard deviation: on the tread, on a sidewall, round a shoulder (ours). */
        private static final double TREAD = 20;

        private static final double SIDEWALL = 12;
        private static final double SHOULDER = 10;

        /** A place across the face that was taped (ours). */
        private static final double ACROSS = 3;

        public Spot {
            if (!(hour >= 0)) {
                throw new IllegalArgumentException("probe: hour to " + hour + "; not negative");
            }
        }

        /** One standard deviation of the place across the face, mm. */
        double acrossStandard(TyreBody.Face face) {
            if (across.isPresent() && face.flat()) {
                return ACROSS;
            }
            return face == TyreBody.Face.TREAD ? TREAD : face.sidewall() ? SIDEWALL : SHOULDER;
        }

        /** True where a tape across the face would say more. */
        boolean mayTape(TyreBody.Face face) {
            return across.isEmpty() && face.flat();
        }

        /** The same with the hour taped. */
        public Spot hourTaped() {
            return new Spot(Math.min(hour, TAPED), across);
        }
    }

    public GapReading {
        if (!(clock > 0 && clock <= 12)) {
            throw new IllegalArgumentException("probe: clock " + clock + "; more than 0, at most 12");
        }
        if (gap.sign() < 0) {
            throw new IllegalArgumentException("probe: gap " + gap + "; not negative");
        }
    }

    private static final double ROUND = 12;

    /**
     * The hour of a spot that was taped along the tread from 12 o'clock, to the hundredth as it is kept.
     *
     * @param along the tread, mm, not negative
     * @param byEye the hour as the eye told it, which says which way round the tape went
     * @param radius of the tread, mm
     */
    public static double clock(double along, double byEye, double radius) {
        double hours = Math.rint(100 * along / radius * ROUND / (2 * Math.PI)) / 100;
        double hour = byEye > ROUND / 2 && byEye < ROUND ? ROUND - hours : hours;
        return hour <= 0 || hour > ROUND ? ROUND : hour;
    }

    /** By eye. */
    public GapReading(ProbePlace place, double clock, TyreBody.Face face, Length gap, Length bump) {
        this(place, clock, face, gap, bump, Spot.BY_EYE);
    }

    /**
     * The obstacle's point in the corner's own axes at ride height: x along the vehicle to the right of who looks from
     * outside, y outboard of the hub's face, z up from the wheel's centre, millimetres.
     *
     * @param tyre the body that the gap was measured from
     */
    public double[] point(TyreBody tyre) {
        return point(tyre, 0, 0);
    }

    /**
     * The same for a spot that lies elsewhere than was told.
     *
     * @param hours further on
     * @param off along the face in mm
     */
    double[] point(TyreBody tyre, double hours, double off) {
        double angle = Math.toRadians(30 * (clock + hours));
        if (place == ProbePlace.SPOKES) {
            double radius = tyre.face();
            return new double[] {
                radius * Math.sin(angle), tyre.middle() - gap.mm(), radius * Math.cos(angle) + bump.mm()
            };
        }
        if (place.inside()) {
            double radius = tyre.barrel() - gap.mm();
            return new double[] {radius * Math.sin(angle), tyre.middle(), radius * Math.cos(angle) + bump.mm()};
        }
        double told = spot.across().map(a -> tyre.off(face, a.mm())).orElse(0.0);
        double[] section = tyre.at(face, gap.mm(), told + off);
        return new double[] {section[1] * Math.sin(angle), section[0], section[1] * Math.cos(angle) + bump.mm()};
    }

    GapReading withGap(double mm) {
        return new GapReading(place, clock, face, Length.ofRoundedMm(mm), bump, spot);
    }

    /** True when both speak of the same spot of the same part, as near as anybody says an hour. */
    public boolean sameSpot(GapReading other) {
        double apart = Math.abs(clock - other.clock) % 12;
        return place == other.place && Math.min(apart, 12 - apart) <= SAME_HOUR;
    }
}
