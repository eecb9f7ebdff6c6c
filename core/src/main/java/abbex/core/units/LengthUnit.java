package abbex.core.units;

/** The units a tape or a specification is written in. */
public enum LengthUnit {
    INCH("in", Length.NM_PER_INCH),
    FOOT("ft", 12 * Length.NM_PER_INCH),
    MILLIMETRE("mm", Length.NM_PER_MM),
    CENTIMETRE("cm", 10 * Length.NM_PER_MM),
    METRE("m", 1000 * Length.NM_PER_MM);

    private final String symbol;
    private final long nm;

    LengthUnit(String symbol, long nm) {
        this.symbol = symbol;
        this.nm = nm;
    }

    public String symbol() {
        return symbol;
    }

    /** Whole nanometres in one of this unit (exact by definition). */
    public long nm() {
        return nm;
    }

    public boolean metric() {
        return this == MILLIMETRE || this == CENTIMETRE || this == METRE;
    }
}
