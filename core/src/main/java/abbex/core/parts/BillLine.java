package abbex.core.parts;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A line of the bill of parts.
 *
 * @param key why, what and where: the same for as long as plan and card want it
 * @param kind of part; the name of a fastener or of what somebody added
 * @param thread of a fastener, as on a drawing; empty otherwise
 * @param count pieces
 * @param reason what was calculated that asks for it
 * @param status where it is
 * @param due when it comes, of what is awaited
 * @param facts its number and what it costs
 */
public record BillLine(
        String key,
        Why why,
        String kind,
        String thread,
        Place place,
        int count,
        Optional<Finding> reason,
        Status status,
        Optional<LocalDate> due,
        Facts facts) {
    /**
     * What it is and costs, as it was written down.
     *
     * @param number serial or warranty number, which is hidden once it is fitted; empty where there is none
     * @param price of a piece, in the shop's money
     * @param freight of the line with duty, in the shop's money
     */
    public record Facts(String number, Optional<BigDecimal> price, Optional<BigDecimal> freight) {
        public static final Facts NONE = new Facts("", Optional.empty(), Optional.empty());
    }

    /** Why it is on the bill. */
    public enum Why {
        /** The kit brings it. */
        SUPPLIED,
        /** What was calculated asks for it. */
        EXTRA,
        /** A fastener that is renewed every time. */
        ONCE,
        /** It stands on the maker's list of a second-hand kit. */
        LISTED,
        /** Somebody added it. */
        ADDED,
        /** It comes off and goes back. */
        REUSED
    }

    /** Where it is. */
    public enum Status {
        /** Nobody has said. */
        OPEN,
        /** Somebody was asked for it. */
        AWAITED,
        HERE,
        FITTED,
        /** It goes without, for a reason. */
        NOT_NEEDED,
        /** It is on the vehicle already. */
        ON_VEHICLE
    }

    /** It is called as somebody named it, and by no kind of part. */
    public boolean own() {
        return why == Why.ADDED || why == Why.LISTED || why == Why.ONCE;
    }

    /** It stands between the job and its first lift. */
    public boolean missing() {
        return status == Status.OPEN || status == Status.AWAITED;
    }

    /** It was to be here before a day. */
    public boolean late(LocalDate today) {
        return status == Status.AWAITED
                && due.filter(day -> day.isBefore(today)).isPresent();
    }

    /** All pieces and the freight, where a price is known. */
    public Optional<BigDecimal> landed() {
        return facts.price()
                .map(price -> price.multiply(BigDecimal.valueOf(count))
                        .add(facts.freight().orElse(BigDecimal.ZERO)));
    }

    BillLine with(Status other, Optional<LocalDate> day) {
        return new BillLine(key, why, kind, thread, place, count, reason, other, day, facts);
    }

    BillLine with(Facts other) {
        return new BillLine(key, why, kind, thread, place, count, reason, status, due, other);
    }
}
