package abbex.app.kit;

import abbex.core.kit.KitKind;
import abbex.core.vehicle.End;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** Of which kinds an end's kit is, and what each kind asks. */
public final class KitKinds {
    private static final List<KitField> SPRING = List.of(
            KitField.NEW_RATE,
            KitField.NEW_FREE,
            KitField.NEW_SOLID,
            KitField.NEW_TABLE,
            KitField.NEW_SECOND_RATE,
            KitField.NEW_SECOND_FREE,
            KitField.NEW_SECOND_SOLID,
            KitField.NEW_BENCH,
            KitField.NEW_CALLIPER);
    private static final List<KitField> OLD_SPRING = List.of(
            KitField.OLD_RATE,
            KitField.OLD_FREE,
            KitField.OLD_SOLID,
            KitField.OLD_TABLE,
            KitField.OLD_SECOND_RATE,
            KitField.OLD_SECOND_FREE,
            KitField.OLD_SECOND_SOLID,
            KitField.OLD_BENCH,
            KitField.SEATS);
    private static final List<KitField> DAMPER =
            List.of(KitField.NEW_GAS, KitField.NEW_LONG, KitField.NEW_SHORT, KitField.BOX_DAMPERS);
    private static final List<KitField> STOP = List.of(KitField.NEW_STOP, KitField.NEW_RINGS);
    private static final List<KitField> RINGS = List.of(KitField.SIZES, KitField.OLD_STACK, KitField.NEW_STACK);
    private static final List<KitField> PERCH =
            List.of(KitField.PERCH, KitField.PERCH_LEAST, KitField.PERCH_MOST, KitField.TURNS, KitField.PITCH);
    private static final List<KitField> SEAT = List.of(
            KitField.OLD_PAD,
            KitField.NEW_PAD,
            KitField.OLD_SEAT_LOW,
            KitField.OLD_SEAT_HIGH,
            KitField.NEW_SEAT_LOW,
            KitField.NEW_SEAT_HIGH);
    private static final List<KitField> TRAVEL = List.of(
            KitField.OLD_GAS,
            KitField.OLD_LONG,
            KitField.OLD_SHORT,
            KitField.ROD,
            KitField.OLD_STOP,
            KitField.OLD_RINGS);
    private static final List<KitField> LEVERS = List.of(KitField.LEAF_FIXED, KitField.LEAF_SHACKLED);

    private static final Map<KitKind, Set<KitField>> ASKS = new EnumMap<>(KitKind.class);
    private static final Map<KitKind, List<KitField>> TELLS = new EnumMap<>(KitKind.class);

    static {
        asks(KitKind.SPRINGS, SPRING, OLD_SPRING, TRAVEL, STOP, SEAT, List.of(KitField.BOX_DAMPERS));
        asks(KitKind.USED_SPRINGS, SPRING, OLD_SPRING, TRAVEL, STOP, SEAT);
        asks(
                KitKind.COILOVERS,
                SPRING,
                OLD_SPRING,
                TRAVEL,
                STOP,
                DAMPER,
                PERCH,
                List.of(
                        KitField.PERCH_SEAT,
                        KitField.PERCH_SEAT_LEAST,
                        KitField.PERCH_SEAT_MOST,
                        KitField.BODY,
                        KitField.PRELOAD,
                        KitField.CLICKS));
        asks(KitKind.STRUTS, DAMPER, RINGS, STOP, SEAT, TRAVEL, OLD_SPRING);
        asks(KitKind.RINGS, RINGS, TRAVEL, OLD_SPRING);
        asks(KitKind.ADJUSTERS, PERCH, List.of(KitField.JACK_TURNS, KitField.JACK_PITCH), RINGS, TRAVEL, OLD_SPRING);
        asks(KitKind.DAMPERS, DAMPER, STOP, TRAVEL, OLD_SPRING);
        asks(KitKind.STOPS, STOP, TRAVEL);
        asks(KitKind.SEATS, SEAT, TRAVEL, OLD_SPRING);
        asks(KitKind.ARMS, List.of(KitField.POCKET), TRAVEL, OLD_SPRING);
        asks(KitKind.UPRIGHTS, List.of(KitField.SPINDLE));
        asks(KitKind.SUBFRAME, List.of(KitField.SUBFRAME));
        asks(KitKind.LEAVES, List.of(KitField.ARCH), LEVERS, SPRING, TRAVEL);
        asks(KitKind.BLOCKS, List.of(KitField.BLOCK, KitField.BLOCK_OUT), TRAVEL);
        asks(
                KitKind.SHACKLES,
                List.of(
                        KitField.OLD_SHACKLE,
                        KitField.SHACKLE_LEAN,
                        KitField.SHACKLE_HANGS,
                        KitField.NEW_SHACKLE,
                        KitField.SHACKLE_FLIP,
                        KitField.HANGER_UP,
                        KitField.HANGER_BACK,
                        KitField.FIXED_EYE,
                        KitField.SHACKLED_EYE),
                LEVERS,
                TRAVEL);
        asks(
                KitKind.FLIP,
                List.of(KitField.FLIP_PACK, KitField.FLIP_TUBE, KitField.FLIP_PERCH, KitField.FLIP_SADDLE),
                LEVERS,
                TRAVEL);
        asks(
                KitKind.AIR,
                List.of(
                        KitField.BAG_AREA,
                        KitField.BAG_PRESSURE,
                        KitField.BAG_JOINED,
                        KitField.BED_LOAD,
                        KitField.PLATE));
        asks(
                KitKind.LINKS,
                // As they stand together there: the linkage, point by point.
                List.copyOf(EnumSet.range(KitField.AXLE_BACK, KitField.OLD_EYES)),
                List.of(
                        KitField.NEW_LINK,
                        KitField.NEW_EYES,
                        KitField.FOOT_MOVED_BACK,
                        KitField.FOOT_MOVED_UP,
                        KitField.OLD_RATE,
                        KitField.NEW_RATE),
                TRAVEL);
        asks(KitKind.FORK, SPRING, OLD_SPRING, TRAVEL, SEAT, STOP);
        asks(
                KitKind.TUBES,
                List.of(KitField.TUBES_UP, KitField.SLIDE_SHOULDER, KitField.SLIDE_CLAMP, KitField.SLIDE_FENDER));
        tells(KitKind.SPRINGS, KitField.NEW_FREE, KitField.NEW_RATE, KitField.NEW_TABLE);
        tells(KitKind.RINGS, KitField.NEW_STACK);
        tells(KitKind.ADJUSTERS, KitField.PERCH, KitField.TURNS, KitField.JACK_TURNS);
        tells(KitKind.DAMPERS, KitField.NEW_GAS, KitField.NEW_LONG, KitField.NEW_SHORT);
        tells(KitKind.STOPS, KitField.NEW_STOP);
        tells(KitKind.SEATS, KitField.NEW_PAD, KitField.NEW_SEAT_LOW);
        tells(KitKind.ARMS, KitField.POCKET);
        tells(KitKind.UPRIGHTS, KitField.SPINDLE);
        tells(KitKind.SUBFRAME, KitField.SUBFRAME);
        tells(KitKind.LEAVES, KitField.ARCH);
        tells(KitKind.BLOCKS, KitField.BLOCK);
        tells(
                KitKind.SHACKLES,
                KitField.FIXED_EYE,
                KitField.SHACKLED_EYE,
                KitField.NEW_SHACKLE,
                KitField.SHACKLE_FLIP,
                KitField.HANGER_UP,
                KitField.HANGER_BACK);
        tells(KitKind.FLIP, KitField.FLIP_SADDLE);
        tells(KitKind.AIR, KitField.BAG_AREA);
        tells(KitKind.LINKS, KitField.NEW_LINK, KitField.NEW_EYES, KitField.FOOT_MOVED_BACK, KitField.FOOT_MOVED_UP);
        tells(KitKind.TUBES, KitField.TUBES_UP);
    }

    private KitKinds() {}

    @SafeVarargs
    private static void asks(KitKind kind, List<KitField>... fields) {
        Set<KitField> all = EnumSet.noneOf(KitField.class);
        Stream.of(fields).forEach(all::addAll);
        ASKS.put(kind, all);
    }

    private static void tells(KitKind kind, KitField... fields) {
        TELLS.put(kind, List.of(fields));
    }

    /** The field by which somebody says that a kit is of a kind. */
    public static KitField field(KitKind kind) {
        return kind == KitKind.COILOVERS ? KitField.COILOVER : KitField.valueOf("GETS_" + kind.name());
    }

    /** Kinds that ask for a field; none for what is asked of every end. */
    public static Set<KitKind> asking(KitField field) {
        Set<KitKind> asking = EnumSet.noneOf(KitKind.class);
        ASKS.forEach((kind, fields) -> {
            if (fields.contains(field)) {
                asking.add(kind);
            }
        });
        return asking;
    }

    /** Kinds that somebody said of an end. */
    public static Set<KitKind> said(KitValues values, End end) {
        Set<KitKind> said = EnumSet.noneOf(KitKind.class);
        Stream.of(KitKind.values()).filter(kind -> values.yes(end, field(kind))).forEach(said::add);
        return said;
    }

    /** The same, with those that follow from figures of no kind that was said; a printed drop alone is a spring's. */
    public static Set<KitKind> of(KitValues values, End end) {
        Set<KitKind> said = said(values, end);
        Set<KitKind> all = EnumSet.noneOf(KitKind.class);
        all.addAll(said);
        TELLS.forEach((kind, fields) -> {
            if (fields.stream()
                    .anyMatch(field ->
                            values.at(end, field).isPresent() && said.stream().noneMatch(asking(field)::contains))) {
                all.add(kind);
            }
        });
        if (said.isEmpty() && KitPlans.springBox(values, end)) {
            all.add(KitKind.SPRINGS);
        }
        return all;
    }
}
