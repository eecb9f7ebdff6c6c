package abbex.core.workcard;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A step as it is known of an architecture, wherever it is done.
 *
 * @param id lower-case words with hyphens, unique in a book
 * @param title what to do, in a line
 * @param why in a line
 * @param span whether it is done at each corner, each end, or once
 * @param footing how the vehicle stands while it is done
 * @param minutes of one person, or of both where it needs two
 * @param hands people that it needs: 1 or 2
 * @param access trims in the way
 * @param tools with sizes where they are known
 * @param holds what must be true before its work goes on
 * @param cautions what hurts
 * @param captures what is written down or looked at
 * @param fasteners that are tightened in it
 * @param off kinds of parts that it takes off
 * @param on kinds of parts that it puts on
 * @param after ids of steps that come before it at the same place
 * @param before ids of steps that it comes before at the same place
 * @param traps later steps after which something of it cannot be done any more: it comes before those too
 * @param locks of adjusters that it turns; each is a check of it, and a hold of every step in which the vehicle moves by itself
 * @param when what must hold of the job, all of it; with ! in front what must not; of several apart by | one is enough
 * @param role what the card itself has to know of it
 * @param checks what is looked at once its work is done: said with the tick
 */
public record Step(
        String id,
        String title,
        String why,
        Span span,
        Footing footing,
        int minutes,
        int hands,
        Access access,
        List<String> tools,
        List<String> holds,
        List<String> cautions,
        List<Capture> captures,
        List<Fastener> fasteners,
        List<String> off,
        List<String> on,
        List<String> after,
        List<String> when,
        Optional<Role> role,
        List<String> before,
        List<Trap> traps,
        List<String> locks,
        List<String> checks) {
    /** Where it is done. */
    public enum Span {
        CORNER,
        END,
        WHOLE
    }

    /** How the vehicle stands. */
    public enum Footing {
        WHEELS,
        HANGING,
        /** An arm or an axle is carried by a jack of its own. */
        CARRIED
    }

    /** What the card has to know of a step. */
    public enum Role {
        /** It brings the vehicle up. */
        RAISE,
        /** It brings the vehicle down on its wheels. */
        LOWER,
        /** Nothing of its place may be left on the bench, and no offer unanswered. */
        CLOSE,
        /** The vehicle moves by itself: every lock is shut. */
        ROLL;

        /** It is put in where the footing changes. */
        boolean turns() {
            return this == RAISE || this == LOWER;
        }
    }

    /**
     * A trap in the order.
     *
     * @param step id of the later step
     * @param what cannot be drawn or put back once that is done
     */
    public record Trap(String step, String what) {}

    /** Clips and screws of a trim. */
    public record Access(String what, int clips, int screws) {
        public static final Access NONE = new Access("", 0, 0);
    }

    /**
     * Something to write down: a serial number, clicks, a thread that shows, a clock position, a photo.
     *
     * @param usual what is written down by one tap where all is as it should be; empty where nothing is usual
     * @param places true where the picture of an open corner numbers what is looked at, in the order of {@code what}
     */
    public record Capture(String id, String what, Kind kind, String usual, boolean places) {
        public Capture(String id, String what, Kind kind) {
            this(id, what, kind, "", false);
        }

        /** What it is. */
        public enum Kind {
            TEXT,
            LENGTH,
            CLICKS,
            CLOCK,
            /** To which side something points: up, down, forward, rearward, inboard, outboard. */
            WAY,
            /** Which hole, counted from the top or the front. */
            HOLE,
            PHOTO
        }
    }

    /**
     * A fastener.
     *
     * @param thread as written on a drawing; empty where it is not known
     * @param once renewed every time
     * @param locker thread-locker goes on
     */
    public record Fastener(String id, String name, String thread, boolean once, boolean locker) {}

    /** Without traps, locks and steps that it comes before. */
    public Step(
            String id,
            String title,
            String why,
            Span span,
            Footing footing,
            int minutes,
            int hands,
            Access access,
            List<String> tools,
            List<String> holds,
            List<String> cautions,
            List<Capture> captures,
            List<Fastener> fasteners,
            List<String> off,
            List<String> on,
            List<String> after,
            List<String> when,
            Optional<Role> role) {
        this(
                id, title, why, span, footing, minutes, hands, access, tools, holds, cautions, captures, fasteners, off,
                on, after, when, role, List.of(), List.of(), List.of(), List.of());
    }

    public Step {
        tools = List.copyOf(tools);
        holds = List.copyOf(holds);
        cautions = List.copyOf(cautions);
        captures = List.copyOf(captures);
        fasteners = List.copyOf(fasteners);
        off = List.copyOf(off);
        on = List.copyOf(on);
        after = List.copyOf(after);
        when = List.copyOf(when);
        before = List.copyOf(before);
        traps = List.copyOf(traps);
        locks = List.copyOf(locks);
        checks = List.copyOf(checks);
    }

    /** What must be true before it is ticked: holds, then checks, then locks. Rows of a card name one by its place here. */
    public List<String> allHolds() {
        return Stream.of(holds, checks, locks).flatMap(List::stream).toList();
    }

    /** The place of the first lock among all holds. */
    public int firstLock() {
        return holds.size() + checks.size();
    }

    /** It is said with the tick, not before the work goes on. */
    public boolean after(int hold) {
        return hold >= holds.size();
    }

    /** Every part, fact or end that it is asked for by. */
    public Stream<String> asks() {
        return when.stream()
                .flatMap(condition -> Stream.of(condition.replace("!", "").split("[|]")));
    }

    /** A step of this id comes after it at the same place. */
    boolean precedes(String id) {
        return before.contains(id)
                || traps.stream().anyMatch(trap -> trap.step().equals(id));
    }

    /** The same for every job. */
    Step always() {
        return new Step(
                id, title, why, span, footing, minutes, hands, access, tools, holds, cautions, captures, fasteners, off,
                on, after, List.of(), role, before, traps, locks, checks);
    }
}
