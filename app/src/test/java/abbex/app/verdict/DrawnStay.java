package abbex.app.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.arrive.Job;
import abbex.app.measure.Sheets;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.support.Jobs;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.app.workcard.WorkedCard;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.setting.Car;
import abbex.core.stance.Stance;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * A stay drawn at random: the body as it really stands, by springs, tires and bars drawn from wider than what the application
 * believes, and somebody who works on it, not always in order.
 */
final class DrawnStay {
    private static final Method[] WAYS = {Method.HF, Method.RIM, Method.GF};

    private final Visitor by;
    private final Person person;
    private final Random random;
    private final boolean careful;
    final String id = UUID.randomUUID().toString();
    private final double[] lip = new double[4];
    private final double radius;
    private final double rim;
    private final double[] down = new double[4];
    private final double[] pressed = new double[4];
    private final Car truth;
    int turned;

    /** @param careful nothing is misread in it */
    DrawnStay(Visitor by, String name, Random random, boolean careful) {
        this.by = by;
        this.random = random;
        this.careful = careful;
        this.person =
                Shop.bean(People.class).byId(UUID.fromString(Jobs.person(name))).orElseThrow();
        radius = 300 + 8 * random.nextGaussian();
        rim = 225;
        for (int c = 0; c < 4; c++) {
            lip[c] = 368 + (c > 1 ? 6 : 0) + 2 * random.nextGaussian();
        }
        truth = car();
        by.post(
                "/arrive",
                "job",
                id,
                "plate",
                "DS " + id.substring(0, 8),
                "name",
                "drawn",
                "kind",
                random.nextInt(4) == 0 ? "TRUCK" : "CAR",
                "kit",
                "lowering springs",
                "promiseFRONT",
                "28 mm",
                "promiseREAR",
                "28 mm",
                "WHEELBASE",
                "2600 mm",
                "TRACK_FRONT",
                "1500 mm",
                "TRACK_REAR",
                "1500 mm",
                "worn",
                random.nextInt(3) == 0 ? "boot split" : "");
    }

    private Car car() {
        double[] springs = new double[4];
        Arrays.setAll(springs, c -> 27 * Math.exp(0.25 * random.nextGaussian()));
        return new Car(
                new double[] {1300, 1300, -1300, -1300},
                new double[] {750, -750, -750, 750},
                springs,
                Stance.USUAL_TYRE_RATE * (0.7 + 0.6 * random.nextDouble()),
                12 * (0.4 + 1.2 * random.nextDouble()),
                10 * (0.4 + 1.2 * random.nextDouble()),
                Double.POSITIVE_INFINITY,
                Car.Widths.USUAL);
    }

    Job job() {
        return Shop.bean(abbex.app.arrive.Jobs.class)
                .find(person.shop(), UUID.fromString(id))
                .orElseThrow();
    }

    private String path() {
        return "/jobs/" + id;
    }

    /** Springs go in: what they really do is as advertised, within what is usual. */
    void lower() {
        double front = 28 + 1.5 * random.nextGaussian();
        double rear = 28 + 1.5 * random.nextGaussian();
        for (int c = 0; c < 4; c++) {
            down[c] = (c < 2 ? front : rear) + 0.5 * random.nextGaussian();
        }
        by.post(path() + "/set-down");
    }

    /** All corners by some ways, read as a tape is read. */
    void measure(int ways) {
        for (int w = 0; w < ways; w++) {
            for (Corner corner : Corner.WALK) {
                read(corner, WAYS[w], height(corner, WAYS[w]) + 0.5 * random.nextGaussian());
            }
        }
    }

    /** A whole inch beside the right one, at a corner. */
    void misread(Corner corner, Method way) {
        read(corner, way, height(corner, way) + 25.4);
    }

    void read(Corner corner, Method way, double mm) {
        Sheets sheets = Shop.bean(Sheets.class);
        Sheets.Outcome outcome = sheets.take(
                person,
                sheets.of(person.shop(), UUID.fromString(id))
                        .newest()
                        .orElseThrow()
                        .row(),
                MeasuringPoint.of(corner, way),
                Math.round(mm) + " mm",
                UUID.randomUUID(),
                Instant.now());
        assertTrue(outcome instanceof Sheets.Outcome.Stored, outcome.toString());
    }

    private double height(Corner corner, Method way) {
        int c = corner.ordinal();
        double hub = lip[c] - down[c];
        return switch (way) {
            case RIM -> hub + rim;
            case GF -> hub + radius - pressed[c];
            default -> hub;
        };
    }

    /** What Set proposes is turned, and the true car answers in its own way. */
    void turn() {
        if (turned == 0) {
            assertEquals(
                    302,
                    by.post(
                                    path() + "/set",
                                    "kindFRONT",
                                    "THREAD",
                                    "kindREAR",
                                    "THREAD",
                                    "pitchFRONT",
                                    "2 mm",
                                    "pitchREAR",
                                    "2 mm",
                                    "wantedFRONT",
                                    "344 mm",
                                    "wantedREAR",
                                    "349 mm",
                                    "ratioFRONT",
                                    "1",
                                    "ratioREAR",
                                    "1")
                            .statusCode());
        }
        int status = by.post(path() + "/set/turned", "locked", "yes", "done", Integer.toString(turned))
                .statusCode();
        if (status != 302) {
            return;
        }
        turned++;
        double[] moves = Arrays.stream(Shop.bean(JdbcClient.class)
                        .sql("select moves from setting_move where job_id = :job order by nr desc limit 1")
                        .param("job", id)
                        .query(String.class)
                        .single()
                        .split(" "))
                .mapToDouble(Double::parseDouble)
                .toArray();
        answers(moves);
    }

    private void answers(double[] moves) {
        double[] real = moves.clone();
        for (int i = 0; i < 4; i++) {
            real[i] *= 1 + 0.08 * random.nextGaussian();
        }
        double[][] hub = truth.heights(Car.Read.HUB);
        double[][] ground = truth.heights(Car.Read.GROUND);
        for (int c = 0; c < 4; c++) {
            for (int i = 0; i < 4; i++) {
                down[c] -= hub[c][i] * real[i];
                pressed[c] += (hub[c][i] - ground[c][i]) * real[i];
            }
        }
    }

    void wheels() {
        by.post(
                path() + "/fitment/sets",
                "name",
                "as it stands",
                "use",
                "NOW",
                "TYRE_FRONT",
                "225/45R17 91W",
                "WHEEL_FRONT",
                "7.5Jx17 ET45");
    }

    void probe(Corner corner, int mm) {
        by.post(
                path() + "/prove/probes",
                "corner",
                corner.name(),
                "place",
                "FENDER_LIP",
                "clock",
                "12",
                "face",
                "OUTER_SIDEWALL",
                "gap",
                mm + " mm");
    }

    /** A remedy into the plan; then, for a clumsy one, fitted or not. */
    void remedy(Corner corner) {
        by.post(
                path() + "/prove/remedies",
                "corner",
                corner.name(),
                "doses",
                List.of("INWARD:6", "ROLL_LIP:3", "LONGER_STOP:4").get(random.nextInt(3)));
    }

    void fit() {
        newest("remedy_taken")
                .forEach(taken -> by.post(path() + "/prove/remedies/" + taken + "/fitted", "corner", "LF"));
    }

    private List<String> newest(String table) {
        return Shop.bean(JdbcClient.class)
                .sql("select id from " + table + " where vehicle_id = :vehicle order by nr desc limit 1")
                .param("vehicle", job().vehicle().id().toString())
                .query(String.class)
                .list();
    }

    void card(int steps) {
        Shop.bean(WorkedCard.class).begin(person, job(), random.nextBoolean() ? Set.of("lift") : Set.of(), steps);
    }

    /** Another kit beside the first, chosen, and measured on trial. */
    void trial() {
        by.post(path() + "/plan/kits", "another", "trial springs");
        newestKit().forEach(kit -> by.post(path() + "/plan/choose", "kit", kit, "reason", "tried"));
        by.post(path() + "/set-down", "stage", "TRIAL");
        for (int c = 0; c < 4; c++) {
            down[c] += 6;
        }
    }

    private List<String> newestKit() {
        return Shop.bean(JdbcClient.class)
                .sql("select id from kit where job_id = :job order by nr desc limit 1")
                .param("job", id)
                .query(String.class)
                .list();
    }

    boolean careful() {
        return careful;
    }

    Corner corner() {
        return Corner.WALK.get(random.nextInt(4));
    }

    End end() {
        return End.values()[random.nextInt(2)];
    }
}
