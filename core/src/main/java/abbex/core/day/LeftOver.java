package abbex.core.day;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * A job that is not in the day.
 *
 * @param need and have, minutes: of what is short
 */
public record LeftOver(String job, Why why, int need, int have) {
    /** Why it is left over, the first that holds. */
    public enum Why {
        /** It cannot begin before the day is over: its parts or its owner come later. */
        COMES_LATER,
        /** It has to go up, and there is no lift, or none that is free. */
        NO_LIFT,
        /** Nobody is there who may have it. */
        NO_PERSON,
        /** It needs two, and two are never there together. */
        NO_SECOND,
        /** It is longer than what is left of the day after it can begin. */
        TOO_LONG,
        /** Where somebody put it, it does not fit. */
        PUT,
        /** More work than hours of lifts. */
        LIFT_HOURS,
        /** More work than hours of people, from some time of the day on. */
        HOURS,
        /** The day was over when it was planned. */
        CLOSED,
        /** There are hours enough for all of it, and no order in which it fits. */
        NO_ORDER
    }

    static LeftOver of(Day day, DayJob job) {
        int begin = Math.max(job.from(), day.now());
        int rest = Math.max(0, day.length() - begin);
        if (rest == 0) {
            Why why = job.from() >= day.length() ? Why.COMES_LATER : Why.CLOSED;
            return new LeftOver(job.key(), why, job.minutes(), 0);
        }
        List<Day.Bay> bays = day.bays(job);
        int bay = bays.stream()
                .mapToInt(b -> longest(begin, day.length(), b.shut()))
                .max()
                .orElse(0);
        if (bay == 0) {
            return new LeftOver(job.key(), Why.NO_LIFT, job.minutes(), 0);
        }
        int person = day.leads(job).stream()
                .mapToInt(p -> there(begin, day.length(), p.away()))
                .max()
                .orElse(0);
        if (person == 0) {
            return new LeftOver(job.key(), Why.NO_PERSON, job.minutes(), 0);
        }
        if (job.two() && together(day, begin) == 0) {
            return new LeftOver(job.key(), Why.NO_SECOND, job.minutes(), 0);
        }
        if (job.minutes() > Math.min(rest, Math.min(bay, person))) {
            return new LeftOver(job.key(), Why.TOO_LONG, job.minutes(), Math.min(rest, Math.min(bay, person)));
        }
        if (job.at().isPresent()) {
            return new LeftOver(
                    job.key(),
                    Why.PUT,
                    job.minutes(),
                    Math.max(0, day.length() - job.at().getAsInt()));
        }
        return hours(day, job);
    }

    /** What is short from the time on at which most is: parts that come late leave early hours to nobody. */
    private static LeftOver hours(Day day, DayJob job) {
        return Stream.concat(Stream.of(day.now()), day.jobs().stream().map(DayJob::from))
                .filter(from -> from <= Math.max(job.from(), day.now()))
                .distinct()
                .flatMap(from -> Stream.of(lifts(day, job, from), hands(day, job, from)))
                .filter(lack -> lack.need() > lack.have())
                .max(Comparator.comparingInt(left -> left.need() - left.have()))
                .orElseGet(() -> new LeftOver(job.key(), Why.NO_ORDER, job.minutes(), 0));
    }

    private static LeftOver lifts(Day day, DayJob job, int from) {
        int lifts = day.bays().stream()
                .filter(Day.Bay::lift)
                .mapToInt(b -> there(Math.max(from, day.now()), day.length(), b.shut()))
                .sum();
        int raised = job.lift()
                ? since(day, from)
                        .filter(DayJob::lift)
                        .mapToInt(DayJob::minutes)
                        .sum()
                : 0;
        return new LeftOver(job.key(), Why.LIFT_HOURS, raised, lifts);
    }

    private static LeftOver hands(Day day, DayJob job, int from) {
        int hands = day.people().stream()
                .mapToInt(p -> there(Math.max(from, day.now()), day.length(), p.away()))
                .sum();
        return new LeftOver(
                job.key(),
                Why.HOURS,
                since(day, from).mapToInt(DayJob::handMinutes).sum(),
                hands);
    }

    private static Stream<DayJob> since(Day day, int from) {
        return day.jobs().stream().filter(job -> Math.max(job.from(), day.now()) >= from);
    }

    /** Minutes of a stretch that are not taken. */
    static int there(int from, int to, List<Span> taken) {
        int free = 0;
        for (int at = from; at < to; at += Day.GRID) {
            free += taken(at, taken) ? 0 : Day.GRID;
        }
        return free;
    }

    private static int longest(int from, int to, List<Span> taken) {
        int best = 0;
        int run = 0;
        for (int at = from; at < to; at += Day.GRID) {
            run = taken(at, taken) ? 0 : run + Day.GRID;
            best = Math.max(best, run);
        }
        return best;
    }

    private static boolean taken(int at, List<Span> taken) {
        Span slot = new Span(at, at + Day.GRID);
        return taken.stream().anyMatch(slot::meets);
    }

    private static int together(Day day, int from) {
        int together = 0;
        for (int at = from; at < day.length(); at += Day.GRID) {
            int slot = at;
            long there =
                    day.people().stream().filter(p -> !taken(slot, p.away())).count();
            together += there > 1 ? Day.GRID : 0;
        }
        return together;
    }
}
