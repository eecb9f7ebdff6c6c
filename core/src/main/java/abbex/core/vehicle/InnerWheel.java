package abbex.core.vehicle;

import abbex.core.figure.Place;

/** The inner wheel of a pair on one side of the rear axle; the outer one is the corner's own. */
public enum InnerWheel implements Place {
    RRI,
    LRI;

    @Override
    public String code() {
        return name();
    }

    public Corner corner() {
        return this == RRI ? Corner.RR : Corner.LR;
    }
}
