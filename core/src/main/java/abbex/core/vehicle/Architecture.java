package abbex.core.vehicle;

/** How an end is sprung. */
public enum Architecture {
    STRUT,
    DOUBLE_WISHBONE,
    MULTI_LINK,
    TWIST_BEAM,
    SOLID_AXLE_COIL,
    SOLID_AXLE_LEAF,
    OTHER;

    /** Both wheels are held by one beam: neither camber nor toe moves as the end comes down. */
    public boolean oneBeam() {
        return this == TWIST_BEAM || this == SOLID_AXLE_COIL || this == SOLID_AXLE_LEAF;
    }
}
