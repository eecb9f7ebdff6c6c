package abbex.core.vehicle;

import abbex.core.figure.Place;
import java.util.Locale;

/** An end of the vehicle: both wheels of an axle. */
public enum End implements Place {
    FRONT,
    REAR;

    private final String code = name().toLowerCase(Locale.ROOT);

    @Override
    public String code() {
        return code;
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
