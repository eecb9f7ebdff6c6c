package abbex.core.kit;

import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.VehicleKind;

/**
 * What vehicles are like, for as long as nobody measured this one: each with the width that they differ by, one standard
 * deviation. All of it is common practice or ours, no published source.
 */
public final class Typical {
    /** The gas of a twin tube, 15 lbf ± 12 at k = 2. */
    public static final Told TWIN_TUBE = Told.typical(67, 27);

    /** The gas of a single tube, 45 lbf ± 22 at k = 2: ± 100 N. */
    public static final Told SINGLE_TUBE = Told.typical(200, 50);

    private static final double GRAVITY = 9.80665;

    /** Road cars ride at 1.25 Hz, most from 1.0 to 1.5. */
    private static final double RATE_PER_LOAD = Math.pow(2 * Math.PI * 1.25, 2) / GRAVITY / 1000;

    private static final double RATE_WIDTH = 0.2;

    private Typical() {}

    /** How far the spring moves for a millimetre of the wheel. */
    public static Told ratio(Architecture architecture) {
        return switch (architecture) {
            case STRUT -> Told.typical(0.95, 0.02);
            case DOUBLE_WISHBONE -> Told.typical(0.65, 0.07);
            case MULTI_LINK -> Told.typical(0.7, 0.09);
            case TWIST_BEAM -> Told.typical(0.8, 0.08);
            case SOLID_AXLE_COIL -> Told.typical(0.9, 0.07);
            case SOLID_AXLE_LEAF -> Told.typical(1, 0.02);
            case OTHER -> Told.typical(0.8, 0.12);
        };
    }

    /**
     * How that changes for a millimetre of the wheel up: nobody reads it off a vehicle, so it stays open until the linkage is
     * known.
     */
    public static Told ratioSlope(Architecture architecture) {
        return switch (architecture) {
            case STRUT -> Told.typical(0, 0.0001);
            case DOUBLE_WISHBONE, MULTI_LINK, OTHER -> Told.typical(0, 0.0003);
            case TWIST_BEAM, SOLID_AXLE_COIL -> Told.typical(0, 0.0002);
            case SOLID_AXLE_LEAF -> Told.measured(0, 0);
        };
    }

    /** The same of the damper's rod. */
    public static Told rodRatio(Architecture architecture) {
        return switch (architecture) {
            case STRUT -> Told.typical(0.95, 0.02);
            case DOUBLE_WISHBONE -> Told.typical(0.7, 0.08);
            case MULTI_LINK -> Told.typical(0.85, 0.08);
            case TWIST_BEAM -> Told.typical(0.9, 0.06);
            case SOLID_AXLE_COIL, SOLID_AXLE_LEAF -> Told.typical(0.88, 0.07);
            case OTHER -> Told.typical(0.8, 0.12);
        };
    }

    /** The sprung load at a wheel, or at the one wheel of an end, N. */
    public static Told load(VehicleKind kind, End end) {
        boolean front = end == End.FRONT;
        if (kind.singleTrack()) {
            return front ? Told.typical(950, 250) : Told.typical(1200, 300);
        }
        return kind.cabAndBed()
                ? front ? Told.typical(5200, 700) : Told.typical(3600, 700)
                : front ? Told.typical(3500, 400) : Told.typical(2900, 450);
    }

    /** What a scale reads beside the sprung load: wheel, hub, brake, half of the arms or the axle; N at a wheel. */
    public static Told unsprung(Architecture architecture) {
        boolean live = architecture == Architecture.SOLID_AXLE_COIL || architecture == Architecture.SOLID_AXLE_LEAF;
        return live ? Told.typical(700, 120) : Told.typical(400, 70);
    }

    /** N/mm at the wheel under a load. */
    public static Told wheelRate(Told load) {
        double rate = RATE_PER_LOAD * load.value();
        return Told.typical(rate, rate * Math.hypot(RATE_WIDTH, load.standard() / load.value()));
    }
}
