package abbex.core.parts;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
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
        Optional<LocalDate> due) {
    /** Why it is on the bill. */
    public enum Why {
        /** The kit brings it. */
        SUPPLIED,
        /** What was calculated asks for it. */
        EXTRA,
        /** A fastener that is renewed every time. */
        ONCE,
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

    /** It stands between the job and its first lift. */
    public boolean missing() {
        return status == Status.OPEN || status == Status.AWAITED;
    }

    /** It was to be here before a day. */
    public boolean late(LocalDate today) {
        return status == Status.AWAITED
                && due.filter(day -> day.isBefore(today)).isPresent();
    }

    BillLine with(Status other, Optional<LocalDate> day) {
        return new BillLine(key, why, kind, thread, place, count, reason, other, day);
    }
}
