package abbex.core.vehicle;

import java.util.List;

/** A corner as the driver sits, in the order in which a person walks round. */
public enum Corner implements WheelPlace {
    LF,
    RF,
    RR,
    LR;

    public static final List<Corner> WALK = List.of(values());

    @Override
    public String code() {
        return name();
    }

    @Override
    public End end() {
        return this == LF || this == RF ? End.FRONT : End.REAR;
    }

    @Override
    public boolean fromLeft() {
        return isLeft();
    }

    public boolean isLeft() {
        return this == LF || this == LR;
    }

    /** The corner across the axle. */
    public Corner across() {
        return isLeft() ? end().right() : end().left();
    }

    /** The corner at the other end of the same side. */
    public Corner alongside() {
        return isLeft() ? end().other().left() : end().other().right();
    }

    /** +1 for LF and RR, -1 for RF and LR: the sign in the diagonal difference. */
    public int diagonalSign() {
        return this == LF || this == RR ? 1 : -1;
    }
}
