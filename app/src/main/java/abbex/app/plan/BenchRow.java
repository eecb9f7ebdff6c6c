package abbex.app.plan;

import abbex.app.arrive.VehicleFacts;
import abbex.app.kit.KitField;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A line of the bench: the old part's figure and the new one's beside it.
 *
 * @param key of its words
 * @param group of parts that it belongs to
 * @param old null where only the new part has it
 * @param fresh null where only the vehicle has it
 * @param only where it is asked
 */
public record BenchRow(
        String key,
        String group,
        @Nullable KitField old,
        @Nullable KitField fresh,
        Only only) {
    /** Where a line is asked. */
    enum Only {
        ALL,
        /** On leaves. */
        LEAVES,
        /** Where a lateral rod may hold a beam. */
        BEAM,
        /** On a live axle at the rear. */
        AXLE,
        /** Of what has one track, at its front. */
        STEERING,
        /** The same, at its rear. */
        STAND
    }

    private BenchRow(String key, String group, @Nullable KitField old, @Nullable KitField fresh) {
        this(key, group, old, fresh, Only.ALL);
    }

    /** It is asked of a vehicle at an end. */
    boolean of(VehicleFacts vehicle, End end) {
        boolean single = vehicle.kind().singleTrack();
        Architecture built = new PerEnd<>(vehicle.front(), vehicle.rear()).get(end);
        return switch (only) {
            case ALL -> true;
            case LEAVES -> built == Architecture.SOLID_AXLE_LEAF;
            case BEAM -> !single && (built.oneBeam() || built == Architecture.OTHER);
            case AXLE ->
                end == End.REAR
                        && (vehicle.rear() == Architecture.SOLID_AXLE_LEAF
                                || vehicle.rear() == Architecture.SOLID_AXLE_COIL);
            case STEERING -> single && end == End.FRONT;
            case STAND -> single && end == End.REAR;
        };
    }

    /** In the order in which parts lie on a bench: the usual first. */
    static final List<BenchRow> ALL = List.of(
            new BenchRow("box", "box", null, KitField.BOX),
            new BenchRow("boxto", "box", null, KitField.BOX_TO),
            new BenchRow("boxdampers", "box", null, KitField.BOX_DAMPERS),
            new BenchRow("boxwhole", "box", null, KitField.BOX_WHOLE),
            new BenchRow("wishedgap", "box", null, KitField.WISHED_GAP),
            new BenchRow("rate", "spring", KitField.OLD_RATE, KitField.NEW_RATE),
            new BenchRow("free", "spring", KitField.OLD_FREE, KitField.NEW_FREE),
            new BenchRow("solid", "spring", KitField.OLD_SOLID, KitField.NEW_SOLID),
            new BenchRow("table", "spring", KitField.OLD_TABLE, KitField.NEW_TABLE),
            new BenchRow("secondrate", "second", KitField.OLD_SECOND_RATE, KitField.NEW_SECOND_RATE),
            new BenchRow("secondfree", "second", KitField.OLD_SECOND_FREE, KitField.NEW_SECOND_FREE),
            new BenchRow("secondsolid", "second", KitField.OLD_SECOND_SOLID, KitField.NEW_SECOND_SOLID),
            new BenchRow("bench", "spring", KitField.OLD_BENCH, KitField.NEW_BENCH),
            new BenchRow("calliper", "spring", null, KitField.NEW_CALLIPER),
            new BenchRow("seats", "spring", KitField.SEATS, null),
            new BenchRow("gas", "damper", KitField.OLD_GAS, KitField.NEW_GAS),
            new BenchRow("long", "damper", KitField.OLD_LONG, KitField.NEW_LONG),
            new BenchRow("short", "damper", KitField.OLD_SHORT, KitField.NEW_SHORT),
            new BenchRow("rod", "damper", KitField.ROD, null),
            new BenchRow("stop", "damper", KitField.OLD_STOP, KitField.NEW_STOP),
            new BenchRow("rings", "damper", KitField.OLD_RINGS, KitField.NEW_RINGS),
            new BenchRow("perchseat", "coilover", null, KitField.PERCH_SEAT),
            new BenchRow("perchseatleast", "coilover", null, KitField.PERCH_SEAT_LEAST),
            new BenchRow("perchseatmost", "coilover", null, KitField.PERCH_SEAT_MOST),
            new BenchRow("body", "coilover", null, KitField.BODY),
            new BenchRow("preload", "coilover", null, KitField.PRELOAD),
            new BenchRow("clicks", "coilover", null, KitField.CLICKS),
            new BenchRow("perch", "seat", null, KitField.PERCH),
            new BenchRow("perchleast", "seat", null, KitField.PERCH_LEAST),
            new BenchRow("perchmost", "seat", null, KitField.PERCH_MOST),
            new BenchRow("turns", "seat", null, KitField.TURNS),
            new BenchRow("pitch", "seat", null, KitField.PITCH),
            new BenchRow("jackturns", "seat", null, KitField.JACK_TURNS),
            new BenchRow("jackpitch", "seat", null, KitField.JACK_PITCH),
            new BenchRow("sizes", "seat", null, KitField.SIZES),
            new BenchRow("stack", "seat", KitField.OLD_STACK, KitField.NEW_STACK),
            new BenchRow("pad", "seat", KitField.OLD_PAD, KitField.NEW_PAD),
            new BenchRow("seatlow", "seat", KitField.OLD_SEAT_LOW, KitField.NEW_SEAT_LOW),
            new BenchRow("seathigh", "seat", KitField.OLD_SEAT_HIGH, KitField.NEW_SEAT_HIGH),
            new BenchRow("pocket", "other", null, KitField.POCKET),
            new BenchRow("spindle", "other", null, KitField.SPINDLE),
            new BenchRow("subframe", "other", null, KitField.SUBFRAME),
            new BenchRow("block", "other", null, KitField.BLOCK),
            new BenchRow("blockout", "other", null, KitField.BLOCK_OUT),
            new BenchRow("lateral", "rod", KitField.LATERAL, null, Only.BEAM),
            new BenchRow("lateralrise", "rod", KitField.LATERAL_RISE, null, Only.BEAM),
            new BenchRow("lateralleft", "rod", KitField.LATERAL_LEFT, null, Only.BEAM),
            new BenchRow("shackle", "leaf", KitField.OLD_SHACKLE, KitField.NEW_SHACKLE, Only.LEAVES),
            new BenchRow("shacklelean", "leaf", KitField.SHACKLE_LEAN, null, Only.LEAVES),
            new BenchRow("shacklehangs", "leaf", KitField.SHACKLE_HANGS, null, Only.LEAVES),
            new BenchRow("shackleflip", "leaf", null, KitField.SHACKLE_FLIP, Only.LEAVES),
            new BenchRow("hangerup", "leaf", null, KitField.HANGER_UP, Only.LEAVES),
            new BenchRow("hangerback", "leaf", null, KitField.HANGER_BACK, Only.LEAVES),
            new BenchRow("shackledeye", "leaf", null, KitField.SHACKLED_EYE, Only.LEAVES),
            new BenchRow("fixedeye", "leaf", null, KitField.FIXED_EYE, Only.LEAVES),
            new BenchRow("leaffixed", "leaf", KitField.LEAF_FIXED, null, Only.LEAVES),
            new BenchRow("leafshackled", "leaf", KitField.LEAF_SHACKLED, null, Only.LEAVES),
            new BenchRow("arch", "leaf", null, KitField.ARCH, Only.LEAVES),
            new BenchRow("flippack", "flip", KitField.FLIP_PACK, null, Only.LEAVES),
            new BenchRow("fliptube", "flip", KitField.FLIP_TUBE, null, Only.LEAVES),
            new BenchRow("flipperch", "flip", KitField.FLIP_PERCH, KitField.FLIP_SADDLE, Only.LEAVES),
            new BenchRow("saddleangle", "driveline", null, KitField.SADDLE_ANGLE, Only.AXLE),
            new BenchRow("engineslope", "driveline", KitField.ENGINE_SLOPE, null, Only.AXLE),
            new BenchRow("shaftslope", "driveline", KitField.SHAFT_SLOPE, null, Only.AXLE),
            new BenchRow("shaft2slope", "driveline", KitField.SHAFT2_SLOPE, null, Only.AXLE),
            new BenchRow("pinionslope", "driveline", KitField.PINION_SLOPE, null, Only.AXLE),
            new BenchRow("shaftlength", "driveline", KitField.SHAFT_LENGTH, null, Only.AXLE),
            new BenchRow("bagarea", "bags", null, KitField.BAG_AREA, Only.AXLE),
            new BenchRow("bagpressure", "bags", null, KitField.BAG_PRESSURE, Only.AXLE),
            new BenchRow("bagjoined", "bags", null, KitField.BAG_JOINED, Only.AXLE),
            new BenchRow("bedload", "bags", KitField.BED_LOAD, null, Only.AXLE),
            new BenchRow("plate", "bags", KitField.PLATE, null, Only.AXLE),
            new BenchRow("link", "link", KitField.OLD_LINK, KitField.NEW_LINK, Only.STAND),
            new BenchRow("eyes", "link", KitField.OLD_EYES, KitField.NEW_EYES, Only.STAND),
            new BenchRow("axleback", "link", KitField.AXLE_BACK, null, Only.STAND),
            new BenchRow("axleup", "link", KitField.AXLE_UP, null, Only.STAND),
            new BenchRow("footback", "link", KitField.FOOT_BACK, KitField.FOOT_MOVED_BACK, Only.STAND),
            new BenchRow("footup", "link", KitField.FOOT_UP, KitField.FOOT_MOVED_UP, Only.STAND),
            new BenchRow("topback", "link", KitField.TOP_BACK, null, Only.STAND),
            new BenchRow("topup", "link", KitField.TOP_UP, null, Only.STAND),
            new BenchRow("rockerback", "link", KitField.ROCKER_BACK, null, Only.STAND),
            new BenchRow("rockerup", "link", KitField.ROCKER_UP, null, Only.STAND),
            new BenchRow("kneeback", "link", KitField.KNEE_BACK, null, Only.STAND),
            new BenchRow("kneeup", "link", KitField.KNEE_UP, null, Only.STAND),
            new BenchRow("farback", "link", KitField.FAR_BACK, null, Only.STAND),
            new BenchRow("farup", "link", KitField.FAR_UP, null, Only.STAND),
            new BenchRow("rockeronarm", "link", KitField.ROCKER_ON_ARM, null, Only.STAND),
            new BenchRow("steerradius", "machine", KitField.STEER_RADIUS, null, Only.STEERING),
            new BenchRow("steeroffset", "machine", KitField.STEER_OFFSET, null, Only.STEERING),
            new BenchRow("tubesup", "tubes", null, KitField.TUBES_UP, Only.STEERING),
            new BenchRow("slideshoulder", "tubes", KitField.SLIDE_SHOULDER, null, Only.STEERING),
            new BenchRow("slideclamp", "tubes", KitField.SLIDE_CLAMP, null, Only.STEERING),
            new BenchRow("slidefender", "tubes", KitField.SLIDE_FENDER, null, Only.STEERING),
            new BenchRow("standheight", "machine", KitField.STAND_HEIGHT, null, Only.STAND),
            new BenchRow("standout", "machine", KitField.STAND_OUT, null, Only.STAND),
            new BenchRow("standlength", "machine", KitField.STAND_LENGTH, null, Only.STAND),
            new BenchRow("standspread", "machine", KitField.STAND_SPREAD, null, Only.STAND),
            new BenchRow("lefthigh", "lean", KitField.LEFT_HIGH, null, Only.STAND),
            new BenchRow("leftout", "lean", KitField.LEFT_OUT, null, Only.STAND),
            new BenchRow("righthigh", "lean", KitField.RIGHT_HIGH, null, Only.STAND),
            new BenchRow("rightout", "lean", KitField.RIGHT_OUT, null, Only.STAND),
            new BenchRow("crown", "lean", KitField.CROWN, null, Only.STAND),
            new BenchRow("load", "vehicle", KitField.LOAD, null),
            new BenchRow("ratio", "vehicle", KitField.RATIO, null),
            new BenchRow("rodratio", "vehicle", KitField.ROD_RATIO, null));
}
