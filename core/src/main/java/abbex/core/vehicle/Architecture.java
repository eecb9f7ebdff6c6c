package abbex.core.vehicle;

/** How an end is sprung. */
public enum Architecture {
    STRUT,
    DOUBLE_WISHBONE,
    MULTI_LINK,
    TWIST_BEAM,
    SOLID_AXLE_COIL,
    SOLID_AXLE_LEAF,
    OTHER
}
