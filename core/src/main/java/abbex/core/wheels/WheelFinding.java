package abbex.core.wheels;

import abbex.core.figure.FindingCode;

/** What wheels and tyres may have to say. The order is that in which findings of one severity are shown. */
public enum WheelFinding implements FindingCode {
    RIM_DIFFERS(false),
    STUDS_SHORT(false),
    BORE_SMALL(false),
    LOAD_BELOW(false),
    SPEED_BELOW(false),
    RIM_WIDE(false),
    RIM_NARROW(false),
    BORE_LARGE(false),
    DIAMETER_OFF(false),
    SIZE_APPROXIMATE(false),
    SERVICE_UNKNOWN(true),
    WIDENED_WHERE(true),
    STUDS_UNKNOWN(true),
    SERVES(false),
    STUDS_ENGAGED(false);

    private final boolean open;

    WheelFinding(boolean open) {
        this.open = open;
    }

    @Override
    public boolean open() {
        return open;
    }
}
