package abbex.core.springs;

/** What a spring is wound of, with its shear modulus in N/mm² (EN 13906-1, from memory; stainless: the middle of its range). */
public enum Material {
    /** Oil-tempered wire, EN 10270-2: what suspension springs are mostly made of. */
    OIL_TEMPERED(79_500),
    /** Hot-formed, EN 10089. */
    HOT_FORMED(78_500),
    /** Patented drawn, EN 10270-1. */
    PATENTED(81_500),
    /** Stainless, EN 10270-3: 68,000 to 73,000. */
    STAINLESS(70_500);

    private final double shear;

    Material(double shear) {
        this.shear = shear;
    }

    public double shearModulus() {
        return shear;
    }
}
