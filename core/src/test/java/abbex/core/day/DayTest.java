package abbex.core.day;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** A day that fits together, and one that does not. */
class DayTest {
    private static final Day.Bay LIFT = new Day.Bay("Lift 1", true, List.of());
    private static final Day.Bay FLOOR = new Day.Bay("Bay 2", false, List.of());
    private static final Day.Worker KIM = new Day.Worker("kim", List.of());
    private static final Day.Worker ODA = new Day.Worker("oda", List.of());
    private static final List<Stint> ALONE = List.of(new Stint(60, 1), new Stint(60, 1));
    private static final List<Stint> TWICE = List.of(new Stint(30, 1), new Stint(15, 2), new Stint(30, 1));

    private static DayPlan plan(Day day) {
        DayPlan plan = DaySolver.plan(day, 5, Optional.empty());
        assertEquals(List.of(), DayRules.clashes(day, plan.placed()));
        return plan;
    }

    /** Two people with a vehicle each: one leaves theirs between two stints to be the second at the other's. */
    @Test
    void a_second_comes_between_two_stints() {
        Day day = new Day(
                540,
                0,
                List.of(LIFT, FLOOR),
                List.of(KIM, ODA),
                List.of(
                        DayJob.of("A", TWICE, true),
                        DayJob.of("B", List.of(new Stint(45, 1), new Stint(60, 1)), false)));
        DayPlan plan = plan(day);
        DayPlan.Placed a = plan.of("A").orElseThrow();
        DayPlan.Placed b = plan.of("B").orElseThrow();
        assertEquals(Optional.of(b.lead()), a.stints().get(1).helper());
        assertEquals(new Span(45, 60), a.stints().get(1).span(), "when B's first stint is over");
        assertEquals(90 + 120, plan.cost(), "A is ready after 90 minutes, B after 120");
        assertTrue(plan.best());
    }

    @Test
    void alone_there_is_no_second() {
        Day day = new Day(540, 0, List.of(LIFT), List.of(KIM), List.of(DayJob.of("A", TWICE, true)));
        assertEquals(LeftOver.Why.NO_SECOND, plan(day).left().get(0).why());
        Day never = new Day(
                540,
                0,
                List.of(LIFT),
                List.of(
                        new Day.Worker("kim", List.of(new Span(0, 270))),
                        new Day.Worker("oda", List.of(new Span(270, 540)))),
                List.of(DayJob.of("A", TWICE, true)));
        assertEquals(LeftOver.Why.NO_SECOND, plan(never).left().get(0).why());
    }

    @Test
    void what_was_promised_goes_first_and_what_waits_for_parts_last() {
        Day day = new Day(
                300,
                0,
                List.of(LIFT),
                List.of(KIM),
                List.of(
                        DayJob.of("short", List.of(new Stint(30, 1)), true),
                        DayJob.of("promised", ALONE, true).promised(120),
                        DayJob.of("parts", ALONE, true).after(180)));
        DayPlan plan = plan(day);
        assertEquals(120, plan.of("promised").orElseThrow().end());
        assertEquals(150, plan.of("short").orElseThrow().end());
        assertEquals(300, plan.of("parts").orElseThrow().end());
    }

    /** More work than hours: what is left over, and what of. */
    @Test
    void more_work_than_hours() {
        List<DayJob> jobs = IntStream.range(0, 5)
                .mapToObj(i -> DayJob.of("J" + i, ALONE, true))
                .toList();
        DayPlan lifts = plan(new Day(240, 0, List.of(LIFT), List.of(KIM, ODA), jobs));
        assertEquals(3, lifts.left().size());
        assertEquals(new LeftOver("J4", LeftOver.Why.LIFT_HOURS, 600, 240), last(lifts, "J4"));
        DayPlan hands =
                plan(new Day(240, 0, List.of(LIFT, new Day.Bay("Lift 3", true, List.of())), List.of(KIM), jobs));
        assertEquals(
                new LeftOver(hands.left().get(0).job(), LeftOver.Why.HOURS, 600, 240),
                hands.left().get(0));
    }

    /** Parts that come late: the morning's hours are nobody's, and where hours are enough nobody says that they are not. */
    @Test
    void what_is_short_is_really_short() {
        List<DayJob> late = IntStream.range(0, 4)
                .mapToObj(i -> DayJob.of("J" + i, ALONE, true).after(300))
                .toList();
        // 480 minutes of work from the 300th on, one person of 240: the 540 of the whole day would have been enough.
        DayPlan plan = plan(new Day(540, 0, List.of(LIFT, new Day.Bay("Lift 3", true, List.of())), List.of(KIM), late));
        assertFalse(plan.left().isEmpty());
        for (LeftOver left : plan.left()) {
            assertTrue(left.need() > left.have(), left.toString());
            assertEquals(new LeftOver(left.job(), LeftOver.Why.HOURS, 480, 240), left);
        }
        // Two of 150 in 340 with a person who is away in the middle: enough by the hour, and only one fits.
        Day.Worker away = new Day.Worker("kim", List.of(new Span(170, 200)));
        DayJob first = DayJob.of("A", List.of(new Stint(160, 1)), true);
        DayJob other = DayJob.of("B", List.of(new Stint(160, 1)), true);
        DayPlan odd = plan(new Day(350, 0, List.of(LIFT), List.of(away), List.of(first, other)));
        odd.left()
                .forEach(left ->
                        assertTrue(left.why() == LeftOver.Why.NO_ORDER || left.need() > left.have(), left.toString()));
    }

    private static LeftOver last(DayPlan plan, String job) {
        return new LeftOver(
                job,
                plan.left().get(0).why(),
                plan.left().get(0).need(),
                plan.left().get(0).have());
    }

    @Test
    void each_reason_is_told_by_its_own_name() {
        DayJob job = DayJob.of("A", ALONE, true);
        assertEquals(LeftOver.Why.COMES_LATER, why(day(LIFT, KIM, job.after(540))));
        Day over = new Day(540, 540, List.of(LIFT), List.of(KIM), List.of(job));
        assertEquals(LeftOver.Why.CLOSED, why(over), "the day is over, nothing comes later");
        assertEquals(LeftOver.Why.NO_LIFT, why(day(FLOOR, KIM, job)));
        assertEquals(LeftOver.Why.NO_LIFT, why(day(new Day.Bay("L", true, List.of(new Span(0, 540))), KIM, job)));
        assertEquals(LeftOver.Why.NO_PERSON, why(day(LIFT, new Day.Worker("kim", List.of(new Span(0, 540))), job)));
        assertEquals(LeftOver.Why.TOO_LONG, why(day(LIFT, KIM, job.after(480))));
        assertEquals(LeftOver.Why.PUT, why(day(LIFT, KIM, job.put(Set.of(), Set.of(), OptionalInt.of(480)))));
        assertEquals(List.of(), plan(day(LIFT, KIM, job)).left());
    }

    private static Day day(Day.Bay bay, Day.Worker worker, DayJob job) {
        return new Day(540, 0, List.of(bay), List.of(worker), List.of(job));
    }

    private static LeftOver.Why why(Day day) {
        return plan(day).left().get(0).why();
    }

    /** Put by hand it stays where it was put, and the rest goes round it; what that costs is the difference. */
    @Test
    void put_by_hand_it_stays_and_costs() {
        List<DayJob> jobs = List.of(DayJob.of("A", ALONE, true), DayJob.of("B", List.of(new Stint(30, 1)), true));
        DayPlan free = plan(new Day(540, 0, List.of(LIFT), List.of(KIM), jobs));
        assertEquals(30 + 150, free.cost());
        DayJob first = jobs.get(0).put(Set.of("Lift 1"), Set.of("kim"), OptionalInt.of(0));
        DayPlan put = plan(new Day(540, 0, List.of(LIFT), List.of(KIM), List.of(first, jobs.get(1))));
        assertEquals(0, put.of("A").orElseThrow().begin());
        assertEquals(120 + 150, put.cost());
    }

    /** Somebody whose vehicle stands begun in a bay that was to be shut, past the day's end, goes on. */
    @Test
    void what_was_begun_goes_on_whatever_was_to_come() {
        Day.Bay bay = new Day.Bay("Lift 1", true, List.of(new Span(240, 540)));
        DayJob begun = DayJob.of("A", ALONE, true).begun("Lift 1", Set.of("kim"), Optional.empty());
        Day late = new Day(540, 480, List.of(bay), List.of(KIM, ODA), List.of(begun));
        DayPlan plan = plan(late);
        assertEquals(new Span(480, 600), plan.of("A").orElseThrow().span());
        assertEquals("kim", plan.of("A").orElseThrow().lead());
        // Who has it went home: it stands where it is, and its bay is not given away.
        Day.Worker gone = new Day.Worker("kim", List.of(new Span(0, 1000)));
        Day alone = new Day(540, 60, List.of(bay), List.of(gone, ODA), List.of(begun, DayJob.of("B", ALONE, true)));
        assertEquals(
                List.of("A", "B"),
                plan(alone).left().stream().map(LeftOver::job).toList());
    }

    /** A day without people, bays or jobs is a day. */
    @Test
    void nothing_at_all() {
        assertEquals(0, plan(new Day(540, 0, List.of(), List.of(), List.of())).cost());
        Day shut = new Day(0, 0, List.of(LIFT), List.of(KIM), List.of(DayJob.of("A", ALONE, true)));
        assertEquals(LeftOver.Why.COMES_LATER, plan(shut).left().get(0).why());
    }

    /** The rules find what the solver never makes. */
    @Test
    void the_rules_can_fail() {
        Day day = new Day(
                540,
                0,
                List.of(LIFT, new Day.Bay("Bay 2", false, List.of(new Span(0, 60)))),
                List.of(KIM, new Day.Worker("oda", List.of(new Span(0, 60)))),
                List.of(DayJob.of("A", TWICE, true), DayJob.of("B", ALONE, true).after(60)));
        List<DayPlan.Placed> bad = List.of(
                placed("A", "Bay 2", "kim", new int[] {0, 30, 40}, TWICE, "oda"),
                placed("B", "Bay 2", "kim", new int[] {30, 500}, ALONE, ""));
        Map<DayRules.What, Integer> found = new TreeMap<>();
        DayRules.clashes(day, bad).forEach(c -> found.merge(c.what(), 1, Integer::sum));
        assertEquals(
                Set.of(
                        DayRules.What.BAY_TWICE,
                        DayRules.What.BAY_SHUT,
                        DayRules.What.NO_LIFT,
                        DayRules.What.PERSON_TWICE,
                        DayRules.What.PERSON_AWAY,
                        DayRules.What.OUT_OF_ORDER,
                        DayRules.What.TOO_EARLY,
                        DayRules.What.TOO_LATE),
                found.keySet());
        DayPlan.Placed alone = placed("A", "Lift 1", "kim", new int[] {0, 60, 80}, TWICE, "");
        assertTrue(
                DayRules.clashes(day, List.of(alone)).stream().anyMatch(c -> c.what() == DayRules.What.SECOND_MISSING));
    }

    private static DayPlan.Placed placed(
            String job, String bay, String lead, int[] from, List<Stint> stints, String helper) {
        return new DayPlan.Placed(
                job,
                bay,
                lead,
                IntStream.range(0, from.length)
                        .mapToObj(s -> new DayPlan.At(
                                new Span(from[s], from[s] + stints.get(s).minutes()),
                                Optional.of(helper)
                                        .filter(h ->
                                                !h.isEmpty() && stints.get(s).hands() > 1)))
                        .toList());
    }

    /** What the solver says that a plan costs is what it costs, and its bound is never above it. */
    @Test
    void the_cost_is_the_cost() {
        Random random = new Random(11);
        for (int i = 0; i < 12; i++) {
            Day day = DrawnDay.of(random);
            DayPlan plan = plan(day);
            DayPlan start = DayStart.of(day);
            assertEquals(List.of(), DayRules.clashes(day, start.placed()), day.toString());
            assertTrue(start.cost() >= plan.cost(), day.toString());
            assertTrue(plan.bound().getAsDouble() <= plan.cost() + 0.5, day + " " + plan);
            if (plan.best()) {
                assertEquals(plan.cost(), plan.bound().getAsDouble(), 0.5, day.toString());
            }
        }
    }

    /**
     * As many lifts as people, one person a vehicle, nothing promised: the sum of the times at which all are ready is least with the
     * shortest first (Conway, Maxwell and Miller, Theory of Scheduling, 1967; from memory).
     */
    @Test
    void alike_hands_take_the_shortest_first() {
        Random random = new Random(67);
        for (int i = 0; i < 8; i++) {
            int hands = 1 + random.nextInt(3);
            int[] minutes = random.ints(2 + random.nextInt(5), 4, 30)
                    .map(slots -> slots * Day.GRID)
                    .toArray();
            Day day = new Day(
                    1200,
                    0,
                    IntStream.range(0, hands)
                            .mapToObj(b -> new Day.Bay("Lift " + b, true, List.of()))
                            .toList(),
                    IntStream.range(0, hands)
                            .mapToObj(p -> new Day.Worker("p" + p, List.of()))
                            .toList(),
                    IntStream.range(0, minutes.length)
                            .mapToObj(j -> DayJob.of("V" + j, List.of(new Stint(minutes[j], 1)), true))
                            .toList());
            assertEquals(shortestFirst(minutes, hands), plan(day).cost(), day::toString);
        }
    }

    private static long shortestFirst(int[] minutes, int hands) {
        long[] free = new long[hands];
        long sum = 0;
        for (int each : IntStream.of(minutes).sorted().toArray()) {
            int next = IntStream.range(0, hands)
                    .reduce((a, b) -> free[b] < free[a] ? b : a)
                    .orElseThrow();
            free[next] += each;
            sum += free[next];
        }
        return sum;
    }

    @Test
    void a_share_of_a_firstjob_is_whole_stints_from_the_first_on() {
        DayJob job = DayJob.of("A", TWICE, true);
        assertEquals(TWICE.subList(0, 2), job.within(60).stints());
        assertEquals(TWICE, job.within(75).stints());
        assertEquals(TWICE.subList(0, 1), job.within(10).stints(), "a stint is not cut");
        DayJob week = DayJob.of("B", Collections.nCopies(30, new Stint(30, 1)), true);
        assertEquals(540, week.share(540, 0, false).minutes());
        assertEquals(120, week.share(540, 420, false).minutes());
        assertEquals(900, week.share(540, 425, false).minutes(), "too late to begin it");
        assertEquals(30, week.share(540, 510, true).minutes(), "under way it goes on to the end of the day");
        assertEquals(900, week.promised(500).share(540, 0, false).minutes(), "a promise is not cut short");
        assertEquals(job, job.share(540, 500, false), "what a day holds is not shared");
    }

    @Test
    void a_promise_that_hangs_by_a_thread_is_told() {
        DayJob job = DayJob.of("A", ALONE, true).spread(0.25);
        Day sure = new Day(540, 0, List.of(LIFT), List.of(KIM), List.of(job.promised(240)));
        Day tight = new Day(540, 0, List.of(LIFT), List.of(KIM), List.of(job.promised(125)));
        assertTrue(kept(sure) > 0.98, "twice the minutes");
        assertEquals(0.6, kept(tight), 0.1, "a little more than the expected minutes");
        assertFalse(kept(tight) > 0.9);
    }

    private static double kept(Day day) {
        return DayRun.expected(day, plan(day)).get("A").kept();
    }
}
