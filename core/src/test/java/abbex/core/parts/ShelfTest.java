package abbex.core.parts;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What lies on a shelf, by what moved. */
class ShelfTest {
    private static BillLine line(BillLine.Why why, BillLine.Status status) {
        return new BillLine(
                "once:bolt@front",
                why,
                "strut bolt",
                "M12",
                End.FRONT,
                4,
                Optional.empty(),
                status,
                Optional.empty(),
                BillLine.Facts.NONE);
    }

    @Test
    void counted_brought_fitted_and_counted_again() {
        List<Shelf.Move> moves = new ArrayList<>(List.of(
                new Shelf.Move(Shelf.What.COUNTED, 6, ""),
                new Shelf.Move(Shelf.What.FITTED, 4, "a"),
                new Shelf.Move(Shelf.What.FITTED, 4, "b")));
        assertEquals(-2, Shelf.count(moves), "more than was ever there: somebody counts again");
        moves.add(new Shelf.Move(Shelf.What.BROUGHT, 10, ""));
        assertEquals(8, Shelf.count(moves));
        moves.add(new Shelf.Move(Shelf.What.COUNTED, 7, ""));
        assertEquals(7, Shelf.count(moves), "what was found is what is there");
        moves.add(new Shelf.Move(Shelf.What.FITTED, -4, "a"));
        assertEquals(11, Shelf.count(moves), "opened again, they lie there again");
    }

    /** However often it is asked and whatever was counted meanwhile, a line takes its pieces once. */
    @Test
    void each_piece_is_moved_once() {
        Random random = new Random(5);
        for (int i = 0; i < 200; i++) {
            List<Shelf.Move> moves = new ArrayList<>();
            int fitted = 0;
            for (int n = 0; n < 12; n++) {
                BillLine.Status status = random.nextBoolean() ? BillLine.Status.FITTED : BillLine.Status.OPEN;
                fitted = status == BillLine.Status.FITTED ? 4 : 0;
                int owed = Shelf.owed(line(BillLine.Why.ONCE, status), "a", moves);
                if (owed != 0) {
                    moves.add(new Shelf.Move(Shelf.What.FITTED, owed, "a"));
                }
                if (random.nextInt(4) == 0) {
                    moves.add(new Shelf.Move(Shelf.What.COUNTED, random.nextInt(9), ""));
                }
                assertEquals(0, Shelf.owed(line(BillLine.Why.ONCE, status), "a", moves));
            }
            int gone = moves.stream()
                    .filter(m -> m.what() == Shelf.What.FITTED)
                    .mapToInt(Shelf.Move::pieces)
                    .sum();
            assertEquals(fitted, gone);
        }
    }

    @Test
    void what_counts_and_how_it_is_called() {
        assertTrue(Shelf.counts(line(BillLine.Why.ONCE, BillLine.Status.OPEN)));
        assertFalse(Shelf.counts(line(BillLine.Why.SUPPLIED, BillLine.Status.OPEN)));
        assertEquals(4, Shelf.owed(line(BillLine.Why.ADDED, BillLine.Status.HERE), "a", List.of()));
        assertEquals(0, Shelf.owed(line(BillLine.Why.ONCE, BillLine.Status.HERE), "a", List.of()));
        assertEquals(Shelf.key("Strut  bolt", "M12 × 1.5"), Shelf.key(" strut bolt", "m12 x 1.5 "));
        assertFalse(Shelf.key("strut bolt", "M12").equals(Shelf.key("strut bolt", "M10")));
    }
}
