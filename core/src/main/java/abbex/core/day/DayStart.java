package abbex.core.day;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Stream;

/**
 * A plan to begin a search with: one vehicle after the other, each to where it is ready first, in an order that is changed for as
 * long as that makes the day cheaper.
 */
final class DayStart {
    /** Orders that are tried at most, by how many vehicles there are. */
    private static final int TRIES = 6_000;

    private DayStart() {}

    /** What the orders that are tried take at most, seconds: for who has a limit. */
    static final double SECONDS = 0.3;

    private record Tried(List<DayJob> order, List<DayPlan.Placed> placed, long cost) {
        DayPlan plan(Day day) {
            return DaySolver.with(day, placed, OptionalDouble.empty());
        }
    }

    /** The cheapest of a few orders that a person would think of. */
    static DayPlan quick(Day day) {
        return first(day).plan(day);
    }

    static DayPlan of(Day day) {
        return moved(day, first(day)).plan(day);
    }

    private static Tried first(Day day) {
        Comparator<DayJob> first = Comparator.comparing(
                        (DayJob job) -> job.begun().isEmpty())
                .thenComparing(job -> job.at().isEmpty())
                .thenComparing(job -> job.promised().isEmpty());
        Comparator<DayJob> due = Comparator.comparing(job -> job.promised().orElse(0));
        Comparator<DayJob> heavy = Comparator.comparing(job -> -job.weight());
        Comparator<DayJob> brief = Comparator.comparing(DayJob::minutes);
        return Stream.of(
                        first.thenComparing(due).thenComparing(heavy).thenComparing(brief),
                        first.thenComparing(heavy).thenComparing(brief),
                        first.thenComparing(due).thenComparing(heavy).thenComparing(brief.reversed()),
                        first.thenComparing(DayJob::lift, Comparator.reverseOrder())
                                .thenComparing(brief))
                .map(order -> inOrder(day, day.jobs().stream().sorted(order).toList()))
                .min(Comparator.comparingLong(Tried::cost))
                .orElseThrow();
    }

    /** Takes one vehicle out of the order and puts it somewhere else in it, as long as that costs no more. */
    private static Tried moved(Day day, Tried start) {
        Random random = new Random(1);
        Tried best = start;
        int all = start.order().size();
        long until = System.nanoTime() + (long) (SECONDS * 1e9);
        for (int i = 0; all > 1 && i < TRIES / all && System.nanoTime() < until; i++) {
            List<DayJob> jobs = new ArrayList<>(best.order());
            jobs.add(random.nextInt(all), jobs.remove(random.nextInt(all)));
            Tried tried = inOrder(day, jobs);
            best = tried.cost() <= best.cost() ? tried : best;
        }
        return best;
    }

    private static Tried inOrder(Day day, List<DayJob> order) {
        Rows rows = new Rows(day);
        List<DayPlan.Placed> placed = new ArrayList<>();
        List<String> left = new ArrayList<>();
        for (DayJob job : order) {
            Optional<DayPlan.Placed> chosen = rows.best(job);
            chosen.ifPresent(rows::take);
            chosen.ifPresent(placed::add);
            if (chosen.isEmpty()) {
                left.add(job.key());
            }
        }
        return new Tried(order, placed, DayCost.of(day, placed, left));
    }

    /** What is taken, by slots of the grid. */
    private static final class Rows {
        private final Day day;
        private final int slots;
        private final boolean[][] bays;
        /** Whole vehicles that somebody has. */
        private final boolean[][] leads;
        /** What their hands are at. */
        private final boolean[][] hands;

        Rows(Day day) {
            this.day = day;
            int over = day.jobs().stream()
                    .filter(j -> j.begun().isPresent())
                    .mapToInt(DayJob::minutes)
                    .sum();
            slots = (Math.max(day.length(), day.now()) + over) / Day.GRID;
            bays = day.bays().stream().map(bay -> taken(bay.shut())).toArray(boolean[][]::new);
            leads = new boolean[day.people().size()][slots];
            hands = day.people().stream().map(p -> taken(p.away())).toArray(boolean[][]::new);
            // What stands begun takes its bay whether or not anybody can go on with it.
            day.jobs().stream()
                    .filter(job -> job.begun().isPresent())
                    .forEach(job -> fill(bays[bay(job.bays().iterator().next())], 0, slots, true));
        }

        private boolean[] taken(List<Span> spans) {
            boolean[] taken = new boolean[slots];
            spans.forEach(span -> fill(taken, span.from() / Day.GRID, (span.to() + Day.GRID - 1) / Day.GRID, true));
            return taken;
        }

        private static void fill(boolean[] row, int from, int to, boolean with) {
            for (int at = Math.max(0, from); at < Math.min(row.length, to); at++) {
                row[at] = with;
            }
        }

        private static boolean free(boolean[] row, int from, int to) {
            for (int at = from; at < to; at++) {
                if (row[at]) {
                    return false;
                }
            }
            return true;
        }

        private int bay(String name) {
            return day.bays().indexOf(day.bay(name));
        }

        private int worker(String key) {
            return day.people().indexOf(day.worker(key));
        }

        /** Where a job is ready first; empty where it does not fit any more. */
        Optional<DayPlan.Placed> best(DayJob job) {
            boolean begun = job.begun().isPresent();
            int from = Day.up(begun ? day.now() : Math.max(day.now(), job.from())) / Day.GRID;
            int last = (begun ? slots : day.length() / Day.GRID) - job.minutes() / Day.GRID;
            if (job.at().isPresent()) {
                last = Math.min(last, job.at().getAsInt() / Day.GRID);
                from = Math.max(from, job.at().getAsInt() / Day.GRID);
            }
            int[] allowed = day.bays(job).stream().mapToInt(b -> bay(b.name())).toArray();
            int stands = job.stands().map(this::bay).orElse(-1);
            Found best = new Found(job.stints().size());
            for (Day.Worker lead : day.leads(job)) {
                int who = worker(lead.key());
                boolean searched = false;
                for (int start = from;
                        start <= last && start + job.minutes() / Day.GRID < best.cost && !searched;
                        start++) {
                    Found tried = tried(job, who, start, begun);
                    if (tried.end <= (begun ? slots : day.length() / Day.GRID)) {
                        tried.bay = begun ? allowed[0] : bay(allowed, stands, start, tried.end);
                        boolean moved = stands >= 0 && tried.bay != stands;
                        tried.cost = tried.end + (moved ? DayCost.MOVED / Day.GRID : 0);
                        searched = tried.bay >= 0;
                        best = searched && tried.cost < best.cost ? tried : best;
                    }
                }
            }
            return best.bay < 0 ? Optional.empty() : Optional.of(best.placed(day, job));
        }

        private int bay(int[] allowed, int stands, int from, int to) {
            int found = -1;
            for (int bay : allowed) {
                if ((found < 0 || bay == stands) && free(bays[bay], from, to)) {
                    found = bay;
                }
            }
            return found;
        }

        /** The stints as soon as hands are free; an end past all slots where they are not. */
        private Found tried(DayJob job, int who, int start, boolean begun) {
            Found found = new Found(job.stints().size());
            found.lead = who;
            int at = start;
            for (int s = 0; s < job.stints().size(); s++) {
                Stint stint = job.stints().get(s);
                int width = stint.minutes() / Day.GRID;
                int only = s > 0 || !begun
                        ? -1
                        : job.begun()
                                .flatMap(DayJob.Begun::helper)
                                .map(this::worker)
                                .orElse(-1);
                while (at + width <= slots && !fits(found, s, who, stint, only, at, at + width)) {
                    if (s == 0) {
                        return found;
                    }
                    at++;
                }
                if (at + width > slots) {
                    return found;
                }
                found.starts[s] = at;
                at += width;
            }
            found.end = free(leads[who], start, at) ? at : Integer.MAX_VALUE;
            return found;
        }

        private boolean fits(Found found, int s, int who, Stint stint, int only, int from, int to) {
            if (!free(hands[who], from, to)) {
                return false;
            }
            found.helpers[s] = -1;
            for (int p = 0; stint.hands() > 1 && p < hands.length; p++) {
                if (p != who && (only < 0 || only == p) && found.helpers[s] < 0 && free(hands[p], from, to)) {
                    found.helpers[s] = p;
                }
            }
            return stint.hands() == 1 || found.helpers[s] >= 0;
        }

        void take(DayPlan.Placed chosen) {
            boolean begun = day.job(chosen.job()).begun().isPresent();
            int lead = worker(chosen.lead());
            // Begun, its bay was all taken; from its end on it is free.
            boolean[] bay = bays[bay(chosen.bay())];
            fill(
                    bay,
                    begun ? chosen.end() / Day.GRID : chosen.begin() / Day.GRID,
                    begun ? slots : chosen.end() / Day.GRID,
                    !begun);
            fill(leads[lead], chosen.begin() / Day.GRID, chosen.end() / Day.GRID, true);
            for (DayPlan.At at : chosen.stints()) {
                int from = at.span().from() / Day.GRID;
                int to = at.span().to() / Day.GRID;
                fill(hands[lead], from, to, true);
                at.helper().ifPresent(h -> fill(hands[worker(h)], from, to, true));
            }
            if (begun) {
                day.bay(chosen.bay())
                        .shut()
                        .forEach(shut -> fill(bay, shut.from() / Day.GRID, shut.to() / Day.GRID, true));
            }
        }
    }

    /** Where a job would go, in slots. */
    private static final class Found {
        private int bay = -1;
        private int lead;
        private int end = Integer.MAX_VALUE;
        private int cost = Integer.MAX_VALUE;
        private final int[] starts;
        private final int[] helpers;

        Found(int stints) {
            starts = new int[stints];
            helpers = new int[stints];
        }

        DayPlan.Placed placed(Day day, DayJob job) {
            List<DayPlan.At> at = new ArrayList<>();
            for (int s = 0; s < starts.length; s++) {
                int from = starts[s] * Day.GRID;
                Optional<String> helper = helpers[s] < 0 || job.stints().get(s).hands() == 1
                        ? Optional.empty()
                        : Optional.of(day.people().get(helpers[s]).key());
                at.add(new DayPlan.At(new Span(from, from + job.stints().get(s).minutes()), helper));
            }
            return new DayPlan.Placed(
                    job.key(),
                    day.bays().get(bay).name(),
                    day.people().get(lead).key(),
                    at);
        }
    }
}
