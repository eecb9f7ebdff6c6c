package abbex.core.heights;

import abbex.core.figure.FindingCode;

/** What a drop sheet may have to say. The order is that in which findings of one severity are shown. */
public enum HeightFinding implements FindingCode {
    READING_SUSPECT(false),
    READING_SUSPECT_BEFORE(false),
    READING_TWINS(false),
    READINGS_SUSPECT(false),
    READINGS_SUSPECT_SETTLED(false),
    READINGS_RESTLESS(false),
    STAGES_OUT_OF_ORDER(false),
    READ_BEFORE_ITS_STAGE(false),
    NOTHING_IN_COMMON(true),
    STAND_IN(false),
    LIP_UNKNOWN(true),
    STATE_PRESSURE(false),
    STATE_DIFFERS(false),
    PRESSURE_NOT_TAKEN(true),
    STATE_NOT_TAKEN(true),
    STATE_HALF_TAKEN(true),
    UNIT_DOUBT(false),
    WRONG_COLUMN(false),
    UNUSUAL_HEIGHT(false),
    REPEATS_DISAGREE(false),
    TYRE_OR_MISREAD(false),
    TYRE_SIDES(false),
    FREE_RADIUS_MOVED(false),
    RIM_RADIUS_MOVED(false),
    RIM_RADIUS_SIDES(false),
    WHEEL_AGAINST_FRAME(false),
    DIAGONAL_ONE_METHOD(false),
    DIAGONAL_MOVED(false),
    DIAGONAL_OTHER_BAY(false),
    DIAGONAL_BEFORE(false),
    AXLE_AGAINST_WHEEL(false),
    WAYS_DISAGREE(false),
    SEAT_OUTSIDE(false),
    STAND_STEEP(false),
    AXLE_TRAVEL_SHORT(false),
    CORNER_ROSE(false),
    LEFT_RIGHT_NEW(false),
    LEFT_RIGHT_AS_BEFORE(false),
    LEFT_RIGHT_BEFORE(false),
    LESS_THAN_PROMISED(false),
    MORE_THAN_PROMISED(false),
    LESS_BUT_USUAL(false),
    MORE_BUT_USUAL(false),
    FORK_AGAINST_AXLE(false),
    HEAD_TURNED(false),
    CHASSIS_TURNED(false),
    STAND_MOVED(false),
    HEAD_ANGLE_NEEDED(true),
    TYRE_IN_DROP(false),
    ONLY_FRAME(false),
    LIP_MOVED(false),
    FLOOR_NOT_USED(true),
    NO_BEFORE(true),
    BEFORE_CORRECTED_LATER(false),
    FINER_THAN_TAPE(false),
    RAKE_OVER_WHEELBASE(false),
    RAKE_CHANGED(false),
    STILL_TO_READ(true),
    READINGS_UNCHECKED(true),
    NO_FRAME(true),
    FLOOR_USED(false),
    AS_PROMISED(false),
    LEFT_RIGHT_GOOD(false),
    DIAGONAL_HELD(false);

    private final boolean open;

    HeightFinding(boolean open) {
        this.open = open;
    }

    @Override
    public boolean open() {
        return open;
    }
}
