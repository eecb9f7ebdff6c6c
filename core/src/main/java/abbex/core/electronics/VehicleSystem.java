package abbex.core.electronics;

/**
 * Something electronic that a drop or the work for it disturbs. What it needs is common practice; the maker's procedure goes
 * first.
 */
public enum VehicleSystem {
    /** Plugs of adaptive dampers: disconnected they may set faults and limit speed. */
    DAMPERS(Need.CLEARS),
    WHEEL_SPEED(Need.CLEARS),
    /** Its zero; it may sit on one side only. */
    HEIGHT_SENSOR(Need.PROCEDURE),
    LAMPS(Need.PROCEDURE),
    STEERING_ANGLE(Need.PROCEDURE),
    CAMERA(Need.PROCEDURE),
    RADAR(Need.PROCEDURE);

    /** What has to be done about it. */
    public enum Need {
        /** It clears by itself once it is plugged in and driven. */
        CLEARS,
        /** A procedure of its maker's, with its source. */
        PROCEDURE
    }

    /** Whether a vehicle has it. */
    public enum Has {
        UNSAID,
        YES,
        NO
    }

    /** What was done about it. */
    public enum Did {
        OPEN,
        DONE,
        /** Its source says that a drop does not touch it. */
        NOT_NEEDED
    }

    private final Need need;

    VehicleSystem(Need need) {
        this.need = need;
    }

    public Need need() {
        return need;
    }
}
