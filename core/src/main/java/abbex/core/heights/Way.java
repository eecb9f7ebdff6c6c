package abbex.core.heights;

import abbex.core.units.Length;
import abbex.core.units.TapeText;
import abbex.core.vehicle.VehicleKind;

/** A way to measure a height, from which point to which: one of the four-corner methods, or a point of its own. */
public sealed interface Way permits Method, PointMethod {
    /** Its short name, unlike that of any other on a sheet. */
    String code();

    /** True when the size, pressure or wear of the tyre changes this height. */
    boolean tyreInIt();

    /** Standard uncertainty of finding the two points. */
    Length repeatability();

    /** Which signs it may have. */
    TapeText.Allowed allowed();

    /** The lowest height that is usual on such a vehicle. */
    Length usualFrom(VehicleKind kind);

    /** The greatest height that is usual on such a vehicle. */
    Length usualTo(VehicleKind kind);

    /** True when the height lies where such heights lie on such a vehicle. */
    default boolean usual(Length height, VehicleKind kind) {
        return height.compareTo(usualFrom(kind)) >= 0 && height.compareTo(usualTo(kind)) <= 0;
    }
}
