package abbex.instruments;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;

/**
 * A torque wrench, a height gauge, a pressure gauge and a wheel scale on a bench. From the keyboard: {@code WRENCH 92.4 Nm}
 * measures, {@code WRENCH doubled} switches a fault on or off. Without a keyboard each measures by itself while somebody has it.
 */
public final class Instruments {
    private static final long BY_ITSELF = 20_000;

    private final Map<String, Instrument> all = new LinkedHashMap<>();
    private final Random random = new Random();

    private Instruments(int port) {
        Map.of("WRENCH", "torque", "HEIGHT", "height", "GAUGE", "pressure", "SCALE", "weight")
                .forEach((name, kind) -> all.put(name, new Instrument(name, kind, port, random).start()));
    }

    /** @param args the application's port for instruments, and {@code --alone} where nobody types */
    public static void main(String[] args) throws IOException, InterruptedException {
        Instruments bench = new Instruments(Integer.parseInt(args[0]));
        bench.all.values().forEach(one -> System.out.println(one.name() + " shows " + one.code()));
        if (args.length > 1 && args[1].equals("--alone")) {
            bench.alone();
        } else {
            bench.typed();
        }
    }

    private void alone() throws InterruptedException {
        while (true) {
            Thread.sleep(BY_ITSELF);
            measure("WRENCH", 80 + 40 * random.nextDouble(), "Nm");
            measure("HEIGHT", 330 + 20 * random.nextDouble(), "mm");
            measure("GAUGE", 33 + 3 * random.nextDouble(), "psi");
            measure("SCALE", 760 + 90 * random.nextDouble(), "lb");
        }
    }

    private void measure(String name, double value, String unit) {
        Instrument one = all.get(name);
        if (one.paired() && one.open() == 0) {
            one.measure(value, unit);
        }
    }

    private void typed() throws IOException {
        BufferedReader in = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
        for (String line = in.readLine(); line != null; line = in.readLine()) {
            String[] words = line.strip().split("\\s+");
            Instrument one = all.get(words[0].toUpperCase(Locale.ROOT));
            if (one != null && words.length == 3 && words[1].matches("\\d{1,5}([.]\\d)?")) {
                one.measure(Double.parseDouble(words[1]), words[2]);
            } else if (one != null && words.length == 2) {
                fault(one, words[1]);
            } else {
                System.out.println(
                        "Enter WRENCH 92.4 Nm, or a fault such as WRENCH doubled. There are " + all.keySet());
            }
        }
    }

    private final Map<String, Boolean> switched = new LinkedHashMap<>();

    private void fault(Instrument one, String word) {
        String name = word.toUpperCase(Locale.ROOT).replace('-', '_');
        Stream.of(Fault.values()).filter(f -> f.name().equals(name)).findFirst().ifPresent(fault -> {
            boolean to = switched.merge(one.name() + fault, true, (was, is) -> !was);
            one.set(fault, to);
            System.out.println(one.name() + " " + fault + (to ? " on" : " off"));
        });
    }
}
