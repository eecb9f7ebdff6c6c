package abbex.core.motorcycle;

import java.util.Optional;

/**
 * A side stand of fixed length on a machine that stands upright: tan(lean) = (h − L·cos φ) ÷ (y + L·sin φ), plane geometry with
 * the tyre's contact as a line.
 *
 * @param height of its pivot over the ground, mm
 * @param out of its pivot from the machine's middle, mm
 * @param length from pivot to foot, mm
 * @param spread of the leg from the machine's vertical, outward, degrees
 */
public record SideStand(double height, double out, double length, double spread) {
    public SideStand {
        if (!(out >= 0 && length > 0 && spread >= 0 && spread < 90)) {
            throw new IllegalArgumentException("stand: pivot " + height + " mm high and " + out + " mm out, leg "
                    + length + " mm at " + spread + "°");
        }
    }

    /** A stand by its measures; empty for one on which no machine stands. */
    public static Optional<SideStand> read(double height, double out, double length, double spread) {
        return length >= most(height, out, spread)
                ? Optional.empty()
                : Optional.of(new SideStand(height, out, length, spread));
    }

    /** So long a leg no machine leans on any more, mm. */
    public static double most(double height, double out, double spread) {
        return (height + out) / Math.cos(Math.toRadians(spread));
    }

    private double cos() {
        return Math.cos(Math.toRadians(spread));
    }

    private double sin() {
        return Math.sin(Math.toRadians(spread));
    }

    /** How far the machine leans on it, degrees, to its side positive; below zero it stands over to the other side and falls. */
    public double lean() {
        return Math.toDegrees(Math.atan2(height - length * cos(), out + length * sin()));
    }

    /** The machine let down by so much at the stand, mm. */
    public SideStand lowered(double drop) {
        return new SideStand(height - drop, out, length, spread);
    }

    /** With another leg, mm. */
    public SideStand with(double leg) {
        return new SideStand(height, out, leg, spread);
    }

    /** The leg with which it leans so many degrees, mm. */
    public double legFor(double lean) {
        double tan = Math.tan(Math.toRadians(lean));
        return (height - out * tan) / (cos() + tan * sin());
    }

    /** How far the chassis comes down at a stand between its ends, mm: by how far behind the front axle it sits. */
    public static double dropAt(double frontDrop, double rearDrop, double behindFront, double wheelbase) {
        return frontDrop + (rearDrop - frontDrop) * behindFront / wheelbase;
    }
}
