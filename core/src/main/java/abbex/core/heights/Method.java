package abbex.core.heights;

import abbex.core.units.Length;
import abbex.core.units.TapeText;
import abbex.core.vehicle.VehicleKind;

/**
 * A way to measure a corner height, from which point to which. Each falls when the body comes down.
 *
 * <p>The repeatabilities (one standard deviation of finding the two points) and the usual ranges are common practice, no
 * published source; they become the shop's own once it has measured enough.
 */
public enum Method implements Way {
    /** Ground to fender lip, through the wheel centre: tyre and floor are in it. */
    GF(true, false, Length.ofInches(0, 1, 32), 22, 31, 28, 46),
    /** Hub centre to fender lip, vertical: the suspension alone, once the centre is found. */
    HF(false, true, Length.ofInches(0, 1, 32), 11, 19, 13, 27),
    /** Lower edge of the rim to fender lip, vertical: a hard edge, the most repeatable. */
    RIM(false, true, Length.ofInches(0, 1, 64), 19, 30, 22, 40),
    /** Frame, pinch weld or jacking point to ground: chassis height, tyre and floor are in it. */
    FG(true, false, Length.ofInches(0, 1, 64), 3, 14, 5, 26),
    /** Tyre tread to fender lip at twelve o'clock; negative is tuck. */
    TG(true, false, Length.ofInches(0, 1, 32), -4, 7, -4, 14);

    private final boolean tyreInIt;
    private final boolean hubReferenced;
    private final Length repeatability;
    private final int[] usualInches;

    Method(boolean tyreInIt, boolean hubReferenced, Length repeatability, int... usualInches) {
        this.tyreInIt = tyreInIt;
        this.hubReferenced = hubReferenced;
        this.repeatability = repeatability;
        this.usualInches = usualInches;
    }

    @Override
    public String code() {
        return name();
    }

    @Override
    public boolean tyreInIt() {
        return tyreInIt;
    }

    /** True for heights taken from the wheel's hard parts, so that a drop is the suspension's alone. */
    public boolean hubReferenced() {
        return hubReferenced;
    }

    /** True when the height ends at the fender lip, so that work on the arch moves it. */
    public boolean lip() {
        return this != FG;
    }

    @Override
    public Length repeatability() {
        return repeatability;
    }

    /** A gap may be nought or negative; every other height is positive. */
    @Override
    public TapeText.Allowed allowed() {
        return this == TG ? TapeText.Allowed.ANY : TapeText.Allowed.POSITIVE;
    }

    @Override
    public Length usualFrom(VehicleKind kind) {
        return inches(usualInches[kind.unitBody() ? 0 : 2]);
    }

    @Override
    public Length usualTo(VehicleKind kind) {
        return inches(usualInches[kind.unitBody() ? 1 : 3]);
    }

    private static Length inches(int whole) {
        return Length.ofInches(1, 0, 1).times(whole);
    }
}
