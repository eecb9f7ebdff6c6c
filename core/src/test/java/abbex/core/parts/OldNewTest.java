package abbex.core.parts;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.torque.ScrewThread;
import abbex.core.vehicle.End;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A part in each hand. Threads are those of ISO 261 and ASME B1.1; how much may differ is common practice, from memory. */
class OldNewTest {
    /** Such as {@code bore 12.1; thread M12x1.25; side LEFT}. */
    static PartFigures figures(String text) {
        Map<String, String> all = Arrays.stream(text.split(";"))
                .map(String::strip)
                .filter(one -> !one.isEmpty())
                .collect(Collectors.toMap(one -> one.split(" ")[0], one -> one.split(" ")[1]));
        return new PartFigures(
                number(all, "length"),
                number(all, "bore"),
                number(all, "bar"),
                Optional.ofNullable(all.get("thread")).flatMap(ScrewThread::read),
                Optional.ofNullable(all.get("side")).map(PartFigures.Side::valueOf));
    }

    private static OptionalDouble number(Map<String, String> all, String name) {
        return all.containsKey(name) ? OptionalDouble.of(Double.parseDouble(all.get(name))) : OptionalDouble.empty();
    }

    @ParameterizedTest(name = "{0}: {1} beside {2} differs in {3}")
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
            rod    | bore 12.1           | bore 12.3           | -
            rod    | bore 12.1           | bore 14.1           | BORE
            rod    | bar 20; bore 12     | bar 21; bore 12     | BAR
            rod    | length 412          | length 414          | -
            rod    | length 412          | length 420          | LENGTH
            damper | length 612          | length 560          | -
            rod    | thread M12x1.25     | thread M12x1.25     | -
            rod    | thread M12          | thread M12x1.75     | -
            rod    | thread M12x1.25     | thread M12x1.5      | THREAD
            rod    | thread M12x1.75     | thread 1/2-13       | THREAD
            rod    | side LEFT           | side RIGHT          | SIDE
            rod    | bore 12             | bar 20              | -
            rod    | -                   | bore 12             | -
            """)
    void what_differs_is_named(String kind, String old, String fresh, String differs) {
        OldNew pair = new OldNew(
                End.REAR, kind, false, figures(old == null ? "" : old), figures(fresh == null ? "" : fresh), "");
        assertEquals(
                differs == null ? "" : differs,
                pair.unlike().stream().map(Enum::name).collect(Collectors.joining(" ")));
    }

    /** A damper that is shorter is what the plan wants, and its length is told all the same; a part that only has its name is not. */
    @Test
    void a_length_that_is_meant_is_told_and_not_looked_at() {
        PartFigures old = figures("length 612");
        PartFigures fresh = figures("length 560");
        OldNew damper = new OldNew(End.REAR, "damper", false, old, fresh, "");
        assertTrue(damper.unlike().isEmpty());
        assertEquals(-52, damper.compared().get(0).by().orElseThrow(), 1e-9);
        assertEquals(
                1, new OldNew(End.REAR, "damper", true, old, fresh, "").unlike().size());
    }

    @Test
    void what_was_measured_of_one_alone_clears_nothing() {
        OldNew half = new OldNew(End.REAR, "rod", false, figures("bore 12; bar 20"), PartFigures.NONE, "");
        assertTrue(half.compared().isEmpty());
        assertTrue(PartFigures.NONE.none());
    }
}
