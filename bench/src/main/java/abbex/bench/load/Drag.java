package abbex.bench.load;

import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/**
 * A hand that drags bump and steer of a corner with twelve probes, one answer after the other as the page asks for them, and then a
 * vehicle along its way: the median and the 95th percentile of a thousand answers each.
 */
final class Drag {
    private static final int ANSWERS = 1000;
    private static final int WARM = 200;
    private static final double WANTED = 100;

    private static final List<String> PLACES = List.of("FENDER_LIP", "LINER_FRONT", "LINER_REAR", "INNER_ARCH");
    private static final List<String> FACES = List.of("TREAD", "OUTER_SHOULDER", "INNER_SHOULDER");

    private Drag() {}

    /**
     * @param arguments address and password of the demo
     */
    public static void main(String[] arguments) throws Exception {
        Visit visit = Visit.signedIn(arguments[0], "orla", arguments[1]);
        String job = job(visit);
        Random random = new Random(41);
        measure(
                "cut",
                visit,
                () -> "/jobs/" + job + "/prove/cut?corner=LF&bump=" + (random.nextInt(130) - 60) + "&steer="
                        + (random.nextInt(70) - 38) + "&roll=" + (random.nextInt(7) - 3));
        measure(
                "ground",
                visit,
                () -> "/jobs/" + job + "/ground/at?ground=HUMP&along=" + (random.nextInt(8000) - 1000));
    }

    private interface Address {
        String next();
    }

    private static void measure(String name, Visit visit, Address address) throws Exception {
        double[] took = new double[ANSWERS];
        for (int i = -WARM; i < ANSWERS; i++) {
            long began = System.nanoTime();
            HttpResponse<String> answer = visit.get(address.next());
            if (answer.statusCode() != 200) {
                throw new IllegalStateException(name + " answered " + answer.statusCode());
            }
            if (i >= 0) {
                took[i] = (System.nanoTime() - began) / 1e6;
            }
        }
        Arrays.sort(took);
        double p95 = took[ANSWERS * 95 / 100];
        System.out.printf(
                "%s: median %.1f ms, p95 %.1f ms (wanted under %.0f)%n", name, took[ANSWERS / 2], p95, WANTED);
    }

    /** A stay with wheels, twelve probes at a corner and four low points. */
    private static String job(Visit visit) throws Exception {
        String job = java.util.UUID.randomUUID().toString();
        visit.get("/arrive");
        visit.post(
                "/arrive",
                "job",
                job,
                "plate",
                "DR 12",
                "name",
                "drag",
                "kind",
                "CAR",
                "shape",
                "HATCH",
                "WHEELBASE",
                "2640 mm");
        String at = "/jobs/" + job;
        visit.post(
                at + "/fitment/sets",
                "name",
                "now",
                "use",
                "NOW",
                "TYRE_FRONT",
                "225/45R17 91W",
                "WHEEL_FRONT",
                "7.5Jx17 ET45");
        for (int i = 0; i < 12; i++) {
            expect(visit.post(
                    at + "/prove/probes",
                    "corner",
                    "LF",
                    "place",
                    PLACES.get(i % 4),
                    "clock",
                    Integer.toString(i + 1),
                    "face",
                    FACES.get(i % 3),
                    "gap",
                    (40 + 5 * i) + " mm"));
        }
        String[] low = {"AHEAD 800", "BETWEEN 400", "BETWEEN 1500", "BEHIND 600"};
        for (String point : low) {
            String[] both = point.split(" ");
            expect(visit.post(
                    at + "/ground/points",
                    "kind",
                    "UNDERSIDE",
                    "name",
                    point,
                    "from",
                    both[0],
                    "away",
                    both[1] + " mm",
                    "height",
                    "130 mm"));
        }
        return job;
    }

    private static void expect(HttpResponse<String> answer) {
        if (answer.statusCode() != 302) {
            throw new IllegalStateException("answered " + answer.statusCode() + ": " + answer.body());
        }
    }
}
