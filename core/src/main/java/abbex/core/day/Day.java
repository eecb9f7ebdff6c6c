package abbex.core.day;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * What a day has to fit together.
 *
 * @param length of the shop's hours, minutes
 * @param now nothing that was not begun begins before it
 * @param bays lifts among them
 * @param people who are there for some of it
 */
public record Day(int length, int now, List<Bay> bays, List<Worker> people, List<DayJob> jobs) {
    /** A day is planned in steps of so many minutes (ours): nobody looks at a clock more closely. */
    public static final int GRID = 5;

    /**
     * A bay.
     *
     * @param shut while something stands in it that is not of this day
     */
    public record Bay(String name, boolean lift, List<Span> shut) {
        public Bay {
            shut = List.copyOf(shut);
        }
    }

    /** A person of the shop. */
    public record Worker(String key, List<Span> away) {
        public Worker {
            away = List.copyOf(away);
        }
    }

    public Day {
        bays = List.copyOf(bays);
        people = List.copyOf(people);
        jobs = List.copyOf(jobs);
        if (length < 0 || length % GRID != 0 || now < 0 || now % GRID != 0) {
            throw new IllegalArgumentException("a day of " + length + " minutes at " + now + " is not on the grid");
        }
        once(bays.stream().map(Bay::name));
        once(people.stream().map(Worker::key));
        once(jobs.stream().map(DayJob::key));
        once(jobs.stream().filter(j -> j.begun().isPresent()).flatMap(j -> j.bays().stream()));
        for (DayJob job : jobs) {
            known(job.bays(), bays, Bay::name);
            known(job.leads(), people, Worker::key);
        }
    }

    private static void once(Stream<String> keys) {
        List<String> all = keys.toList();
        if (all.stream().distinct().count() < all.size()) {
            throw new IllegalArgumentException("twice in one day: " + all);
        }
    }

    private static <T> void known(Iterable<String> named, List<T> all, Function<T, String> key) {
        for (String name : named) {
            if (all.stream().map(key).noneMatch(name::equals)) {
                throw new IllegalArgumentException("not of this shop: " + name);
            }
        }
    }

    public DayJob job(String key) {
        return jobs.stream().filter(j -> j.key().equals(key)).findFirst().orElseThrow();
    }

    public Bay bay(String name) {
        return bays.stream().filter(b -> b.name().equals(name)).findFirst().orElseThrow();
    }

    public Worker worker(String key) {
        return people.stream().filter(p -> p.key().equals(key)).findFirst().orElseThrow();
    }

    /** The bays in which a job can be done. */
    public List<Bay> bays(DayJob job) {
        return bays.stream()
                .filter(b -> job.bays().isEmpty()
                        ? b.lift() || !job.lift()
                        : job.bays().contains(b.name()))
                .toList();
    }

    /** Who may have a job. */
    public List<Worker> leads(DayJob job) {
        return people.stream()
                .filter(p -> job.leads().isEmpty() || job.leads().contains(p.key()))
                .toList();
    }

    /** Minutes up to the grid. */
    public static int up(double minutes) {
        return (int) Math.ceil(minutes / GRID - 1e-9) * GRID;
    }

    /** Minutes down to the grid. */
    public static int down(double minutes) {
        return (int) Math.floor(minutes / GRID + 1e-9) * GRID;
    }
}
