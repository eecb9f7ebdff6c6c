package abbex.core.day;

import java.util.List;

/**
 * What a day costs, in minutes: a promise outweighs whatever can wait, work that is left over outweighs any waiting, and of the rest
 * the sum of the minutes at which the vehicles are ready is least (our choice).
 */
final class DayCost {
    /** A minute past what was promised, and a minute past the shop's hours. */
    static final int LATE = 10;

    /** Somebody has to bring a vehicle to another bay than where it stands. */
    static final int MOVED = 10;

    private DayCost() {}

    /** What one job that can wait costs when it is left over: more than all that an order can save in waiting. */
    static long unit(Day day) {
        return (long) (day.jobs().size() + 1) * Math.max(day.length(), Day.GRID);
    }

    /** Leaving over a job that can wait. */
    static long left(Day day, DayJob job) {
        long unit = unit(day);
        long promised = job.promised().isPresent() ? broken(day) + (long) LATE * day.length() : 0;
        long put = job.at().isPresent() || job.begun().isPresent() ? 10 * broken(day) : 0;
        return unit * job.weight() + promised + put;
    }

    /** A promise that is not kept, however late. */
    static long broken(Day day) {
        return 4 * unit(day);
    }

    static long of(Day day, List<DayPlan.Placed> placed, List<String> left) {
        long cost = 0;
        for (DayPlan.Placed at : placed) {
            DayJob job = day.job(at.job());
            cost += at.end() + (long) LATE * Math.max(0, at.end() - day.length());
            int late = job.promised().isPresent()
                    ? at.end() - Day.down(job.promised().getAsInt())
                    : 0;
            cost += late > 0 ? broken(day) + (long) LATE * late : 0;
            cost += job.stands().filter(bay -> !bay.equals(at.bay())).isPresent() ? MOVED : 0;
        }
        return cost + left.stream().mapToLong(job -> left(day, day.job(job))).sum();
    }
}
