package abbex.core.motorcycle;

/**
 * How far a machine leans until a part touches.
 *
 * @param high of the part over the ground, machine upright, mm
 * @param out from the machine's middle, mm
 * @param crown radius of the tyre's crown, mm; 0 for a knife edge, which is cautious
 */
public record LeanClearance(double high, double out, double crown) {
    public LeanClearance {
        if (!(high > 0 && out > 0 && crown >= 0)) {
            throw new IllegalArgumentException(
                    "part: " + high + " mm high, " + out + " mm out, crown radius " + crown + " mm");
        }
    }

    /** A part that lies within the tyre's own crown never touches before it. */
    public static boolean outside(double high, double out, double crown) {
        return high > 0 && Math.hypot(out, high - crown) > crown;
    }

    /**
     * Degrees. The ground is the line that touches the crown's circle and the part: out·sin θ − (high − crown)·cos θ = crown
     * (plane geometry).
     *
     * @throws IllegalArgumentException for a part that lies within the tyre's own crown
     */
    public double degrees() {
        double above = high - crown;
        double away = Math.hypot(out, above);
        if (away <= crown) {
            throw new IllegalArgumentException("part: it lies within the crown's radius, " + crown + " mm");
        }
        return Math.toDegrees(Math.atan2(above, out) + Math.asin(crown / away));
    }

    public LeanClearance lowered(double drop) {
        return new LeanClearance(high - drop, out, crown);
    }
}
