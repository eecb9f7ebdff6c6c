package abbex.core.clearance;

import abbex.core.units.Length;
import abbex.core.wheels.Fitment;

/**
 * The tyre as a solid of revolution about the wheel's axis, by its section: tread and sidewalls are lines, each corner a
 * quarter of a circle that they touch tangentially. Axial positions are outboard of the hub's face, radii from the axis, all
 * in millimetres.
 *
 * <p>The flat tread and upright sidewalls lie on or outside a real tyre's. A tyre with squarer shoulders than are reckoned here
 * reaches a few millimetres further there: such a place is probed from its shoulder.
 *
 * @param middle axial position of the middle plane
 * @param half half of the section width, positive
 * @param bead radius of the rim's seat, positive
 * @param outside radius of the tread, more than the bead
 * @param shoulder radius of the shoulders
 * @param heel radius of the corners at the bead
 */
public record TyreBody(double middle, double half, double bead, double outside, double shoulder, double heel) {
    /** Shoulder as a part of the section height (ours: squarer than most, so that a shoulder's gap is not told too large). */
    private static final double SHOULDER = 0.15;

    /** Corner at the bead in mm (ours): the same for all, so that a larger tyre is nowhere smaller. */
    private static final double HEEL = 18;

    public TyreBody {
        if (!(half > 0 && bead > 0 && outside > bead)) {
            throw new IllegalArgumentException("tyre body: half " + half + ", bead " + bead + ", outside " + outside);
        }
        double most = Math.min(half, (outside - bead) / 2);
        if (shoulder < 0 || heel < 0 || shoulder > most || heel > most) {
            throw new IllegalArgumentException(
                    "tyre body: shoulder " + shoulder + ", heel " + heel + "; at most " + most);
        }
    }

    /** A face of the tyre that a gap is measured from. */
    public enum Face {
        TREAD,
        OUTER_SHOULDER,
        OUTER_SIDEWALL,
        INNER_SHOULDER,
        INNER_SIDEWALL;

        /** True where a tape can be laid across: a shoulder is where it turns. */
        public boolean flat() {
            return this == TREAD || sidewall();
        }

        /** The wheel's side, inner or outer. */
        boolean sidewall() {
            return this == OUTER_SIDEWALL || this == INNER_SIDEWALL;
        }
    }

    /**
     * What is put over a tyre.
     *
     * @param tread beyond the tread's face, mm
     * @param sidewall beyond each sidewall, mm
     */
    public record Worn(double tread, double sidewall) {
        public static final Worn NOTHING = new Worn(0, 0);

        /** A traction device of SAE J683 class S (from memory). */
        public static final Worn CHAINS = new Worn(37, 15);
    }

    /** The same with something put over it. */
    TyreBody with(Worn worn) {
        return new TyreBody(middle, half + worn.sidewall(), bead, outside + worn.tread(), shoulder, heel);
    }

    /** As it stands on the car now, measured against: neither grown nor loaded. */
    public static TyreBody of(Fitment fitment) {
        return of(
                fitment,
                fitment.tyre().sectionWidth(fitment.wheel().width()).mm(),
                fitment.tyre().overallDiameter().mm());
    }

    /** As large as it may grow to in service (UN R30, from memory): what must clear. */
    public static TyreBody grown(Fitment fitment) {
        return of(
                fitment,
                fitment.tyre().grownWidth(fitment.wheel().width()).mm(),
                fitment.tyre().grownDiameter().mm());
    }

    /** Each flange stands so far beyond the width between the flanges, in mm: half an inch (common practice). */
    private static final double FLANGE_THICK = 12.7;

    /** Height of a J flange over the bead's seat, in mm (ETRTO, from memory). */
    private static final double FLANGE_HIGH = 17.3;

    /** How far the rim's lip goes inward of the seat, in mm (ours). */
    private static final double LIP = 12;

    /** How round the flange's edge is, in mm (ours: sharper than most). */
    private static final double EDGE = 4;

    /**
     * The rim's flanges as a ring of the rim's whole width: what a stretched tyre leaves standing beside its sidewalls. It does
     * not grow.
     */
    public static TyreBody rim(Fitment fitment) {
        double seat = seat(fitment);
        double half = fitment.wheel().width().doubleValue() * Length.MM_PER_INCH.doubleValue() / 2 + FLANGE_THICK;
        return new TyreBody(-fitment.wheel().effectiveOffset().mm(), half, seat - LIP, seat + FLANGE_HIGH, EDGE, EDGE);
    }

    /** What lies outboard of the spokes' back, mm: more than any wheel is deep. */
    private static final double DEEP = 400;

    /**
     * All that lies outboard of the spokes' back, which goes with the wheel's middle plane; how far from that it lies is each
     * wheel's own and counts from nought here.
     */
    static TyreBody spokes(Fitment fitment) {
        double back = -fitment.wheel().effectiveOffset().mm();
        return new TyreBody(back + DEEP / 2, DEEP / 2, 1, seat(fitment) - LIP, 0, 0);
    }

    /** Where between axis and barrel a calliper's face stands, as a part of the barrel (ours). */
    double face() {
        return 0.8 * barrel();
    }

    /** Inner radius of the rim's barrel that the tyre sits on, mm. */
    double barrel() {
        return bead - LIP;
    }

    private static double seat(Fitment fitment) {
        return fitment.wheel().rimCode().doubleValue() * Length.MM_PER_INCH.doubleValue() / 2;
    }

    private static TyreBody of(Fitment fitment, double width, double diameter) {
        double bead = seat(fitment);
        double height = diameter / 2 - bead;
        double most = Math.min(width / 2, height / 2);
        return new TyreBody(
                -fitment.wheel().effectiveOffset().mm(),
                width / 2,
                bead,
                diameter / 2,
                Math.min(SHOULDER * height, most),
                Math.min(HEEL, most));
    }

    /**
     * Signed distance from a point to the section, negative inside; closed form, allocates nothing. For a point off the axis
     * it is the distance to the solid: the nearest point lies in the plane through point and axis.
     *
     * @param axial outboard of the hub's face
     * @param radius from the axis, not negative
     */
    public double distance(double axial, double radius) {
        double up = (outside + bead) / 2;
        double high = (outside - bead) / 2;
        double corner = radius >= up ? shoulder : heel;
        double x = Math.abs(axial - middle) - half + corner;
        double z = Math.abs(radius - up) - high + corner;
        double over = Math.max(x, 0);
        double above = Math.max(z, 0);
        return Math.sqrt(over * over + above * above) + Math.min(Math.max(x, z), 0) - corner;
    }

    /**
     * How {@link #distance} changes with axial position and radius, a unit vector. The section is convex, so is its distance in
     * the two: nowhere does it lie under the plane that this gives.
     *
     * @param slope filled
     */
    void slope(double axial, double radius, double[] slope) {
        double up = (outside + bead) / 2;
        double corner = radius >= up ? shoulder : heel;
        double side = axial >= middle ? 1 : -1;
        double level = radius >= up ? 1 : -1;
        double x = Math.abs(axial - middle) - half + corner;
        double z = Math.abs(radius - up) - (outside - bead) / 2 + corner;
        if (x > 0 && z > 0) {
            double far = Math.sqrt(x * x + z * z);
            slope[0] = side * x / far;
            slope[1] = level * z / far;
        } else {
            slope[0] = x > z ? side : 0;
            slope[1] = x > z ? 0 : level;
        }
    }

    /** The point of the section's outline that is nearest to one outside it, by the same arcs and lines as the distance. */
    double[] nearest(double axial, double radius) {
        double up = (outside + bead) / 2;
        double corner = radius >= up ? shoulder : heel;
        double side = axial >= middle ? 1 : -1;
        double level = radius >= up ? 1 : -1;
        double cx = half - corner;
        double cz = (outside - bead) / 2 - corner;
        double x = Math.abs(axial - middle) - cx;
        double z = Math.abs(radius - up) - cz;
        if (x > 0 && z > 0) {
            double far = Math.hypot(x, z);
            return new double[] {middle + side * (cx + corner * x / far), up + level * (cz + corner * z / far)};
        }
        return x > z ? new double[] {middle + side * half, radius} : new double[] {axial, up + level * (cz + corner)};
    }

    /** No point lies deeper than this inside, mm: negative. */
    double deepest() {
        return -Math.min(half, (outside - bead) / 2);
    }

    /**
     * Where a gap straight out from a face ends.
     *
     * @param off along the face from its middle in mm: outboard on the tread, outward on a sidewall, along the curve towards
     *     the tread on a shoulder; no further than the face goes
     * @return axial position and radius
     */
    double[] at(Face face, double gap, double off) {
        double flat = half - shoulder;
        double high = (outside - shoulder - bead - heel) / 2;
        double side = face == Face.OUTER_SHOULDER || face == Face.OUTER_SIDEWALL ? 1 : -1;
        if (face == Face.TREAD) {
            return new double[] {middle + within(off, flat), outside + gap};
        }
        if (face.sidewall()) {
            return new double[] {middle + side * (half + gap), bead + heel + high + within(off, high)};
        }
        double turn = within(shoulder + gap > 0 ? off / (shoulder + gap) : 0, Math.PI / 4);
        return new double[] {
            middle + side * (flat + (shoulder + gap) * Math.cos(Math.PI / 4 + turn)),
            outside - shoulder + (shoulder + gap) * Math.sin(Math.PI / 4 + turn)
        };
    }

    private static double within(double value, double most) {
        return Math.max(-most, Math.min(most, value));
    }

    /**
     * How far from a face's middle a place lies that was taped.
     *
     * @param across in from the outer sidewall for the tread, down from the tread for a sidewall, mm; nothing for a shoulder
     */
    double off(Face face, double across) {
        return switch (face) {
            case TREAD -> half - across;
            case OUTER_SIDEWALL, INNER_SIDEWALL -> outside - across - (outside - shoulder + bead + heel) / 2;
            case OUTER_SHOULDER, INNER_SHOULDER -> 0;
        };
    }
}
