package abbex.core.vehicle;

import abbex.core.figure.Place;

/** The vehicle as a whole, where a finding speaks of no corner or end. */
public enum Whole implements Place {
    VEHICLE;

    @Override
    public String code() {
        return "vehicle";
    }
}
