package abbex.app.kit;

import abbex.core.kit.KitKind;
import abbex.core.vehicle.End;
import abbex.core.workcard.Wanted;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** The parts of a kit, by what is told of it; an advertised drop alone is a spring. */
public final class KitParts {
    private KitParts() {}

    /** Kinds of parts that it brings to an end, such as {@code spring}; none where it leaves the end as it is. */
    public static Set<String> brings(KitValues values, End end) {
        Set<String> parts = new TreeSet<>();
        Set<KitKind> said = KitKinds.said(values, end);
        said.forEach(kind -> parts.addAll(kind.parts()));
        BRINGS.forEach((kind, fields) -> {
            if (fields.stream().anyMatch(f -> brought(values, end, f))) {
                parts.add(kind);
            }
        });
        if (parts.contains("block") && values.yes(end, KitField.BLOCK_OUT)) {
            parts.remove("block");
            parts.add(Wanted.BLOCK_OUT);
        }
        return parts;
    }

    /** A printed drop is of a spring, but for nothing printed and for kits that bring links, shackles or saddles instead. */
    private static boolean brought(KitValues values, End end, KitField field) {
        return values.at(end, field).isPresent() && (field != KitField.BOX || KitPlans.springBox(values, end));
    }

    private static final Map<String, List<KitField>> BRINGS = Map.ofEntries(
            Map.entry(
                    "spring",
                    List.of(KitField.BOX, KitField.NEW_FREE, KitField.NEW_RATE, KitField.NEW_TABLE, KitField.ARCH)),
            Map.entry("damper", List.of(KitField.NEW_GAS, KitField.NEW_LONG, KitField.NEW_SHORT, KitField.NEW_EYES)),
            Map.entry("stop", List.of(KitField.NEW_STOP)),
            Map.entry("isolator", List.of(KitField.NEW_PAD)),
            Map.entry("helper", List.of(KitField.NEW_SECOND_RATE)),
            Map.entry("ring", List.of(KitField.NEW_STACK)),
            Map.entry("block", List.of(KitField.BLOCK)),
            Map.entry(
                    "shackle",
                    List.of(
                            KitField.FIXED_EYE,
                            KitField.SHACKLED_EYE,
                            KitField.NEW_SHACKLE,
                            KitField.SHACKLE_FLIP,
                            KitField.HANGER_UP,
                            KitField.HANGER_BACK)),
            Map.entry("saddle", List.of(KitField.FLIP_SADDLE, KitField.SADDLE_ANGLE)),
            Map.entry("bag", List.of(KitField.BAG_AREA)),
            Map.entry("link", List.of(KitField.NEW_LINK)),
            Map.entry("arm", List.of(KitField.POCKET)),
            Map.entry("subframe", List.of(KitField.SUBFRAME)),
            Map.entry(Wanted.TUBES, List.of(KitField.TUBES_UP)),
            Map.entry("spindle", List.of(KitField.SPINDLE)));
}
