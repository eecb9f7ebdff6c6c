package abbex.core.units;

/**
 * Units of force, in newtons.
 *
 * <p>Source: 0.453 592 37 kg × 9.806 65 m/s², both exact by definition (NIST SP 811).
 */
public enum ForceUnit {
    NEWTON(1, "N"),
    POUND(4.4482216152605, "lbf"),
    KILOGRAM(9.80665, "kgf");

    private final double newtons;
    private final String symbol;

    ForceUnit(double newtons, String symbol) {
        this.newtons = newtons;
        this.symbol = symbol;
    }

    /** So many of this unit in newtons. */
    public double toNewtons(double force) {
        return force * newtons;
    }

    /** So many newtons in this unit. */
    public double fromNewtons(double force) {
        return force / newtons;
    }

    public String symbol() {
        return symbol;
    }
}
