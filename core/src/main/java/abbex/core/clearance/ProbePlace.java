package abbex.core.clearance;

import abbex.core.figure.Place;
import abbex.core.vehicle.WheelPlace;
import java.util.Locale;

/**
 * Where it looks tight, with what it moves and how much air it needs. Needed gaps are common practice, no published source;
 * each may be changed.
 */
public enum ProbePlace implements Place {
    FENDER_LIP(Carrier.BODY, 9.525),
    LINER_FRONT(Carrier.BODY, 9.525),
    LINER_REAR(Carrier.BODY, 9.525),
    INNER_ARCH(Carrier.BODY, 9.525),
    FRAME(Carrier.BODY, 9.525),
    STRUT(Carrier.KNUCKLE, 6.35),
    SPRING_PERCH(Carrier.KNUCKLE, 6.35),
    TIE_ROD(Carrier.KNUCKLE, 6.35),
    CONTROL_ARM(Carrier.ARM, 6.35),
    SWAY_LINK(Carrier.ARM, 6.35),
    HOSE(Carrier.BETWEEN, 12.7),
    BRAKE_CABLE(Carrier.BETWEEN, 12.7),
    SWINGARM(Carrier.KNUCKLE, 6.35),
    HUGGER(Carrier.KNUCKLE, 9.525),
    CALLIPER(Carrier.KNUCKLE, 1.5875),
    SPOKES(Carrier.KNUCKLE, 1.5875);

    /** What the obstacle moves with. */
    public enum Carrier {
        /** Stays with the body: all of bump and steer goes on between it and the wheel. */
        BODY(1, 1, 1),
        /** Goes with the wheel: nothing moves between them. */
        KNUCKLE(0, 0, 0),
        /** Goes up half as far as the wheel and does not steer (ours: an arm at half its length). */
        ARM(0.5, 1, 0),
        /** Hangs between body and wheel and bends: it goes half of every way with the wheel (ours). */
        BETWEEN(0.5, 0.5, 0.5);

        private final double bump;
        private final double steer;
        private final double roll;

        Carrier(double bump, double steer, double roll) {
            this.bump = bump;
            this.steer = steer;
            this.roll = roll;
        }

        /** How much of the body's own move up or down it makes against the wheel; so much of bump goes on between them. */
        double withBody() {
            return bump;
        }

        /** So much of a steer goes on between them. */
        double steered() {
            return steer;
        }

        /** So much of a roll. */
        double rolled() {
            return roll;
        }
    }

    private final Carrier carrier;
    private final double needed;

    ProbePlace(Carrier carrier, double needed) {
        this.carrier = carrier;
        this.needed = needed;
    }

    /**
     * What is most likely there, for somebody who points at a spot of the wheel (common practice): it may always be said
     * otherwise.
     *
     * @param clock hours as seen from outside, 12 on top
     */
    public static ProbePlace likely(WheelPlace wheel, double clock, TyreBody.Face face) {
        boolean top = clock >= 10.5 || clock <= 1.5;
        boolean low = clock > 4 && clock < 8;
        // Who looks at a left wheel from outside has the front on the left.
        boolean ahead = wheel.fromLeft() == clock > 6;
        ProbePlace liner = ahead ? LINER_FRONT : LINER_REAR;
        return switch (face) {
            case OUTER_SHOULDER, OUTER_SIDEWALL -> FENDER_LIP;
            case INNER_SIDEWALL -> low ? CONTROL_ARM : top ? STRUT : FRAME;
            case INNER_SHOULDER, TREAD -> low ? CONTROL_ARM : top ? INNER_ARCH : liner;
        };
    }

    /** The hour where it is usually looked at. */
    public double usualClock(WheelPlace wheel) {
        return switch (this) {
            case LINER_FRONT -> wheel.fromLeft() ? 9.5 : 2.5;
            case LINER_REAR -> wheel.fromLeft() ? 2.5 : 9.5;
            case INNER_ARCH -> 11;
            case STRUT, SPRING_PERCH -> 1;
            case CONTROL_ARM, SWAY_LINK -> 6;
            default -> 12;
        };
    }

    /** Inside the wheel: its barrel or its spokes are what must clear, not its tyre. */
    boolean inside() {
        return this == CALLIPER || this == SPOKES;
    }

    /** How far what bends may come from where it is reckoned, one standard deviation in mm (ours); nothing for what is stiff. */
    double bends() {
        return carrier == Carrier.BETWEEN ? BENDS : 0;
    }

    private static final double BENDS = 6;

    /** True for what goes up past the wheel's whole side: a gap that was read at the sidewall is there at the rim as well. */
    boolean upright() {
        return this == STRUT || this == SPRING_PERCH || this == SWAY_LINK;
    }

    public Carrier carrier() {
        return carrier;
    }

    /** The gap that it needs by common practice, in mm. */
    public double neededMm() {
        return needed;
    }

    @Override
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }
}
