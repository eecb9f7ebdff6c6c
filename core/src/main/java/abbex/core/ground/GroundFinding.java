package abbex.core.ground;

import abbex.core.figure.FindingCode;

/** What the ground and the lamps may have to say. The order is that in which findings of one severity are shown. */
public enum GroundFinding implements FindingCode {
    SCRAPES,
    LITTLE_AIR,
    BELOW_CODE,
    ABOVE_CODE,
    BEAM_DOWN,
    BEAM_UP,
    WITHIN_CODE,
    PASSES;

    @Override
    public boolean open() {
        return false;
    }
}
