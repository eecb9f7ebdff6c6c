package abbex.core.torque;

import abbex.core.units.Torque;
import java.util.List;
import java.util.Optional;

/**
 * How a fastener stands, by all that happened to it in order.
 *
 * @param spec the one that counts now
 * @param reading the last one
 * @param turned true where the angle was turned after it
 */
public record Tightening(State state, Optional<TorqueSpec> spec, Optional<Torque> reading, boolean turned) {
    /** How it stands. */
    public enum State {
        /** Nobody said what it is tightened to. */
        UNKNOWN,
        /** To be tightened. */
        OPEN,
        /** It was tight by a figure that a better one has replaced: again. */
        REOPENED,
        /** It was read beyond its range. */
        OFF,
        /** Tight, and no paint on it. */
        UNMARKED,
        DONE
    }

    /** What happens to a fastener. */
    public sealed interface Event {
        /** Somebody says what it is tightened to. */
        record Said(TorqueSpec spec) implements Event {}

        /** It was tightened. */
        record Tightened(Torque reading, boolean turned) implements Event {}

        /** Paint across it. */
        record Marked() implements Event {}

        /** It was loosened again. */
        record Loosened() implements Event {}
    }

    /** By its events, the first first. */
    public static Tightening of(List<Event> events) {
        Optional<TorqueSpec> ruling = Optional.empty();
        Optional<TorqueSpec> by = Optional.empty();
        Optional<Torque> reading = Optional.empty();
        boolean turned = false;
        boolean marked = false;
        for (Event event : events) {
            if (event instanceof Event.Said said) {
                ruling = Optional.of(ruling.map(one -> one.or(said.spec())).orElse(said.spec()));
            } else if (event instanceof Event.Tightened tightened) {
                by = ruling;
                reading = Optional.of(tightened.reading());
                turned = tightened.turned();
                marked = false;
            } else if (event instanceof Event.Marked) {
                marked = reading.isPresent();
            } else {
                reading = Optional.empty();
                marked = false;
            }
        }
        boolean again = reading.isPresent()
                && ruling.isPresent()
                && !(by.isPresent() && by.get().same(ruling.get()));
        return new Tightening(state(ruling, reading, turned, marked, again), ruling, reading, turned);
    }

    private static State state(
            Optional<TorqueSpec> spec, Optional<Torque> reading, boolean turned, boolean marked, boolean again) {
        if (spec.isEmpty()) {
            return State.UNKNOWN;
        }
        if (reading.isEmpty()) {
            return State.OPEN;
        }
        if (again) {
            return State.REOPENED;
        }
        if (!spec.get().holds(reading.get()) || spec.get().angle() > 0 && !turned) {
            return State.OFF;
        }
        return marked ? State.DONE : State.UNMARKED;
    }
}
