package abbex.core.day;

import java.util.List;
import java.util.PriorityQueue;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * What no plan of a day costs less than, without a search: as if every person worked without a pause and needed no bay, or every
 * lift without a person. On alike machines the shortest first has the least sum of ends (R. W. Conway, W. L. Maxwell, L. W. Miller,
 * Theory of Scheduling, 1967; from memory).
 */
final class DayBound {
    private DayBound() {}

    static long of(Day day) {
        List<DayJob> jobs = day.jobs();
        long least = Long.MAX_VALUE;
        List<Long> left =
                jobs.stream().map(job -> DayCost.left(day, job)).sorted().toList();
        for (int in = 0; in <= jobs.size(); in++) {
            long out = left.subList(0, jobs.size() - in).stream()
                    .mapToLong(Long::longValue)
                    .sum();
            long ends = in == jobs.size() ? Math.max(alone(day, in), all(day)) : alone(day, in);
            least = Math.min(
                    least, out + Math.max(ends, shared(day, day.people().size(), job -> true, in)));
        }
        return least;
    }

    /** Each as if it were the only one. */
    private static long alone(Day day, int in) {
        return day.jobs().stream()
                .mapToLong(job -> Math.max(day.now(), job.from()) + job.minutes())
                .sorted()
                .limit(in)
                .sum();
    }

    /** All of them: what goes up shares the lifts, the rest is alone. */
    private static long all(Day day) {
        int lifts = (int) day.bays().stream().filter(Day.Bay::lift).count();
        boolean free =
                day.jobs().stream().anyMatch(job -> job.lift() && job.begun().isPresent());
        if (free) {
            return 0;
        }
        long rest = day.jobs().stream()
                .filter(job -> !job.lift())
                .mapToLong(job -> Math.max(day.now(), job.from()) + job.minutes())
                .sum();
        return rest + shared(day, lifts, DayJob::lift, day.jobs().size());
    }

    private static long shared(Day day, int machines, Predicate<DayJob> of, int in) {
        PriorityQueue<Long> free = new PriorityQueue<>(Stream.generate(() -> (long) day.now())
                .limit(Math.max(1, machines))
                .toList());
        long sum = 0;
        for (int minutes : day.jobs().stream()
                .filter(of)
                .mapToInt(DayJob::minutes)
                .sorted()
                .limit(in)
                .toArray()) {
            long end = free.remove() + minutes;
            free.add(end);
            sum += end;
        }
        return sum;
    }
}
