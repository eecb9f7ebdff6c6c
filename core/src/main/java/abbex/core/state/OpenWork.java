package abbex.core.state;

import abbex.core.figure.Place;
import java.util.List;
import java.util.Optional;

/**
 * What stands open on a vehicle: what is off, what is not tight, what is not done.
 *
 * @param footing what it stands on
 * @param wheelsOff places whose wheel is off, in walking order
 * @param toTighten fasteners of what was taken apart that are not tight, in the order of the work
 * @param toMark fasteners that are tight and have no paint mark yet
 * @param holds what the step in hand asks to be true before it is done, and nobody has said is so
 * @param hand the step in hand; empty where all are done
 * @param done steps that are done
 * @param steps of the work in all
 */
public record OpenWork(
        Footing footing,
        List<Place> wheelsOff,
        List<Bolt> toTighten,
        List<Bolt> toMark,
        List<String> holds,
        Optional<Hand> hand,
        int done,
        int steps) {
    /** A vehicle that nobody has begun to work on, and one that all work on is done. */
    public static final OpenWork NONE =
            new OpenWork(Footing.WHEELS, List.of(), List.of(), List.of(), List.of(), Optional.empty(), 0, 0);

    /** A fastener at a place. */
    public record Bolt(Place place, String name) {}

    /**
     * A step in hand.
     *
     * @param key by which its page is found
     * @param number counted from 1
     */
    public record Hand(String key, int number, String title, Place place) {}

    public OpenWork {
        wheelsOff = List.copyOf(wheelsOff);
        toTighten = List.copyOf(toTighten);
        toMark = List.copyOf(toMark);
        holds = List.copyOf(holds);
    }

    /** Some of the work is done and some is not. */
    public boolean underWay() {
        return hand.isPresent() && steps > 0;
    }

    /** It cannot be measured as it will be driven. */
    public boolean apart() {
        return footing.raised() || !wheelsOff.isEmpty();
    }
}
