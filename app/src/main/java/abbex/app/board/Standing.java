package abbex.app.board;

import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A vehicle as it stands on the floor.
 *
 * @param stretch how much longer than its outline's wheelbase it is
 * @param rearX where the rear wheel stands, in millimetres behind the front one
 * @param wheel how much larger than the drawn wheel its wheels are
 * @param mark of the worst finding; empty for none
 * @param late out and overdue, or out without a day to be back
 * @param soon out and due back within the week
 * @param to the station where the next act is done
 * @param see where the worst finding is seen to
 * @param mine true when the person who looks has it
 * @param lines of its outline, the body first
 * @param moves the edition of where it stands
 */
record Standing(
        UUID id,
        String plate,
        String name,
        String shape,
        String stretch,
        String rearX,
        String wheel,
        String act,
        String detail,
        String mark,
        String word,
        String holder,
        @Nullable UUID holderId,
        String place,
        String bay,
        String due,
        boolean late,
        boolean soon,
        boolean mine,
        String to,
        String see,
        List<String> lines,
        int moves) {

    /** What its drawing shows: all on one scale, but a truck that is longer and a motorcycle that would be a dot. */
    public String box() {
        double width = Math.max(6150, 1150 + Double.parseDouble(rearX) + 1600);
        return closed() ? String.format(Locale.ROOT, "-1150 -2000 %.0f 2014", width) : "-1650 -1500 4800 1514";
    }

    /** What is drawn small is filled where it has a body to fill; a motorcycle is its lines. */
    public boolean closed() {
        return !shape.equals("motorcycle");
    }

    /** What the margin says of it: a stop, the return that is overdue, else the worst finding. */
    public String headline() {
        return late && !mark.equals("stop") ? act : detail;
    }

    public String after() {
        return late && !mark.equals("stop") ? name : act;
    }
}
