package abbex.app.kit;

import abbex.core.units.SidedText;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What can be told of an end as it is and of what goes in, each with its limits: mm, N, N/mm or a plain number. */
public enum KitField {
    LOAD(Of.VEHICLE, Kind.FORCE, 200, 20_000),
    RATIO(Of.VEHICLE, Kind.NUMBER, 0.2, 1.5),
    ROD_RATIO(Of.VEHICLE, Kind.NUMBER, 0.2, 1.5),
    ROD(Of.VEHICLE, Kind.LENGTH, 0, 400),
    SEATS(Of.VEHICLE, Kind.LENGTH, 20, 800),
    OLD_RATE(Of.VEHICLE, Kind.RATE, 1, 1000),
    OLD_FREE(Of.VEHICLE, Kind.LENGTH, 50, 900),
    OLD_SOLID(Of.VEHICLE, Kind.LENGTH, 10, 600),
    OLD_TABLE(Of.VEHICLE, Kind.TABLE, 0, 200),
    OLD_SECOND_RATE(Of.VEHICLE, Kind.RATE, 1, 1000),
    OLD_SECOND_FREE(Of.VEHICLE, Kind.LENGTH, 10, 600),
    OLD_SECOND_SOLID(Of.VEHICLE, Kind.LENGTH, 2, 400),
    OLD_BENCH(Of.VEHICLE, Kind.YES, 0, 1),
    OLD_GAS(Of.VEHICLE, Kind.FORCE, 0, 1000),
    OLD_LONG(Of.VEHICLE, Kind.LENGTH, 100, 1200),
    OLD_SHORT(Of.VEHICLE, Kind.LENGTH, 50, 1000),
    OLD_STOP(Of.VEHICLE, Kind.LENGTH, 1, 250),
    OLD_RINGS(Of.VEHICLE, Kind.COUNT, 0, 12),
    LATERAL(Of.VEHICLE, Kind.LENGTH, 200, 1600),
    LATERAL_RISE(Of.VEHICLE, Kind.DROP, -400, 400),
    LATERAL_LEFT(Of.VEHICLE, Kind.YES, 0, 1),

    LEAF_FIXED(Of.VEHICLE, Kind.LENGTH, 200, 1500),
    LEAF_SHACKLED(Of.VEHICLE, Kind.LENGTH, 200, 1500),
    OLD_SHACKLE(Of.VEHICLE, Kind.LENGTH, 40, 260),
    SHACKLE_LEAN(Of.VEHICLE, Kind.ANGLE, -60, 60),
    SHACKLE_HANGS(Of.VEHICLE, Kind.YES, 0, 1),
    FLIP_PACK(Of.VEHICLE, Kind.LENGTH, 5, 200),
    FLIP_TUBE(Of.VEHICLE, Kind.LENGTH, 30, 200),
    FLIP_PERCH(Of.VEHICLE, Kind.LENGTH, 0, 100),
    ENGINE_SLOPE(Of.VEHICLE, Kind.ANGLE, -25, 25),
    SHAFT_SLOPE(Of.VEHICLE, Kind.ANGLE, -25, 25),
    SHAFT2_SLOPE(Of.VEHICLE, Kind.ANGLE, -25, 25),
    PINION_SLOPE(Of.VEHICLE, Kind.ANGLE, -25, 25),
    SHAFT_LENGTH(Of.VEHICLE, Kind.LENGTH, 300, 2500),
    BED_LOAD(Of.VEHICLE, Kind.FORCE, 100, 60_000),
    PLATE(Of.VEHICLE, Kind.FORCE, 100, 60_000),
    SLIDE_SHOULDER(Of.VEHICLE, Kind.LENGTH, 0, 200),
    SLIDE_CLAMP(Of.VEHICLE, Kind.LENGTH, 0, 300),
    SLIDE_FENDER(Of.VEHICLE, Kind.LENGTH, 0, 300),
    LEFT_HIGH(Of.VEHICLE, Kind.LENGTH, 40, 600),
    LEFT_OUT(Of.VEHICLE, Kind.LENGTH, 40, 600),
    RIGHT_HIGH(Of.VEHICLE, Kind.LENGTH, 40, 600),
    RIGHT_OUT(Of.VEHICLE, Kind.LENGTH, 40, 600),
    CROWN(Of.VEHICLE, Kind.LENGTH, 0, 150),
    AXLE_BACK(Of.VEHICLE, Kind.LENGTH, 200, 900),
    AXLE_UP(Of.VEHICLE, Kind.DROP, -300, 300),
    FOOT_BACK(Of.VEHICLE, Kind.DROP, -200, 800),
    FOOT_UP(Of.VEHICLE, Kind.DROP, -400, 500),
    TOP_BACK(Of.VEHICLE, Kind.DROP, -200, 800),
    TOP_UP(Of.VEHICLE, Kind.DROP, -400, 800),
    ROCKER_BACK(Of.VEHICLE, Kind.DROP, -200, 600),
    ROCKER_UP(Of.VEHICLE, Kind.DROP, -400, 400),
    KNEE_BACK(Of.VEHICLE, Kind.DROP, -200, 600),
    KNEE_UP(Of.VEHICLE, Kind.DROP, -400, 400),
    FAR_BACK(Of.VEHICLE, Kind.DROP, -200, 600),
    FAR_UP(Of.VEHICLE, Kind.DROP, -400, 400),
    ROCKER_ON_ARM(Of.VEHICLE, Kind.YES, 0, 1),
    OLD_LINK(Of.VEHICLE, Kind.LENGTH, 20, 500),
    OLD_EYES(Of.VEHICLE, Kind.LENGTH, 120, 700),
    STEER_RADIUS(Of.VEHICLE, Kind.LENGTH, 150, 500),
    STEER_OFFSET(Of.VEHICLE, Kind.DROP, -100, 150),
    STAND_HEIGHT(Of.VEHICLE, Kind.LENGTH, 50, 600),
    STAND_OUT(Of.VEHICLE, Kind.LENGTH, 1, 400),
    STAND_LENGTH(Of.VEHICLE, Kind.LENGTH, 80, 600),
    STAND_SPREAD(Of.VEHICLE, Kind.NUMBER, 1, 80),

    GETS_SPRINGS(Of.KIT, Kind.YES, 0, 1),
    GETS_USED_SPRINGS(Of.KIT, Kind.YES, 0, 1),
    GETS_STRUTS(Of.KIT, Kind.YES, 0, 1),
    GETS_RINGS(Of.KIT, Kind.YES, 0, 1),
    GETS_ADJUSTERS(Of.KIT, Kind.YES, 0, 1),
    GETS_DAMPERS(Of.KIT, Kind.YES, 0, 1),
    GETS_STOPS(Of.KIT, Kind.YES, 0, 1),
    GETS_SEATS(Of.KIT, Kind.YES, 0, 1),
    GETS_ARMS(Of.KIT, Kind.YES, 0, 1),
    GETS_UPRIGHTS(Of.KIT, Kind.YES, 0, 1),
    GETS_SUBFRAME(Of.KIT, Kind.YES, 0, 1),
    GETS_LEAVES(Of.KIT, Kind.YES, 0, 1),
    GETS_BLOCKS(Of.KIT, Kind.YES, 0, 1),
    GETS_SHACKLES(Of.KIT, Kind.YES, 0, 1),
    GETS_FLIP(Of.KIT, Kind.YES, 0, 1),
    GETS_AIR(Of.KIT, Kind.YES, 0, 1),
    GETS_LINKS(Of.KIT, Kind.YES, 0, 1),
    GETS_FORK(Of.KIT, Kind.YES, 0, 1),
    GETS_TUBES(Of.KIT, Kind.YES, 0, 1),
    BOX(Of.KIT, Kind.DROP, -150, 300),
    BOX_TO(Of.KIT, Kind.DROP, -150, 300),
    BOX_DAMPERS(Of.KIT, Kind.YES, 0, 1),
    /** The printed drop is of springs and all else that goes in. */
    BOX_WHOLE(Of.KIT, Kind.YES, 0, 1),
    NEW_RATE(Of.KIT, Kind.RATE, 1, 1000),
    NEW_FREE(Of.KIT, Kind.LENGTH, 50, 900),
    NEW_SOLID(Of.KIT, Kind.LENGTH, 10, 600),
    NEW_TABLE(Of.KIT, Kind.TABLE, 0, 200),
    NEW_SECOND_RATE(Of.KIT, Kind.RATE, 1, 1000),
    NEW_SECOND_FREE(Of.KIT, Kind.LENGTH, 10, 600),
    NEW_SECOND_SOLID(Of.KIT, Kind.LENGTH, 2, 400),
    NEW_BENCH(Of.KIT, Kind.YES, 0, 1),
    /** Its rate is calculated from wire, coil and turns. */
    NEW_CALLIPER(Of.KIT, Kind.YES, 0, 1),
    NEW_GAS(Of.KIT, Kind.FORCE, 0, 1000),
    NEW_LONG(Of.KIT, Kind.LENGTH, 100, 1200),
    NEW_SHORT(Of.KIT, Kind.LENGTH, 50, 1000),
    NEW_STOP(Of.KIT, Kind.LENGTH, 1, 250),
    /** None is an answer: a stop in one piece. */
    NEW_RINGS(Of.KIT, Kind.COUNT, 0, 12),
    /** Damper, spring and perch are one piece. */
    COILOVER(Of.KIT, Kind.YES, 0, 1),
    /** From the hole of the lower bolt, or the body's end, to the spring's seat, as the maker states it. */
    PERCH_SEAT(Of.KIT, Kind.LENGTH, 0, 900),
    PERCH_SEAT_LEAST(Of.KIT, Kind.LENGTH, 0, 900),
    PERCH_SEAT_MOST(Of.KIT, Kind.LENGTH, 0, 900),
    /** From the hole of the lower bolt to the top of the body: it sets the height where the lower mount is threaded on. */
    BODY(Of.KIT, Kind.LENGTH, 0, 900),
    PRELOAD(Of.KIT, Kind.LENGTH, 0, 100),
    /** From full hard, both sides alike. */
    CLICKS(Of.KIT, Kind.COUNT, 0, 99),
    PERCH(Of.KIT, Kind.DROP, -150, 150),
    PERCH_LEAST(Of.KIT, Kind.DROP, -150, 150),
    PERCH_MOST(Of.KIT, Kind.DROP, -150, 150),
    TURNS(Of.KIT, Kind.TURNS, -80, 80),
    PITCH(Of.KIT, Kind.LENGTH, 0.5, 6),
    JACK_TURNS(Of.KIT, Kind.TURNS, -80, 80),
    JACK_PITCH(Of.KIT, Kind.LENGTH, 0.5, 6),
    SIZES(Of.KIT, Kind.SIZES, 0, 0),
    OLD_STACK(Of.KIT, Kind.LENGTH, 0, 100),
    NEW_STACK(Of.KIT, Kind.LENGTH, 0, 100),
    OLD_PAD(Of.KIT, Kind.LENGTH, 0, 100),
    NEW_PAD(Of.KIT, Kind.LENGTH, 0, 100),
    OLD_SEAT_LOW(Of.KIT, Kind.LENGTH, 0, 600),
    OLD_SEAT_HIGH(Of.KIT, Kind.LENGTH, 0, 600),
    NEW_SEAT_LOW(Of.KIT, Kind.LENGTH, 0, 600),
    NEW_SEAT_HIGH(Of.KIT, Kind.LENGTH, 0, 600),
    POCKET(Of.KIT, Kind.DROP, -150, 150),
    SPINDLE(Of.KIT, Kind.DROP, -150, 150),
    /** The body's mounts on the subframe lower, or the subframe's way up into the body. */
    SUBFRAME(Of.KIT, Kind.DROP, -150, 150),
    /** Fork tubes up in their clamps, along the fork. */
    TUBES_UP(Of.KIT, Kind.DROP, -80, 80),
    BLOCK(Of.KIT, Kind.DROP, -300, 300),
    /** The block that is there comes out, and none goes in. */
    BLOCK_OUT(Of.KIT, Kind.YES, 0, 1),
    FIXED_EYE(Of.KIT, Kind.DROP, -200, 200),
    SHACKLED_EYE(Of.KIT, Kind.DROP, -200, 200),
    NEW_SHACKLE(Of.KIT, Kind.LENGTH, 40, 260),
    SHACKLE_FLIP(Of.KIT, Kind.YES, 0, 1),
    HANGER_UP(Of.KIT, Kind.DROP, -200, 200),
    HANGER_BACK(Of.KIT, Kind.DROP, -200, 200),
    FLIP_SADDLE(Of.KIT, Kind.LENGTH, 0, 100),
    SADDLE_ANGLE(Of.KIT, Kind.ANGLE, -15, 15),
    ARCH(Of.KIT, Kind.DROP, -150, 250),
    BAG_AREA(Of.KIT, Kind.AREA, 1000, 120_000),
    BAG_PRESSURE(Of.KIT, Kind.PRESSURE, 0, 900),
    BAG_JOINED(Of.KIT, Kind.YES, 0, 1),
    NEW_LINK(Of.KIT, Kind.LENGTH, 20, 500),
    NEW_EYES(Of.KIT, Kind.LENGTH, 120, 700),
    FOOT_MOVED_BACK(Of.KIT, Kind.DROP, -80, 80),
    FOOT_MOVED_UP(Of.KIT, Kind.DROP, -80, 80),
    WISHED_GAP(Of.KIT, Kind.DROP, -200, 400),

    /** Settled, at the marked point of the seat. */
    WISHED_SEAT(Of.WHOLE, Kind.LENGTH, 300, 1200),
    /** The same of the running boards, the mean of their ends. */
    WISHED_BOARD(Of.WHOLE, Kind.LENGTH, 50, 900),
    /** The same of the bed rail over the rear axle. */
    WISHED_BED(Of.WHOLE, Kind.LENGTH, 300, 1800),
    NAME(Of.WHOLE, Kind.TEXT, 0, 60),
    CONDITION(Of.WHOLE, Kind.TEXT, 0, 120),
    PRICE(Of.WHOLE, Kind.TEXT, 0, 40),
    DAYS(Of.WHOLE, Kind.TEXT, 0, 40),
    HOURS(Of.WHOLE, Kind.TEXT, 0, 40),
    ALSO(Of.WHOLE, Kind.TEXT, 0, 200),
    WISH(Of.WHOLE, Kind.WISH, 0, 0);

    /** Of what it tells. */
    enum Of {
        VEHICLE,
        KIT,
        WHOLE
    }

    /** How it is written. */
    public enum Kind {
        LENGTH,
        /** A length that may be negative. */
        DROP,
        FORCE,
        RATE,
        NUMBER,
        /** Degrees, either way. */
        ANGLE,
        /** Of a bag, mm². */
        AREA,
        /** kPa. */
        PRESSURE,
        COUNT,
        /** A number that people write as a fraction. */
        TURNS,
        YES,
        /** Rates at deflections: a progressive spring. */
        TABLE,
        /** Thicknesses that there are, with how many of each. */
        SIZES,
        /** What is to come out even. */
        WISH,
        TEXT
    }

    /** Of these more is up; of all others more is down. */
    private static final Pattern UPWARD = Pattern.compile("_UP$|_EYE$|_RISE$|^SUBFRAME$");

    private final Of of;
    private final Kind kind;
    private final double least;
    private final double most;

    KitField(Of of, Kind kind, double least, double most) {
        this.of = of;
        this.kind = kind;
        this.least = least;
        this.most = most;
    }

    /** It is the vehicle's own, whatever kit it gets. */
    public boolean vehicle() {
        return of == Of.VEHICLE;
    }

    /** It is told of each end. */
    public boolean perEnd() {
        return of != Of.WHOLE;
    }

    public Kind kind() {
        return kind;
    }

    /** The words by which people say which way it goes; empty where it goes one way, or along the vehicle. */
    public Optional<SidedText.Sides> sides() {
        if (this == SADDLE_ANGLE) {
            return Optional.of(SidedText.Sides.NOSE);
        }
        if (kind == Kind.ANGLE && name().endsWith("_SLOPE")) {
            return Optional.of(SidedText.Sides.DOWN);
        }
        if (kind != Kind.DROP || name().endsWith("_BACK") || this == STEER_OFFSET) {
            return Optional.empty();
        }
        return Optional.of(UPWARD.matcher(name()).find() ? SidedText.Sides.UP : SidedText.Sides.DOWN);
    }

    public double least() {
        return least;
    }

    public double most() {
        return most;
    }

    static List<KitField> ofEnds() {
        return Stream.of(values()).filter(KitField::perEnd).toList();
    }
}
