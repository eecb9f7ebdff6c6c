package abbex.core.workcard;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;

/** What a card says of the stay. The order is that in which findings of one severity are shown. */
public sealed interface CardFinding extends Finding {
    /** It was tight by a figure that a better one has replaced. */
    record TightenAgain(Place place, String fastener) implements CardFinding, Look {
        @Override
        public String which() {
            return fastener;
        }
    }

    /** It was read outside its range. */
    record TorqueOff(Place place, String fastener) implements CardFinding, Look {
        @Override
        public String which() {
            return fastener;
        }
    }

    /** Done another way than the card says, or put off: until somebody closes it. */
    record DoneOtherwise(Place place, String step, String reason, String limit) implements CardFinding, Look {
        @Override
        public String which() {
            return step;
        }
    }

    /** Tight by a figure that nobody has verified. */
    record Unverified(Place place, String fastener) implements CardFinding, Note {}

    /** A kit lies there for an end that no round is for yet. */
    record PutOff(Place place) implements CardFinding, Note, Open {}

    /** A lock that nobody has said is shut, of a step that was put off or done another way. */
    record LockOpen(Place place, String lock) implements CardFinding, Look {
        @Override
        public String which() {
            return lock;
        }
    }

    /** Steps, fasteners or parts are open. */
    record CardOpen(Place place, Steps steps) implements CardFinding, Note, Open {}

    /** So many steps. */
    record Steps(int count) {}
}
