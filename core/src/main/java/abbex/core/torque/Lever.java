package abbex.core.torque;

import abbex.core.units.Torque;

/** A wrench with something at its end. */
public final class Lever {
    private Lever() {}

    /**
     * What a wrench is set to for a wanted torque: wanted · L ÷ (L + E · cos θ) (lever arithmetic).
     *
     * @param length from square drive to hand, mm
     * @param extension from square drive to bolt, mm
     * @param degrees between extension and handle: 0 makes the lever longer, 180 shorter, 90 changes nothing
     * @throws IllegalArgumentException for a wrench of no length, and for an extension as long as its wrench or longer
     */
    public static Torque setting(Torque wanted, double length, double extension, double degrees) {
        if (!(length > 0)) {
            throw new IllegalArgumentException("length: " + length + " mm; more than 0");
        }
        if (!(extension >= 0 && extension < length)) {
            throw new IllegalArgumentException(
                    "extension: " + extension + " mm; 0 or more, and shorter than the wrench, " + length + " mm");
        }
        if (!(degrees >= 0 && degrees <= 180)) {
            throw new IllegalArgumentException("angle: " + degrees + "°; from 0 to 180");
        }
        return new Torque(wanted.newtonMetres() * length / (length + extension * Math.cos(Math.toRadians(degrees))));
    }
}
