package abbex.app.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.kit.KitKind;
import abbex.core.vehicle.End;
import abbex.core.workcard.Wanted;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a kit of a kind brings and asks, and of which kind one is that nobody named. */
class KitKindsTest {
    private static KitValues told(KitField... fields) {
        Map<KitValues.Key, KitValues.Told> told = new HashMap<>();
        for (KitField field : fields) {
            told.put(new KitValues.Key(End.REAR, field), new KitValues.Told("1", 1));
        }
        return new KitValues(told);
    }

    private static Set<String> brings(KitField... fields) {
        return KitParts.brings(told(fields), End.REAR);
    }

    private static Set<KitKind> kinds(KitField... fields) {
        return KitKinds.of(told(fields), End.REAR);
    }

    @Test
    void each_kind_has_its_field_and_asks_no_other_kinds_figures() {
        Set<KitField> fields = EnumSet.noneOf(KitField.class);
        for (KitKind kind : KitKind.values()) {
            assertTrue(fields.add(KitKinds.field(kind)), kind.name());
            assertEquals(KitField.Kind.YES, KitKinds.field(kind).kind());
            assertEquals(Set.of(), KitKinds.asking(KitKinds.field(kind)));
        }
        assertEquals(Set.of(KitKind.UPRIGHTS), KitKinds.asking(KitField.SPINDLE));
        assertEquals(Set.of(KitKind.COILOVERS), KitKinds.asking(KitField.PERCH_SEAT));
        assertFalse(KitKinds.asking(KitField.NEW_RATE).contains(KitKind.UPRIGHTS));
        assertEquals(Set.of(), KitKinds.asking(KitField.BOX));
    }

    @Test
    void a_kind_that_was_named_brings_its_parts_without_a_figure() {
        for (KitKind kind : KitKind.values()) {
            assertEquals(kind.parts(), brings(KitKinds.field(kind)), kind.name());
        }
        assertEquals(Set.of("spindle"), brings(KitField.GETS_UPRIGHTS, KitField.BOX));
        assertEquals(Set.of("spring", "stop"), brings(KitField.GETS_SPRINGS, KitField.BOX, KitField.NEW_STOP));
    }

    @Test
    void a_kit_that_nobody_named_is_of_the_kinds_that_its_figures_tell() {
        assertEquals(Set.of(KitKind.SPRINGS), kinds(KitField.BOX));
        assertEquals(Set.of(KitKind.SPRINGS, KitKind.RINGS), kinds(KitField.BOX, KitField.NEW_STACK));
        assertEquals(Set.of(KitKind.SHACKLES), kinds(KitField.BOX, KitField.NEW_SHACKLE));
        assertEquals(Set.of(KitKind.COILOVERS), kinds(KitField.COILOVER, KitField.NEW_RATE));
        assertEquals(
                Set.of(KitKind.USED_SPRINGS, KitKind.UPRIGHTS),
                kinds(KitField.GETS_USED_SPRINGS, KitField.NEW_FREE, KitField.SPINDLE));
        assertEquals(Set.of(), KitKinds.of(told(KitField.GETS_SPRINGS), End.FRONT));
    }

    /** What comes out, or is only moved, is nothing to buy; springs that have stood under a vehicle go no further down. */
    @Test
    void a_block_that_comes_out_is_no_part_and_used_springs_settle_no_more() {
        assertEquals(Set.of(Wanted.BLOCK_OUT), brings(KitField.GETS_BLOCKS, KitField.BLOCK, KitField.BLOCK_OUT));
        assertEquals(Set.of("block"), brings(KitField.BLOCK));
        assertTrue(KitKind.SPRINGS.settles());
        assertFalse(KitKind.USED_SPRINGS.settles());
        assertFalse(KitKind.UPRIGHTS.settles());
    }
}
