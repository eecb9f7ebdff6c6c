package abbex.core.units;

/**
 * Units of torque, in newton metres.
 *
 * <p>Source: pound-force × foot and × inch, kilogram-force × metre, exact by definition (NIST SP 811, appendix B).
 */
public enum TorqueUnit {
    NEWTON_METRE(1, "N·m"),
    POUND_FOOT(4.4482216152605 * 0.3048, "lbf·ft"),
    POUND_INCH(4.4482216152605 * 0.0254, "lbf·in"),
    KILOGRAM_METRE(9.80665, "kgf·m");

    private final double newtonMetres;
    private final String symbol;

    TorqueUnit(double newtonMetres, String symbol) {
        this.newtonMetres = newtonMetres;
        this.symbol = symbol;
    }

    /** So many of this unit in newton metres. */
    public double toNewtonMetres(double torque) {
        return torque * newtonMetres;
    }

    /** So many newton metres in this unit. */
    public double fromNewtonMetres(double torque) {
        return torque / newtonMetres;
    }

    public String symbol() {
        return symbol;
    }
}
