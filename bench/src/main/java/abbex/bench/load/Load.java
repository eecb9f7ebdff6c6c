package abbex.bench.load;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ThreadLocalRandom;

/**
 * Sixteen people at once read the measure page of a stay with 200 readings, its plan, a step of its card, and the account page beside each, by turns in the
 * same run. Twice:
 * at a person's pace, each once a second at random, and without any pause, each asking again as soon as the answer is read.
 * Prints the median and the 95th percentile of each round and the median of five rounds.
 */
final class Load {
    private static final int PEOPLE = 16;
    private static final int ROUNDS = 5;
    private static final int EACH = 60;
    private static final int EACH_PACED = 10;
    private static final long PAUSE_MILLIS = 1000;

    private static final int SHEETS = 10;
    private static final String[] CORNERS = {"LF", "RF", "RR", "LR"};
    private static final String[] METHODS = {"GF", "HF", "RIM", "FG", "TG"};
    /** In millimetres; invented. */
    private static final int[] HEIGHTS = {660, 345, 580, 190, 40};

    /** Invented. */
    private static final String[] FIGURES = {
        "BOX=30 mm", "OLD_RATE=22 N/mm", "OLD_FREE=360 mm", "NEW_RATE=34 N/mm", "NEW_FREE=275 mm", "NEW_GAS=200 N",
        "OLD_LONG=530 mm", "OLD_SHORT=340 mm", "ROD=120 mm", "OLD_STOP=60 mm", "OLD_RINGS=4", "PERCH=0 mm"
    };

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
        String plan = planPage(people.get(0), measure);
        String step = plan.replace("/plan", "/fit/") + "chock@vehicle";
        people.get(0).post(plan.replace("/plan", "/fit"), "lift", "yes");
        System.out.println("measure page: " + measure + ", plan: " + plan);
        ExecutorService pool = Executors.newFixedThreadPool(PEOPLE);
        try {
            for (int i = 0; i < 4; i++) {
                round(pool, people, measure, 0);
                round(pool, people, plan, 0);
                round(pool, people, step, 0);
                round(pool, people, "/account", 0);
            }
            for (long pause : new long[] {PAUSE_MILLIS, 0}) {
                compare(pool, people, "measure", measure, pause);
                compare(pool, people, "plan", plan, pause);
                compare(pool, people, "step", step, pause);
            }
        } finally {
            pool.shutdown();
        }
    }

    private static void compare(ExecutorService pool, List<Visit> people, String name, String page, long pause)
            throws Exception {
        System.out.println(pause == 0 ? "without a pause:" : "each once a second:");
        double[][] p95 = new double[2][ROUNDS];
        for (int i = 0; i < ROUNDS; i++) {
            double[] m = round(pool, people, page, pause);
            double[] a = round(pool, people, "/account", pause);
            p95[0][i] = m[1];
            p95[1][i] = a[1];
            System.out.printf(
                    "round %d: %s median %.1f ms, p95 %.1f ms; account median %.1f ms, p95 %.1f ms%n",
                    i + 1, name, m[0], m[1], a[0], a[1]);
        }
        Arrays.sort(p95[0]);
        Arrays.sort(p95[1]);
        double m = p95[0][ROUNDS / 2];
        double a = p95[1][ROUNDS / 2];
        System.out.printf(
                "p95, median of %d rounds: %s %.1f ms, account %.1f ms, ratio %.2f%n", ROUNDS, name, m, a, m / a);
    }

    /** A stay of ten sheets, each read at four corners by five methods: its newest sheet. */
    private static String measurePage(Visit visit) throws Exception {
        String job = UUID.randomUUID().toString();
        visit.get("/arrive");
        visit.post("/arrive", "job", job, "plate", "LD 200", "name", "load", "kind", "CAR", "shape", "HATCH");
        Random random = new Random(200);
        String sheet = Visit.location(visit.get("/jobs/" + job + "/measure"));
        for (int i = 0; i < SHEETS; i++) {
            if (i > 0) {
                sheet = Visit.location(visit.post("/jobs/" + job + "/set-down", "stage", "OTHER"));
            }
            for (int m = 0; m < METHODS.length; m++) {
                for (String corner : CORNERS) {
                    double tape = HEIGHTS[m] - 3 * i + random.nextGaussian() * 0.8;
                    HttpResponse<String> answer = visit.post(
                            sheet + "/readings",
                            "corner",
                            corner,
                            "method",
                            METHODS[m],
                            "raw",
                            Math.round(tape) + " mm",
                            "client",
                            UUID.randomUUID().toString());
                    if (answer.statusCode() != 302) {
                        throw new IllegalStateException("a reading was answered with " + answer.statusCode());
                    }
                }
            }
        }
        return sheet;
    }

    /** The same stay's plan with springs, dampers and a stop told at both ends. */
    private static String planPage(Visit visit, String measure) throws Exception {
        String plan = measure.substring(0, measure.indexOf("/sheets")) + "/plan";
        List<String> fields = new ArrayList<>();
        for (String end : new String[] {"FRONT", "REAR"}) {
            for (String field : FIGURES) {
                String[] told = field.split("=");
                fields.add(end + "_" + told[0]);
                fields.add(told[1]);
            }
        }
        visit.post(plan, fields.toArray(String[]::new));
        return plan;
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
        return Times.medianAndP95(all);
    }
}
