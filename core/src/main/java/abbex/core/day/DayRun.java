package abbex.core.day;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * A plan as it is worked when things take another time than planned: everybody keeps to the order of the plan and begins as soon as
 * bay, people and the vehicle itself are free, never before the plan had it.
 */
public final class DayRun {
    private static final int DRAWS = 400;

    /** A promise that is kept on a smaller part of such days hangs by a thread (ours). */
    public static final double SURE = 0.9;

    private final Day day;
    private final Map<String, Double> bays = new HashMap<>();
    private final Map<String, Double> hands = new HashMap<>();
    private final Map<String, Double> leads = new HashMap<>();
    private final Map<String, Double> vehicles = new HashMap<>();

    private DayRun(Day day) {
        this.day = day;
    }

    /** A stint as it was worked, minutes. */
    public record Worked(
            String job, int stint, String bay, String lead, Optional<String> helper, double from, double to) {}

    private record Next(DayPlan.Placed placed, int stint) {
        DayPlan.At at() {
            return placed.stints().get(stint);
        }
    }

    /**
     * The day as it was worked.
     *
     * @param minutes how long each stint of each job really took
     */
    public static List<Worked> run(Day day, DayPlan plan, Map<String, double[]> minutes) {
        DayRun run = new DayRun(day);
        List<Next> order = new ArrayList<>();
        for (DayPlan.Placed placed : plan.placed()) {
            for (int s = 0; s < placed.stints().size(); s++) {
                order.add(new Next(placed, s));
            }
        }
        order.sort(Comparator.comparingInt(n -> n.at().span().from()));
        List<Worked> worked = new ArrayList<>();
        for (Next next : order) {
            double[] took = minutes.getOrDefault(next.placed().job(), new double[0]);
            worked.add(run.work(next, took[next.stint()]));
        }
        return worked;
    }

    private Worked work(Next next, double minutes) {
        DayPlan.Placed placed = next.placed();
        Optional<String> helper = next.at().helper();
        double from = Math.max(next.at().span().from(), vehicles.getOrDefault(placed.job(), 0.0));
        from = Math.max(from, hands.getOrDefault(placed.lead(), 0.0));
        if (next.stint() == 0) {
            from = Math.max(from, bays.getOrDefault(placed.bay(), 0.0));
            from = Math.max(from, leads.getOrDefault(placed.lead(), 0.0));
        }
        if (helper.isPresent()) {
            from = Math.max(from, hands.getOrDefault(helper.get(), 0.0));
        }
        from = there(from, minutes, day.worker(placed.lead()).away());
        if (helper.isPresent()) {
            from = there(from, minutes, day.worker(helper.get()).away());
        }
        double to = from + minutes;
        vehicles.put(placed.job(), to);
        hands.put(placed.lead(), to);
        helper.ifPresent(h -> hands.put(h, to));
        bays.put(placed.bay(), to);
        leads.put(placed.lead(), to);
        return new Worked(placed.job(), next.stint(), placed.bay(), placed.lead(), helper, from, to);
    }

    /** Who is to leave before they could be done begins when they are back. */
    private static double there(double from, double minutes, List<Span> away) {
        double begin = from;
        for (Span span :
                away.stream().sorted(Comparator.comparingInt(Span::from)).toList()) {
            if (begin < span.to() && begin + minutes > span.from()) {
                begin = span.to();
            }
        }
        return begin;
    }

    /**
     * When a vehicle will be ready: 95 of 100 days lie between.
     *
     * @param kept on how many of such days its promise is kept, as a part; 1 where nothing was promised
     */
    public record Ready(double least, double most, double kept) {}

    /** What is to be expected of a plan when each job takes longer or shorter by its own spread, skewed as work is. */
    public static Map<String, Ready> expected(Day day, DayPlan plan) {
        Random random = new Random(1);
        Map<String, List<Double>> ends = new HashMap<>();
        for (int draw = 0; draw < DRAWS; draw++) {
            Map<String, Double> last = new HashMap<>();
            run(day, plan, drawn(day, plan, random)).forEach(w -> last.merge(w.job(), w.to(), Math::max));
            last.forEach((job, end) ->
                    ends.computeIfAbsent(job, none -> new ArrayList<>()).add(end));
        }
        Map<String, Ready> expected = new HashMap<>();
        ends.forEach((job, all) -> expected.put(job, ready(day.job(job), all)));
        return expected;
    }

    private static Ready ready(DayJob job, List<Double> ends) {
        List<Double> sorted = ends.stream().sorted().toList();
        double kept = job.promised().isEmpty()
                ? 1
                : sorted.stream()
                                .filter(end -> end <= job.promised().getAsInt())
                                .count()
                        / (double) sorted.size();
        int tail = sorted.size() / 40;
        return new Ready(sorted.get(tail), sorted.get(sorted.size() - 1 - tail), kept);
    }

    private static Map<String, double[]> drawn(Day day, DayPlan plan, Random random) {
        Map<String, double[]> minutes = new HashMap<>();
        for (DayPlan.Placed placed : plan.placed()) {
            DayJob job = day.job(placed.job());
            double width = Math.sqrt(Math.log1p(job.spread() * job.spread()));
            double factor = Math.exp(width * random.nextGaussian() - width * width / 2);
            minutes.put(
                    job.key(),
                    job.stints().stream().mapToDouble(s -> factor * s.minutes()).toArray());
        }
        return minutes;
    }
}
