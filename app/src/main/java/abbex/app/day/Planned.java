package abbex.app.day;

import abbex.core.day.LeftOver;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * A day as it was planned last.
 *
 * @param version how often it was planned; 0 for never
 * @param unit what differs by less differs in waiting only
 * @param put what was put by hand last, whose price the jobs tell
 */
record Planned(
        int version,
        Optional<Instant> at,
        String by,
        long cost,
        OptionalDouble bound,
        long unit,
        Optional<UUID> put,
        List<Entry> jobs) {
    static final Planned NOT_YET =
            new Planned(0, Optional.empty(), "", 0, OptionalDouble.empty(), 0, Optional.empty(), List.of());

    /** A stint by the clock. */
    record Stint(Instant starts, Instant ends, Optional<UUID> helper) {}

    /**
     * A vehicle of the day.
     *
     * @param bay empty for what is left over
     * @param least and most: it is ready between them on 95 of 100 such days
     * @param kept on how many of such days the promise is kept, as a part
     * @param why it is left over
     * @param need minutes that it needs, where it is left over or goes on another day, and
     * @param have those that there are for it
     * @param wasReady when it would be ready had nothing been put by hand last
     * @param wasLeft it would have been left over
     */
    record Entry(
            UUID job,
            String plate,
            String vehicle,
            Draft.Work work,
            String bay,
            Optional<UUID> lead,
            boolean begun,
            boolean put,
            boolean typical,
            Optional<Instant> promised,
            Optional<Instant> least,
            Optional<Instant> most,
            double kept,
            Optional<LeftOver.Why> why,
            int need,
            int have,
            Optional<Instant> wasReady,
            boolean wasLeft,
            List<Stint> stints) {
        Instant starts() {
            return stints.get(0).starts();
        }

        Instant ends() {
            return stints.get(stints.size() - 1).ends();
        }

        boolean left() {
            return stints.isEmpty();
        }

        /** A part of it is done that day, and the rest on another. */
        boolean goesOn() {
            return !left() && need > have;
        }
    }

    Optional<Entry> of(UUID job) {
        return jobs.stream().filter(entry -> entry.job().equals(job)).findFirst();
    }

    /** Who is called to a vehicle at an instant. */
    Optional<UUID> helping(UUID job, Instant at) {
        return of(job).stream()
                .flatMap(entry -> entry.stints().stream())
                .filter(s -> !s.starts().isAfter(at) && s.ends().isAfter(at))
                .flatMap(s -> s.helper().stream())
                .findFirst();
    }

    /** Nothing better exists. */
    boolean best() {
        return bound.isPresent() && bound.getAsDouble() > cost - 0.5;
    }
}
