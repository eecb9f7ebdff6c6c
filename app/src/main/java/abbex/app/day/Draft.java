package abbex.app.day;

import abbex.app.arrive.Job;
import abbex.core.day.Day;
import abbex.core.day.DayJob;
import abbex.core.day.WorkHours;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A shop's day before it is planned.
 *
 * @param day as the core plans it; people and jobs by their ids
 * @param items what is to be done, in the order of the day's jobs
 * @param out what somebody left out by hand
 */
record Draft(Day day, WorkHours hours, List<Item> items, List<Job> out) {
    /** What is done at a vehicle. */
    enum Work {
        /** The card is worked. */
        FIT,
        /** It was lowered: measured, set, handed over. */
        FINISH,
        /** It is back after settling. */
        BACK
    }

    /**
     * A vehicle of the day.
     *
     * @param typical no card tells how long it takes
     * @param promised for this day or one before
     * @param put somebody put it there by hand
     * @param whole minutes of all of it where only a part is done that day; else 0
     */
    record Item(Job job, Work work, DayJob plan, boolean typical, Optional<Instant> promised, boolean put, int whole) {}

    Optional<Item> item(UUID job) {
        return items.stream().filter(item -> item.job().id().equals(job)).findFirst();
    }
}
