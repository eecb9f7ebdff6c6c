package abbex.core.parts;

import abbex.core.springs.Coil;
import abbex.core.springs.Material;

/**
 * What a calliper says of a coil spring on the bench, against what its listing says: the calliper outranks the listing.
 *
 * @param coil as measured
 * @param rate N/mm by the coil's figures
 * @param standard one standard deviation of it
 */
public record Calliper(Coil coil, double rate, double standard) {
    /** How well a calliper reads painted wire, an outside diameter, and coils by eye (common practice, from memory). */
    private static final double WIRE = 0.06;

    private static final double OUTSIDE = 0.4;
    private static final double COILS = 0.12;

    /** Heats differ by so much (from memory). */
    private static final double SHEAR = 0.01;

    /** Coils that lie on their seats, both ends together (common practice: three quarters to one at each). */
    public static final double RESTING = 1.75;

    private static final double SURE = 2;

    /**
     * @param wire diameter, mm
     * @param outside diameter of the coil, mm
     * @param total coils, counted to a quarter
     * @param resting coils that lie on seats
     * @throws IllegalArgumentException when no spring is like that
     */
    public static Calliper of(double wire, double outside, double total, double resting) {
        Coil coil = new Coil(wire, outside - wire, total - resting, total, false, Material.OIL_TEMPERED);
        double relative = Math.sqrt(sq(4 * WIRE / wire + 3 * WIRE / coil.mean())
                + sq(3 * OUTSIDE / coil.mean())
                + sq(COILS / coil.active())
                + sq(SHEAR));
        return new Calliper(coil, coil.rate(), coil.rate() * relative);
    }

    private static double sq(double v) {
        return v * v;
    }

    /** The listing lies within what the calliper leaves open (k = 2). */
    public boolean agrees(double listed) {
        return Math.abs(listed - rate) <= SURE * standard;
    }
}
