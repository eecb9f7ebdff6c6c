package abbex.bench.load;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ThreadLocalRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.DoubleStream;

/**
 * Sixteen people at once read the measure page of the demo, and the account page beside it, by turns in the same run. Twice:
 * at a person's pace, each once a second at random, and without any pause, each asking again as soon as the answer is read.
 * Prints the median and the 95th percentile of each round and the median of five rounds.
 */
final class Load {
    private static final int PEOPLE = 16;
    private static final int ROUNDS = 5;
    private static final int EACH = 60;
    private static final int EACH_PACED = 10;
    private static final long PAUSE_MILLIS = 1000;

    private Load() {}

    /**
     * @param arguments address and password of the demo
     */
    public static void main(String[] arguments) throws Exception {
        String address = arguments[0];
        List<Visit> people = new ArrayList<>();
        for (int i = 0; i < PEOPLE; i++) {
            people.add(Visit.signedIn(address, "orla", arguments[1]));
        }
        String measure = measurePage(people.get(0));
        System.out.println("measure page: " + measure);
        ExecutorService pool = Executors.newFixedThreadPool(PEOPLE);
        try {
            for (int i = 0; i < 4; i++) {
                round(pool, people, measure, 0);
                round(pool, people, "/account", 0);
            }
            compare(pool, people, measure, PAUSE_MILLIS);
            compare(pool, people, measure, 0);
        } finally {
            pool.shutdown();
        }
    }

    private static void compare(ExecutorService pool, List<Visit> people, String measure, long pause) throws Exception {
        System.out.println(pause == 0 ? "without a pause:" : "each once a second:");
        double[][] p95 = new double[2][ROUNDS];
        for (int i = 0; i < ROUNDS; i++) {
            double[] m = round(pool, people, measure, pause);
            double[] a = round(pool, people, "/account", pause);
            p95[0][i] = m[1];
            p95[1][i] = a[1];
            System.out.printf(
                    "round %d: measure median %.1f ms, p95 %.1f ms; account median %.1f ms, p95 %.1f ms%n",
                    i + 1, m[0], m[1], a[0], a[1]);
        }
        Arrays.sort(p95[0]);
        Arrays.sort(p95[1]);
        double m = p95[0][ROUNDS / 2];
        double a = p95[1][ROUNDS / 2];
        System.out.printf(
                "p95, median of %d rounds: measure %.1f ms, account %.1f ms, ratio %.2f%n", ROUNDS, m, a, m / a);
    }

    private static String measurePage(Visit visit) throws Exception {
        Matcher jobs =
                Pattern.compile("/jobs/([0-9a-f-]{36})").matcher(visit.get("/").body());
        String best = "";
        int most = -1;
        while (jobs.find()) {
            String page = Visit.location(visit.get("/jobs/" + UUID.fromString(jobs.group(1)) + "/measure"));
            int arches = visit.get(page).body().split("class=\"finding", -1).length;
            if (arches > most) {
                most = arches;
                best = page;
            }
        }
        return best;
    }

    private static double[] round(ExecutorService pool, List<Visit> people, String path, long pause) throws Exception {
        List<Future<double[]>> all = new ArrayList<>();
        for (Visit visit : people) {
            all.add(pool.submit(() -> {
                double[] took = new double[pause == 0 ? EACH : EACH_PACED];
                for (int i = 0; i < took.length; i++) {
                    if (pause > 0) {
                        Thread.sleep(ThreadLocalRandom.current().nextLong(2 * pause));
                    }
                    long began = System.nanoTime();
                    HttpResponse<String> answer = visit.get(path);
                    took[i] = (System.nanoTime() - began) / 1e6;
                    if (answer.statusCode() != 200) {
                        throw new IllegalStateException(path + " answered " + answer.statusCode());
                    }
                }
                return took;
            }));
        }
        double[] times = new double[0];
        for (Future<double[]> one : all) {
            times = DoubleStream.concat(Arrays.stream(times), Arrays.stream(one.get()))
                    .toArray();
        }
        Arrays.sort(times);
        return new double[] {times[times.length / 2], times[(int) (times.length * 0.95)]};
    }
}
