package abbex.core.parts;

import java.util.List;
import java.util.Locale;

/** How many of a part lie on a shelf, by what was counted, brought and fitted. */
public final class Shelf {
    private Shelf() {}

    /** What moves a count. */
    public enum What {
        /** So many were found, whatever was thought before. */
        COUNTED,
        /** So many more. */
        BROUGHT,
        /** So many went to a vehicle; fewer than none came back from it. */
        FITTED
    }

    /**
     * A move.
     *
     * @param of the line of a stay's bill to which it went; empty for what belongs to none
     */
    public record Move(What what, int pieces, String of) {}

    /**
     * What lies there: below nothing where more was fitted than was ever there, so that somebody counts again.
     *
     * @param moves in their order
     */
    public static int count(List<Move> moves) {
        int count = 0;
        for (Move move : moves) {
            count = switch (move.what()) {
                case COUNTED -> move.pieces();
                case BROUGHT -> count + move.pieces();
                case FITTED -> count - move.pieces();
            };
        }
        return count;
    }

    /** Pieces that still have to leave the shelf for a line; below nothing what came back. */
    public static int owed(BillLine line, String of, List<Move> moves) {
        int gone = moves.stream()
                .filter(move -> move.what() == What.FITTED && move.of().equals(of))
                .mapToInt(Move::pieces)
                .sum();
        return (taken(line) ? line.count() : 0) - gone;
    }

    /** A fastener is fitted by its step; what somebody added is taken when it lies with the vehicle's parts. */
    private static boolean taken(BillLine line) {
        return line.status() == BillLine.Status.FITTED
                || line.why() == BillLine.Why.ADDED && line.status() == BillLine.Status.HERE;
    }

    /** The name of a part as two of them are compared. */
    public static String key(String name, String thread) {
        return (name.strip() + " " + thread.strip())
                .strip()
                .toLowerCase(Locale.ROOT)
                .replace('×', 'x')
                .replaceAll("\\s+", " ");
    }

    /** What of a bill can lie on a shelf: fasteners that are renewed, and what somebody added. */
    public static boolean counts(BillLine line) {
        return line.why() == BillLine.Why.ONCE || line.why() == BillLine.Why.ADDED;
    }
}
