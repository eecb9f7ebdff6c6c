package abbex.core.heights;

import abbex.core.vehicle.VehicleKind;

/**
 * How far what is nearly the same may honestly differ, one standard deviation in millimetres. Common practice or ours, none
 * with a published source; each may be changed.
 *
 * @param diagonal change of the diagonal difference of ground-referenced heights between two sheets: twist of body and floor
 * @param tyresOfSheet all loaded radii together between two sheets: temperature, a pressure gauge
 * @param tyre one loaded radius between two sheets: load and pressure of that corner
 * @param sides loaded radius left against right of one axle
 * @param wheel rim radius of one wheel against the others of its axle
 * @param tread unloaded radius of one tyre against the others of its axle
 * @param roll half of how far left and right stand apart changes by work that is the same on both sides
 */
public record PriorDeviations(
        double diagonal, double tyresOfSheet, double tyre, double sides, double wheel, double tread, double roll) {
    /**
     * Half of how far left and right stand apart may change by work that is the same on both sides: a side that had sagged, one
     * standard deviation in mm (ours).
     */
    static final double ROLL = 5;

    /** What is to explain all leaves body and floor no further askew than this, mm (ours). */
    private static final double CLOSE = 0.5;

    /** Nothing settles it. */
    static final double FREE = 1e4;

    public static PriorDeviations of(VehicleKind kind, Limits limits) {
        return new PriorDeviations(
                limits.twist(kind).mm(),
                limits.of(Limit.TYRES_OF_SHEET).mm(),
                limits.of(Limit.TYRE_OF_CORNER).mm(),
                limits.of(Limit.TYRE_OF_SIDES).mm(),
                limits.of(Limit.RIM).mm(),
                limits.of(Limit.TREAD).mm(),
                ROLL);
    }

    /** The same for a body that moved as one: neither leaning nor twisted. */
    PriorDeviations asOne() {
        return with(4 * CLOSE, CLOSE);
    }

    /** The same for a body that may have come to lean and to twist as it likes. */
    PriorDeviations askew() {
        return with(FREE, FREE);
    }

    private PriorDeviations with(double twist, double lean) {
        return new PriorDeviations(twist, tyresOfSheet, tyre, sides, wheel, tread, lean);
    }
}
