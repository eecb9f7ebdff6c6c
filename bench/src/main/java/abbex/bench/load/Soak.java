package abbex.bench.load;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;

/**
 * Sixteen people write readings while the database and the application are killed (SIGKILL) five times each at random
 * moments. Each sends a reading under an id of its own until it is confirmed, as the page does; in the end every confirmed
 * reading must stand in the database exactly once, with its own text.
 */
final class Soak {
    private static final int PEOPLE = 16;
    private static final int READINGS = 10_000;
    private static final int KILLS = 5;
    private static final String[] CORNERS = {"LF", "RF", "RR", "LR"};
    private static final String[] METHODS = {"GF", "HF", "RIM", "FG", "TG"};

    private final Path abbex;
    private final Path data;
    private final Map<String, String> confirmed = new ConcurrentHashMap<>();
    private final AtomicInteger repeated = new AtomicInteger();
    private final AtomicInteger done = new AtomicInteger();

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
                Random random = new Random(100 + i);
                Visit visit = Visit.signedIn(
                        address(), List.of("orla", "jorun", "milo").get(i % 3), password());
                String sheet = sheet(visit, i);
                writers.add(pool.submit(() -> {
                    Map<String, String> last = new HashMap<>();
                    for (int k = 0; k < READINGS / PEOPLE; k++) {
                        send(visit, sheet, random, last);
                        done.incrementAndGet();
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
                "%d readings by %d people in %.0f s%n", done.get(), PEOPLE, (System.nanoTime() - began) / 1e9);
    }

    /** A vehicle of the writer's own; its first sheet. */
    private static String sheet(Visit visit, int number) throws Exception {
        String job = UUID.randomUUID().toString();
        visit.get("/arrive");
        visit.post(
                "/arrive",
                "job",
                job,
                "plate",
                "SK 0-1" + (10 + number),
                "name",
                "Soaked hatch",
                "kind",
                "CAR",
                "shape",
                "HATCH");
        return Visit.location(visit.get("/jobs/" + job + "/measure"));
    }

    private void send(Visit visit, String sheet, Random random, Map<String, String> last) throws InterruptedException {
        String client = new UUID(random.nextLong(), random.nextLong()).toString();
        String corner = CORNERS[random.nextInt(CORNERS.length)];
        String method = METHODS[random.nextInt(METHODS.length)];
        String raw;
        do {
            raw = (10 + random.nextInt(8)) + " " + (1 + 2 * random.nextInt(8)) + "/16";
            // The same text at the same spot is no new reading: the one that stands is confirmed.
        } while (raw.equals(last.put(corner + method, raw)));
        while (true) {
            try {
                HttpResponse<String> answer = visit.post(
                        sheet + "/readings", "corner", corner, "method", method, "raw", raw, "client", client);
                if (answer.statusCode() == 302 && Visit.location(answer).startsWith(sheet)) {
                    confirmed.put(client, corner + " " + method + " " + raw);
                    return;
                }
                if (answer.statusCode() < 500) {
                    throw new IllegalStateException("answered " + answer.statusCode() + " " + Visit.location(answer));
                }
            } catch (IOException away) {
                // The connection ended without an answer: nobody knows whether it is stored, so it is sent again.
            }
            repeated.incrementAndGet();
            Thread.sleep(200);
        }
    }

    private void kill() throws Exception {
        Random random = new Random(7);
        int step = READINGS / (2 * KILLS + 1);
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
            System.out.println("after " + done.get() + " readings: killed the "
                    + (which.equals("db") ? "database" : "application"));
            start();
        }
    }

    private void judge() throws Exception {
        Path ini = data.resolve("soak.cnf");
        String port = Files.readString(data.resolve("db.port")).strip();
        String secret = Files.readString(data.resolve("db.password")).strip();
        Files.writeString(ini, "[client]\nhost=127.0.0.1\nport=" + port + "\nuser=abbex\npassword=" + secret + "\n");
        Process query = new ProcessBuilder(
                        "mariadb",
                        "--defaults-file=" + ini,
                        "-N",
                        "abbex",
                        "-e",
                        "select r.client_id, r.corner, r.method, r.raw from reading r join sheet s on s.id = r.sheet_id"
                                + " join job j on j.id = s.job_id join vehicle v on v.id = j.vehicle_id"
                                + " where v.plate like 'SK 0-1%'")
                .start();
        Map<String, List<String>> stored = new ConcurrentHashMap<>();
        try (Stream<String> lines = query.inputReader().lines()) {
            lines.map(line -> line.split("\t"))
                    .forEach(f ->
                            stored.computeIfAbsent(f[0], c -> new ArrayList<>()).add(f[1] + " " + f[2] + " " + f[3]));
        }
        long lost = confirmed.entrySet().stream()
                .filter(c -> !stored.getOrDefault(c.getKey(), List.of()).contains(c.getValue()))
                .count();
        long doubled = stored.values().stream().filter(rows -> rows.size() > 1).count();
        long unknown =
                stored.keySet().stream().filter(c -> !confirmed.containsKey(c)).count();
        System.out.printf(
                "confirmed %d, stored %d, sent again %d times; lost %d, doubled %d, stored but never confirmed %d%n",
                confirmed.size(), stored.size(), repeated.get(), lost, doubled, unknown);
        if (lost + doubled + unknown > 0 || confirmed.size() != READINGS) {
            throw new IllegalStateException("the soak found a lost, doubled or unknown reading");
        }
    }
}
