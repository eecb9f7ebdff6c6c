package abbex.core.day;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;

/** Days of shops that do not exist, from a quiet one to one with twice the work that fits. */
final class DrawnDay {
    private DrawnDay() {}

    static Day of(Random random) {
        int length = 5 * (84 + random.nextInt(37));
        List<Day.Bay> bays = new ArrayList<>();
        int all = 2 + random.nextInt(4);
        int lifts = 1 + random.nextInt(all);
        for (int b = 0; b < all; b++) {
            bays.add(new Day.Bay("Bay " + b, b < lifts, spans(random, 0.1, length)));
        }
        List<Day.Worker> people = new ArrayList<>();
        int hands = 1 + random.nextInt(5);
        for (int p = 0; p < hands; p++) {
            people.add(new Day.Worker("p" + p, spans(random, 0.25, length)));
        }
        List<DayJob> jobs = new ArrayList<>();
        int vehicles = 2 + random.nextInt(3 + hands);
        for (int j = 0; j < vehicles; j++) {
            jobs.add(job(random, "V" + j, bays, length));
        }
        return new Day(length, 0, bays, people, jobs);
    }

    /** A large shop with about as much work as fits. */
    static Day full(Random random) {
        List<Day.Bay> bays = new ArrayList<>();
        for (int b = 0; b < 5; b++) {
            bays.add(new Day.Bay("Bay " + b, b < 4, List.of()));
        }
        List<Day.Worker> people = new ArrayList<>();
        for (int p = 0; p < 5; p++) {
            people.add(new Day.Worker("p" + p, spans(random, 0.25, 510)));
        }
        List<DayJob> jobs = new ArrayList<>();
        for (int j = 0; j < 12; j++) {
            jobs.add(job(random, "V" + j, bays, 510));
        }
        return new Day(510, 0, bays, people, jobs);
    }

    private static List<Span> spans(Random random, double chance, int length) {
        if (random.nextDouble() > chance) {
            return List.of();
        }
        int from = random.nextInt(3) == 0 ? 0 : 5 * random.nextInt(length / 5);
        return List.of(new Span(from, Math.min(length, from + 60 + 5 * random.nextInt(100))));
    }

    private static DayJob job(Random random, String key, List<Day.Bay> bays, int length) {
        boolean back = random.nextInt(4) == 0;
        DayJob job = DayJob.of(key, back ? List.of(new Stint(40, 1)) : stints(random), !back || random.nextBoolean());
        if (random.nextInt(4) == 0) {
            job = job.after(5 * random.nextInt(length / 6));
        }
        if (random.nextInt(5) < 2) {
            job = job.promised(job.from() + job.minutes() + 5 * random.nextInt(length / 5));
        }
        if (random.nextInt(3) == 0) {
            job = job.standing(bays.get(random.nextInt(bays.size())).name());
        }
        return random.nextInt(12) == 0 ? job.put(java.util.Set.of(), java.util.Set.of(), OptionalInt.of(60)) : job;
    }

    private static List<Stint> stints(Random random) {
        List<Stint> stints = new ArrayList<>();
        int left = 60 + 5 * random.nextInt(40);
        while (left > 0) {
            boolean two = random.nextInt(4) == 0;
            int minutes = Math.min(left, two ? 10 + 5 * random.nextInt(3) : 20 + 5 * random.nextInt(8));
            stints.add(new Stint(minutes, two ? 2 : 1));
            left -= minutes;
        }
        return stints;
    }
}
