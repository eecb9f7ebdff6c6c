package abbex.instruments;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;

/**
 * An instrument on a line: it says every second that it is there, sends what it measures until that is acknowledged, and keeps it
 * while nobody listens.
 */
public final class Instrument implements AutoCloseable {
    private static final long ALIVE = 1000;
    private static final long AGAIN = 1500;
    private static final long LATE = 500;
    private static final int FULL = 82;
    private static final int LOW = 9;

    private final String name;
    private final String kind;
    private final int port;
    private final String boot;
    private final String code;
    private final Set<Fault> faults = EnumSet.noneOf(Fault.class);
    private final Map<Long, Measured> open = new TreeMap<>();
    private long seq;
    private String pair = "-";
    private double drift;
    private volatile boolean on = true;
    private OutputStream out = OutputStream.nullOutputStream();

    private record Measured(String value, String unit, long at, long due) {}

    /** @param kind torque, height, pressure or weight */
    public Instrument(String name, String kind, int port, Random random) {
        this.name = name;
        this.kind = kind;
        this.port = port;
        boot = String.format(Locale.ROOT, "%08X", random.nextInt());
        code = String.format(Locale.ROOT, "%04d", random.nextInt(10_000));
    }

    /** Switches it on. */
    public Instrument start() {
        begin(this::connect);
        begin(this::speak);
        return this;
    }

    private void begin(Runnable work) {
        Thread thread = new Thread(work, name);
        thread.setDaemon(true);
        thread.start();
    }

    public String name() {
        return name;
    }

    /** The four digits on its display. */
    public String code() {
        return code;
    }

    /** Somebody has it in hand. */
    public synchronized boolean paired() {
        return !pair.equals("-");
    }

    /** Readings that were not acknowledged yet. */
    public synchronized int open() {
        return open.size();
    }

    public synchronized void set(Fault fault, boolean to) {
        if (to) {
            faults.add(fault);
        } else {
            faults.remove(fault);
        }
    }

    /** Measures something now. */
    public synchronized void measure(double value, String unit) {
        long now = System.currentTimeMillis();
        drift += faults.contains(Fault.DRIFTING) ? 0.02 * value : 0;
        open.put(
                ++seq,
                new Measured(
                        String.format(Locale.ROOT, "%.1f", value + drift),
                        faults.contains(Fault.WRONG_UNIT) ? unit.equals("psi") ? "Nm" : "psi" : unit,
                        now,
                        now + (faults.contains(Fault.LATE) ? LATE : 0)));
        notifyAll();
    }

    private void connect() {
        while (on) {
            try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
                socket.setTcpNoDelay(true);
                synchronized (this) {
                    out = socket.getOutputStream();
                    send(body(++seq, "hello", code, "-", 0));
                }
                BufferedReader in =
                        new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.ISO_8859_1));
                for (String line = in.readLine(); line != null && on; line = in.readLine()) {
                    answer(Wire.body(line).split(" "));
                }
            } catch (IOException nobody) {
                pause();
            }
        }
    }

    private static void pause() {
        try {
            Thread.sleep(AGAIN);
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    private synchronized void answer(String[] words) {
        if (words[0].equals("pair") && words.length == 2) {
            pair = words[1];
        } else if ((words[0].equals("ack") || words[0].equals("no"))
                && words.length == 3
                && words[1].equals(boot)
                && words[2].matches("\\d{1,9}")) {
            open.remove(Long.parseLong(words[2]));
        }
    }

    private String body(long number, String what, String value, String unit, long ago) {
        String to = faults.contains(Fault.ANOTHER_JOB) ? "0BADF00D" : pair;
        int battery = faults.contains(Fault.LOW_BATTERY) ? LOW : FULL;
        return String.join(" ", "" + number, name, boot, to, what, value, unit, "" + ago, "" + battery);
    }

    /** Says that it is there, and again whatever was not acknowledged. */
    private synchronized void speak() {
        long alive = 0;
        long again = 0;
        while (on) {
            try {
                long now = System.currentTimeMillis();
                boolean repeat = now >= again;
                if (now >= alive) {
                    send(body(++seq, "alive", "-", "-", 0));
                    alive = now + ALIVE;
                }
                readings(now, repeat);
                if (repeat) {
                    again = now + AGAIN;
                }
                wait(50);
            } catch (InterruptedException ended) {
                Thread.currentThread().interrupt();
                return;
            } catch (IOException gone) {
                out = OutputStream.nullOutputStream();
            }
        }
    }

    private long newest;

    private void readings(long now, boolean repeat) throws IOException {
        List<Long> numbers = new ArrayList<>();
        open.forEach((number, measured) -> {
            if (measured.due() <= now && (repeat || number > newest)) {
                numbers.add(number);
            }
        });
        numbers.forEach(number -> newest = Math.max(newest, number));
        if (faults.contains(Fault.OUT_OF_ORDER)) {
            java.util.Collections.reverse(numbers);
        }
        for (long number : numbers) {
            Measured measured = open.get(number);
            send(body(number, kind, measured.value(), measured.unit(), now - measured.at()));
        }
    }

    private void send(String body) throws IOException {
        if (faults.contains(Fault.SILENT)) {
            return;
        }
        String frame = Wire.frame(body);
        if (faults.contains(Fault.GARBLED)) {
            write(frame.replaceFirst("[0-9](?=[^0-9]*\\*)", "x"));
            write(frame.substring(0, frame.length() / 2) + "\n");
        }
        write(frame);
        if (faults.contains(Fault.DOUBLED)) {
            write(frame);
        }
    }

    private void write(String text) throws IOException {
        out.write(text.getBytes(StandardCharsets.ISO_8859_1));
        out.flush();
    }

    @Override
    public void close() {
        on = false;
        synchronized (this) {
            try {
                out.close();
            } catch (IOException gone) {
                // It is off.
            }
            notifyAll();
        }
    }
}
