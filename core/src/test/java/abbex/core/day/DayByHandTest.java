package abbex.core.day;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Small days by trying every plan there is: the reference that shares nothing with the solver but the rules and the cost. */
class DayByHandTest {
    private static final int SLOTS = 6;

    private long best;
    private Day day = new Day(0, 0, List.of(), List.of(), List.of());

    @Test
    void no_plan_costs_less_than_the_one_that_is_found() {
        Random random = new Random(3);
        int full = 0;
        for (int i = 0; i < 20; i++) {
            day = small(random);
            best = Long.MAX_VALUE;
            tryAll(0, new ArrayList<>());
            DayPlan plan = DaySolver.plan(day, 5, Optional.empty());
            assertEquals(List.of(), DayRules.clashes(day, plan.placed()), day.toString());
            assertEquals(best, plan.cost(), day.toString());
            assertTrue(plan.best(), day.toString());
            assertTrue(DayBound.of(day) <= best, "without a search no more is claimed than is true: " + day);
            DayPlan start = DayStart.of(day);
            assertEquals(List.of(), DayRules.clashes(day, start.placed()), "what the search begins with goes: " + day);
            assertTrue(start.cost() >= best, day.toString());
            full += plan.left().isEmpty() ? 0 : 1;
        }
        assertTrue(full > 2, "some of the days are too full: " + full);
        assertTrue(full < 18, "and some are not: " + full);
    }

    private static Day small(Random random) {
        List<Day.Bay> bays = List.of(new Day.Bay("L", true, List.of()), new Day.Bay("F", false, List.of()));
        List<Day.Worker> people = List.of(
                new Day.Worker("a", random.nextInt(3) == 0 ? List.of(new Span(10, 20)) : List.of()),
                new Day.Worker("b", List.of()));
        List<DayJob> jobs = new ArrayList<>();
        int all = 3;
        for (int j = 0; j < all; j++) {
            List<Stint> stints = new ArrayList<>();
            for (int s = 1 + random.nextInt(2); s > 0; s--) {
                stints.add(new Stint(5 + 5 * random.nextInt(2), random.nextInt(3) == 0 ? 2 : 1));
            }
            DayJob job = DayJob.of("J" + j, stints, random.nextBoolean()).after(5 * random.nextInt(3));
            job = random.nextInt(3) == 0 ? job.promised(10 + 5 * random.nextInt(5)) : job;
            jobs.add(random.nextInt(3) == 0 ? job.standing("F") : job);
        }
        return new Day(5 * SLOTS, 0, bays, people, jobs);
    }

    private void tryAll(int j, List<DayPlan.Placed> placed) {
        if (j == day.jobs().size()) {
            List<String> left = day.jobs().stream()
                    .map(DayJob::key)
                    .filter(key -> placed.stream().noneMatch(p -> p.job().equals(key)))
                    .toList();
            best = Math.min(best, DayCost.of(day, placed, left));
            return;
        }
        tryAll(j + 1, placed);
        DayJob job = day.jobs().get(j);
        for (Day.Bay bay : day.bays(job)) {
            for (Day.Worker lead : day.people()) {
                String other = lead.key().equals("a") ? "b" : "a";
                times(job, 0, job.from(), new ArrayList<>(), other, at -> {
                    placed.add(new DayPlan.Placed(job.key(), bay.name(), lead.key(), at));
                    // With two people the second is always the other one.
                    if (DayRules.clashes(day, placed).isEmpty()) {
                        tryAll(j + 1, placed);
                    }
                    placed.remove(placed.size() - 1);
                });
            }
        }
    }

    private void times(
            DayJob job,
            int s,
            int from,
            List<DayPlan.At> at,
            String other,
            java.util.function.Consumer<List<DayPlan.At>> then) {
        if (s == job.stints().size()) {
            then.accept(at);
            return;
        }
        Stint stint = job.stints().get(s);
        for (int begin = from; begin + stint.minutes() <= day.length(); begin += Day.GRID) {
            int end = begin + stint.minutes();
            at.add(new DayPlan.At(new Span(begin, end), stint.hands() > 1 ? Optional.of(other) : Optional.empty()));
            times(job, s + 1, end, at, other, then);
            at.remove(at.size() - 1);
        }
    }
}
