package abbex.core.workcard;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.state.Footing;
import abbex.core.state.OpenWork;
import abbex.core.vehicle.Whole;
import java.util.List;

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

    /** Wheels are off. */
    record WheelOff(Place place, List<Place> at) implements CardFinding, Stop {}

    /** Fasteners of what was taken apart are not tight. */
    record ToTighten(Place place, Pieces count, Bolts bolts) implements CardFinding, Stop {}

    /** Steps are open: the one in hand, of how many, and what the vehicle stands on. */
    record CardOpen(int number, int of, Footing footing, Steps remaining) implements CardFinding, Stop {
        @Override
        public Place place() {
            return Whole.VEHICLE;
        }
    }

    /** Parts that nobody said of where they went, every step being done. */
    record PartsLeft(Place place, List<BenchPart> parts) implements CardFinding, Look {}

    /** New parts were measured on the vehicle, and its card was never begun. */
    record NotBegun() implements CardFinding, Look {
        @Override
        public Place place() {
            return Whole.VEHICLE;
        }
    }

    /**
     * Work that was found while it was open and offered.
     *
     * @param id by which an answer names it
     */
    record Offered(String id, Place place, Offer offer, Answer answer) implements CardFinding, Look {
        @Override
        public String which() {
            return id;
        }
    }

    /**
     * Work and what it is to cost, both as they were written down.
     *
     * @param price empty where none was
     */
    record Offer(String work, String price) {}

    /** What the customer says to an offer. */
    enum Answer {
        NOT_ASKED,
        ACCEPTED,
        REFUSED
    }

    /** Fasteners that are tight and carry no paint mark. */
    record ToMark(Place place, Pieces count, Bolts bolts) implements CardFinding, Look {}

    /** So many steps. */
    record Steps(int count) {}

    /** So many fasteners. */
    record Pieces(int count) {}

    /** Fasteners with their places. */
    record Bolts(List<OpenWork.Bolt> all) {
        public Bolts {
            all = List.copyOf(all);
        }
    }
}
