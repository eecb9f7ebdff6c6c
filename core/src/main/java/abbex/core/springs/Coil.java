package abbex.core.springs;

/**
 * A cylindrical helical compression spring of round wire as a calliper measures it.
 *
 * @param wire diameter of the wire, mm
 * @param mean diameter of the coil in the middle of the wire, mm
 * @param active coils that work
 * @param total coils, with those that lie on their seats
 * @param ground true when its ends are ground flat
 */
public record Coil(double wire, double mean, double active, double total, boolean ground, Material material) {
    /** An end that is not ground adds so much of a wire to the solid length (from memory). */
    private static final double UNGROUND = 1.5;

    public Coil {
        if (!(wire > 0 && mean > wire && active > 0 && total >= active)) {
            throw new IllegalArgumentException(
                    "coil: wire " + wire + ", mean diameter " + mean + ", active " + active + " of " + total);
        }
    }

    /** N/mm: G d⁴ / (8 D³ n) (EN 13906-1). */
    public double rate() {
        return material.shearModulus() * Math.pow(wire, 4) / (8 * Math.pow(mean, 3) * active);
    }

    /** How it is when every coil lies on the next, mm. */
    public double solidLength() {
        return total * wire + (ground ? 0 : UNGROUND * wire);
    }

    /** How many wires its mean diameter is. */
    public double index() {
        return mean / wire;
    }

    /** Torsional stress without the coil's curvature, MPa: 8 F D / (π d³) (EN 13906-1). */
    public double stress(double force) {
        return 8 * force * mean / (Math.PI * Math.pow(wire, 3));
    }

    /** The factor of its curvature, (w + 0.5) / (w − 0.75) (EN 13906-1). */
    public double curvature() {
        return (index() + 0.5) / (index() - 0.75);
    }

    /** Torsional stress at the inside of the coil, MPa. */
    public double corrected(double force) {
        return curvature() * stress(force);
    }

    /** The same with so many coils cut off: those that are left are as soft each, so that the spring is stiffer. */
    public Coil cut(double coils) {
        return new Coil(wire, mean, active - coils, total - coils, ground, material);
    }

    /** What is left of a free length in mm after a cut of so many coils: the space of each working coil goes with it. */
    public double freeAfterCut(double free, double coils) {
        return free - coils * (free - (total - active) * wire) / active;
    }
}
