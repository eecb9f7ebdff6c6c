package abbex.core.vehicle;

import abbex.core.figure.Place;

/** The marked point of a motorcycle's seat. */
public enum Seat implements Place {
    SEAT;

    @Override
    public String code() {
        return "seat";
    }
}
