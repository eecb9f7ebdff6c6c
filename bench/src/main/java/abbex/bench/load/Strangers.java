package abbex.bench.load;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.LongAdder;

/**
 * Sixteen people work, each an act a second at random: the floor, a measure page, the account, and a vehicle's
 * place. First alone; then while 500 connections send half a form and stall, opened anew whenever they are closed, and 200
 * guess passwords as fast as they are answered, under a hundred names, from four addresses of this computer. Prints the
 * median and the 95th percentile of the sixteen in each round, and the ratio.
 */
final class Strangers {
    private static final int PEOPLE = 16;
    private static final int STALLED = 500;
    private static final int GUESSING = 200;
    private static final int NAMES = 100;
    private static final int ROUNDS = 5;
    private static final int ACTS = 12;
    private static final int PAUSE_MILLIS = 1000;

    /** The door's token is in a cookie: whoever makes one up may as well make up the other, masked with zeros. */
    private static final String TOKEN =
            Base64.getUrlEncoder().encodeToString("\0\0\0\0none".getBytes(StandardCharsets.US_ASCII));

    private final String host = "127.0.0.1";
    private final int port;
    private final AtomicBoolean on = new AtomicBoolean(true);
    private final LongAdder guesses = new LongAdder();
    private final LongAdder refused = new LongAdder();
    private final LongAdder stalls = new LongAdder();

    private Strangers(String address) {
        port = URI.create(address).getPort();
    }

    /**
     * @param arguments address and password of the demo
     */
    public static void main(String[] arguments) throws Exception {
        List<Visit> people = new ArrayList<>();
        for (int i = 0; i < PEOPLE; i++) {
            people.add(Visit.signedIn(
                    arguments[0], List.of("orla", "jorun", "milo").get(i % 3), arguments[1]));
        }
        String measure = first(people.get(0));
        List<String> own = new ArrayList<>();
        for (Visit visit : people) {
            String job = UUID.randomUUID().toString();
            visit.get("/arrive");
            visit.post(
                    "/arrive",
                    "job",
                    job,
                    "plate",
                    "ST " + own.size() + "-" + System.nanoTime() % 1_000_000,
                    "name",
                    "stands",
                    "kind",
                    "CAR",
                    "shape",
                    "HATCH");
            own.add("/jobs/" + job + "/move");
        }
        ExecutorService hands = Executors.newFixedThreadPool(PEOPLE);
        Strangers strangers = new Strangers(arguments[0]);
        ExecutorService crowd = Executors.newFixedThreadPool(STALLED + GUESSING);
        try {
            round(hands, people, own, measure);
            double[] quiet = rounds("quiet", hands, people, own, measure);
            for (int i = 0; i < STALLED; i++) {
                crowd.submit(strangers::stall);
            }
            for (int i = 0; i < GUESSING; i++) {
                int n = i;
                crowd.submit(() -> strangers.guess(n));
            }
            Thread.sleep(5000);
            double[] loud = rounds("among strangers", hands, people, own, measure);
            System.out.printf(
                    "p95, median of %d rounds: quiet %.1f ms, among strangers %.1f ms, ratio %.2f%n",
                    ROUNDS, quiet[1], loud[1], loud[1] / quiet[1]);
            System.out.printf(
                    "%d guesses were looked at or locked, %d came too fast; %d connections stalled%n",
                    strangers.guesses.sum(), strangers.refused.sum(), strangers.stalls.sum());
        } finally {
            strangers.on.set(false);
            crowd.shutdownNow();
            hands.shutdownNow();
        }
        System.exit(0);
    }

    /** A stay's measure page that the floor leads to. */
    private static String first(Visit visit) throws IOException, InterruptedException {
        String floor = visit.get("/").body();
        int at = floor.indexOf("/jobs/");
        return floor.substring(at, at + "/jobs/".length() + 36) + "/measure";
    }

    private static double[] rounds(
            String name, ExecutorService hands, List<Visit> people, List<String> own, String measure) throws Exception {
        double[][] all = new double[2][ROUNDS];
        for (int i = 0; i < ROUNDS; i++) {
            double[] one = round(hands, people, own, measure);
            all[0][i] = one[0];
            all[1][i] = one[1];
            System.out.printf("%s, round %d: median %.1f ms, p95 %.1f ms%n", name, i + 1, one[0], one[1]);
        }
        Arrays.sort(all[0]);
        Arrays.sort(all[1]);
        return new double[] {all[0][ROUNDS / 2], all[1][ROUNDS / 2]};
    }

    private static double[] round(ExecutorService hands, List<Visit> people, List<String> own, String measure)
            throws Exception {
        List<Future<double[]>> all = new ArrayList<>();
        for (int person = 0; person < people.size(); person++) {
            Visit visit = people.get(person);
            String moves = own.get(person);
            all.add(hands.submit(() -> {
                double[] took = new double[ACTS];
                for (int i = 0; i < ACTS; i++) {
                    Thread.sleep(ThreadLocalRandom.current().nextLong(2L * PAUSE_MILLIS));
                    String path = List.of("/", measure, "/account").get(i % 3);
                    long began = System.nanoTime();
                    HttpResponse<String> answer = i % 4 == 3 ? visit.post(moves, "place", "WAITING") : visit.get(path);
                    took[i] = (System.nanoTime() - began) / 1e6;
                    if (answer.statusCode() >= 400) {
                        throw new IllegalStateException(path + " answered " + answer.statusCode());
                    }
                }
                return took;
            }));
        }
        return Times.medianAndP95(all);
    }

    private Socket open(int n) throws IOException {
        Socket socket = new Socket();
        socket.bind(new InetSocketAddress("127.0.0." + (2 + n % 4), 0));
        socket.connect(new InetSocketAddress(host, port), 3000);
        socket.setSoTimeout(20_000);
        return socket;
    }

    /** Half a form, and then nothing until the other side has enough of it. */
    private void stall() {
        while (on.get()) {
            try (Socket socket = open(ThreadLocalRandom.current().nextInt(4))) {
                socket.getOutputStream()
                        .write(("POST /sign-in HTTP/1.1\r\nHost: " + host + "\r\nContent-Type:"
                                        + " application/x-www-form-urlencoded\r\nContent-Length: 1000\r\n\r\nusername=st")
                                .getBytes(StandardCharsets.US_ASCII));
                stalls.increment();
                socket.getInputStream().readAllBytes();
            } catch (IOException closed) {
                // Opened anew.
            }
        }
    }

    /** One connection a guess, as a program does that does not mind. */
    private void guess(int n) {
        while (on.get()) {
            try (Socket socket = open(n)) {
                String form = "username=guess" + ThreadLocalRandom.current().nextInt(NAMES) + "&password=" + n + "-"
                        + System.nanoTime() + "&_csrf=" + TOKEN;
                OutputStream out = socket.getOutputStream();
                out.write(("POST /sign-in HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\nCookie: DOOR=none\r\n"
                                + "Content-Type: application/x-www-form-urlencoded\r\nContent-Length: " + form.length()
                                + "\r\n\r\n" + form)
                        .getBytes(StandardCharsets.US_ASCII));
                InputStream in = socket.getInputStream();
                String answer = new String(in.readAllBytes(), StandardCharsets.ISO_8859_1);
                (answer.startsWith("HTTP/1.1 429") ? refused : guesses).increment();
            } catch (IOException closed) {
                // Opened anew.
            }
        }
    }
}
