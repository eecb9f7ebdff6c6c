package abbex.core.truck;

/**
 * A leaf pack between its eyes, by statics and small moves.
 *
 * @param fixed from the fixed eye to the axle, mm
 * @param shackled from the axle to the shackled eye, mm
 */
public record LeafSpan(double fixed, double shackled) {
    public LeafSpan {
        if (!(fixed > 0 && shackled > 0)) {
            throw new IllegalArgumentException("leaf: " + fixed + " and " + shackled + " mm; each more than 0");
        }
    }

    private double span() {
        return fixed + shackled;
    }

    /** How far the axle moves under the frame for moves of the eyes, mm, both with one sign: each counts by the other's lever. */
    public double axle(double fixedEye, double shackledEye) {
        return (fixedEye * shackled + shackledEye * fixed) / span();
    }

    /** How far the pack, and the pinion with it, turns, degrees, the shackled eye up positive. */
    public double turn(double fixedEye, double shackledEye) {
        return Math.toDegrees(Math.asin((shackledEye - fixedEye) / span()));
    }

    /** What part of the axle's load hangs on the shackled eye. */
    public double shackledShare() {
        return fixed / span();
    }
}
