package abbex.core.vehicle;

import java.util.Locale;

/** An end of the vehicle: both wheels of an axle, or the one wheel of a single track. */
public enum End implements WheelPlace {
    FRONT,
    REAR;

    private final String code = name().toLowerCase(Locale.ROOT);

    @Override
    public String code() {
        return code;
    }

    @Override
    public End end() {
        return this;
    }

    @Override
    public boolean fromLeft() {
        return true;
    }

    public Corner left() {
        return this == FRONT ? Corner.LF : Corner.LR;
    }

    public Corner right() {
        return this == FRONT ? Corner.RF : Corner.RR;
    }

    public End other() {
        return this == FRONT ? REAR : FRONT;
    }
}
