package abbex.core.motorcycle;

/**
 * A front end in side view (Foale, Motorcycle Handling and Chassis Design; Cossalter, Motorcycle Dynamics; formulas from memory).
 *
 * @param radius of the front wheel under its load, mm
 * @param headAngle of the steering axis from the vertical, degrees
 * @param offset of the axle before the steering axis, perpendicular to it, mm
 */
public record Steering(double radius, double headAngle, double offset) {
    /** Steeper or flatter no motorcycle is steered; an angle from the ground lies above it. */
    public static final double MOST = 50;

    public Steering {
        if (!(headAngle > 0 && headAngle < MOST)) {
            throw new IllegalArgumentException("head angle: " + headAngle
                    + "°; from the vertical, more than 0 and less than " + MOST
                    + (headAngle < 90 && headAngle > 90 - MOST ? "; from the ground this is " + (90 - headAngle) : ""));
        }
        if (!(radius > 0)) {
            throw new IllegalArgumentException("radius: " + radius + " mm; more than 0");
        }
    }

    private double angle() {
        return Math.toRadians(headAngle);
    }

    /** From the steering axis to the contact point, perpendicular to the axis, mm: R·sin ε − offset. */
    public double normalTrail() {
        return radius * Math.sin(angle()) - offset;
    }

    /** Along the ground, mm: normal trail ÷ cos ε. */
    public double groundTrail() {
        return normalTrail() / Math.cos(angle());
    }

    /** With the chassis turned by so many degrees, the rear down or the front up positive. */
    public Steering turned(double degrees) {
        return new Steering(radius, headAngle + degrees, offset);
    }

    /**
     * How the chassis turns, degrees, the rear down positive: asin((rear drop − front drop) ÷ wheelbase).
     *
     * @param frontDrop how far the front comes down, mm
     * @param rearDrop how far the rear comes down, mm
     * @throws IllegalArgumentException where an end goes farther than the wheelbase is long
     */
    public static double turn(double frontDrop, double rearDrop, double wheelbase) {
        double sine = (rearDrop - frontDrop) / wheelbase;
        if (!(wheelbase > 0 && Math.abs(sine) < 1)) {
            throw new IllegalArgumentException(
                    "wheelbase: " + wheelbase + " mm with ends " + (rearDrop - frontDrop) + " mm apart");
        }
        return Math.toDegrees(Math.asin(sine));
    }
}
