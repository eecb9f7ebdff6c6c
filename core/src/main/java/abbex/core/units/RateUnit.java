package abbex.core.units;

/** Units of a spring's rate, in newtons per millimetre: a force over a length, each exact by definition (NIST SP 811). */
public enum RateUnit {
    NEWTON_PER_MM(ForceUnit.NEWTON, 1, "N/mm"),
    POUND_PER_INCH(ForceUnit.POUND, 25.4, "lbf/in"),
    KILOGRAM_PER_MM(ForceUnit.KILOGRAM, 1, "kgf/mm");

    private final ForceUnit force;
    private final double mm;
    private final String symbol;

    RateUnit(ForceUnit force, double mm, String symbol) {
        this.force = force;
        this.mm = mm;
        this.symbol = symbol;
    }

    /** So many of this unit in N/mm. */
    public double toNewtonsPerMm(double rate) {
        return force.toNewtons(rate) / mm;
    }

    /** So many N/mm in this unit. */
    public double fromNewtonsPerMm(double rate) {
        return force.fromNewtons(rate) * mm;
    }

    public String symbol() {
        return symbol;
    }
}
