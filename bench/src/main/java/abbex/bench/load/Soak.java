package abbex.bench.load;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;

/**
 * Sixteen people work through stays with an act of every kind, a lead of them sets what a lead sets, while the database and
 * the application are killed (SIGKILL) five times each at random moments. Each act is sent under an id of its own until it is
 * answered, as the page does; in the end every act of every stay must stand in the database exactly once, with its own text
 * and in its order.
 */
final class Soak {
    private static final int PEOPLE = 16;
    private static final int STAYS = 29;
    private static final int KILLS = 5;

    /** Acts of a stay, and of a lead beside each of hers. */
    private static final int ACTS = 44;

    private final Path abbex;
    private final Path data;
    private final AtomicInteger repeated = new AtomicInteger();
    private final AtomicInteger done = new AtomicInteger();
    private final AtomicInteger stays = new AtomicInteger();

    private Soak(Path abbex, Path data) {
        this.abbex = abbex;
        this.data = data;
    }

    /**
     * @param arguments the start command and an empty folder for the data of this run
     */
    public static void main(String[] arguments) throws Exception {
        Soak soak = new Soak(
                Path.of(arguments[0]).toAbsolutePath(), Path.of(arguments[1]).toAbsolutePath());
        soak.start();
        try {
            soak.write();
            soak.judge();
        } finally {
            soak.run("stop");
        }
    }

    private String run(String command, String... more) throws IOException, InterruptedException {
        List<String> line = new ArrayList<>(List.of(abbex.toString(), command, "--data", data.toString()));
        line.addAll(List.of(more));
        Path log = Files.createTempFile("soak", ".log");
        Process process = new ProcessBuilder(line)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        int status = process.waitFor();
        String said = Files.readString(log);
        if (status != 0) {
            throw new IOException(command + " ended with " + status + ": " + said);
        }
        return said;
    }

    private void start() throws IOException, InterruptedException {
        run("start", "--background");
    }

    private String address() throws IOException {
        return "http://127.0.0.1:" + Files.readString(data.resolve("app.port")).strip();
    }

    private String password() throws IOException {
        return Files.readString(data.resolve("sign-in")).strip().split(" / ")[1];
    }

    private void write() throws Exception {
        long began = System.nanoTime();
        ExecutorService pool = Executors.newFixedThreadPool(PEOPLE + 1);
        try {
            List<Future<?>> writers = new ArrayList<>();
            for (int i = 0; i < PEOPLE; i++) {
                int number = i;
                // A lead may hand over whatever is still found.
                Visit visit = Visit.signedIn(address(), "tamsin", password());
                writers.add(pool.submit(() -> {
                    for (int k = 0; k < STAYS; k++) {
                        String plate = "SK " + number + "-" + (100 + k);
                        new SoakJob(visit, plate, done, repeated).run();
                        stays.incrementAndGet();
                        if (number == 3) {
                            lead(visit, k);
                        }
                    }
                    return null;
                }));
            }
            Future<?> killer = pool.submit(() -> {
                kill();
                return null;
            });
            for (Future<?> writer : writers) {
                writer.get();
            }
            killer.get();
        } finally {
            pool.shutdownNow();
        }
        System.out.printf(
                "%d acts of %d stays by %d people in %.0f s%n",
                done.get(), stays.get(), PEOPLE, (System.nanoTime() - began) / 1e9);
    }

    /** What only a lead does. */
    private void lead(Visit visit, int n) throws InterruptedException {
        String[][] acts = {
            {"/keys", "name", "soak key " + n},
            {"/people", "name", "soak" + n, "display", "Soak " + n, "initials", "SO", "role", "DESK"},
            {"/rules/bays", "bays", "Bay 1\nBay 2\nSoak 1\nSoak 2\nTurn " + n},
            {"/rules/limits", "SIDES_GOOD", n % 2 == 0 ? "3/16" : "1/4", "SIDES_ACCEPT", "3/8"},
            {"/rules/floors", "bay", "Soak 1", "LF", "0", "RF", "3 mm", "RR", "0", "LR", "1 mm"},
            {"/gaps/set", "STRUT", n % 2 == 0 ? "5/16" : "3/8"}
        };
        for (String[] act : acts) {
            List<String> fields = new ArrayList<>(List.of(act).subList(1, act.length));
            fields.addAll(List.of("_sent", UUID.randomUUID().toString()));
            SoakJob.sent(visit, act[0], fields.toArray(String[]::new), repeated);
            done.incrementAndGet();
        }
    }

    private void kill() throws Exception {
        Random random = new Random(7);
        int step = ACTS * STAYS * PEOPLE / (2 * KILLS + 1);
        for (int kill = 0; kill < 2 * KILLS; kill++) {
            int at = step * kill + step / 2 + random.nextInt(step);
            while (done.get() < at) {
                Thread.sleep(5);
            }
            Thread.sleep(random.nextInt(50));
            String which = kill % 2 == 0 ? "db" : "app";
            long pid = Long.parseLong(
                    Files.readString(data.resolve(which + ".pid")).strip());
            ProcessHandle.of(pid).ifPresent(ProcessHandle::destroyForcibly);
            System.out.println(
                    "after " + done.get() + " acts: killed the " + (which.equals("db") ? "database" : "application"));
            start();
        }
    }

    private List<String[]> asked(String sql) throws IOException {
        Path ini = data.resolve("soak.cnf");
        String port = Files.readString(data.resolve("db.port")).strip();
        String secret = Files.readString(data.resolve("db.password")).strip();
        Files.writeString(ini, "[client]\nhost=127.0.0.1\nport=" + port + "\nuser=abbex\npassword=" + secret + "\n");
        Process query = new ProcessBuilder("mariadb", "--defaults-file=" + ini, "-N", "abbex", "-e", sql)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        try (Stream<String> lines = query.inputReader().lines()) {
            return lines.map(line -> line.split("\t", -1)).toList();
        }
    }

    private void judge() throws Exception {
        int wrong = 0;
        for (String[] stands : SoakJob.STANDS) {
            List<String[]> rows = asked("select v.plate, " + stands[1]
                    + " from vehicle v join job j on j.vehicle_id = v.id where v.plate like 'SK %'");
            List<String> other = rows.stream()
                    .filter(row -> !row[1].equals(stands[2]))
                    .map(row -> row[0] + ": " + row[1])
                    .toList();
            boolean all = rows.size() == PEOPLE * STAYS;
            System.out.printf("%s: %d stays, each %s; otherwise: %s%n", stands[0], rows.size(), stands[2], other);
            wrong += other.size() + (all ? 0 : 1);
        }
        for (String[] rows : new String[][] {
            {"keys", "select count(*), count(distinct name) from api_key where name like 'soak key %'"},
            {"people", "select count(*), count(distinct sign_in_name) from person where sign_in_name like 'soak%'"}
        }) {
            String[] counted = asked(rows[1]).get(0);
            System.out.printf("%s: %s, of different names %s%n", rows[0], counted[0], counted[1]);
            wrong += counted[0].equals("" + STAYS) && counted[1].equals("" + STAYS) ? 0 : 1;
        }
        System.out.printf(
                "%d acts were sent again; %d stand otherwise than they were answered%n", repeated.get(), wrong);
        if (wrong > 0 || done.get() < ACTS * STAYS * PEOPLE) {
            throw new IllegalStateException("the soak found acts that were lost, doubled or reverted");
        }
    }
}
