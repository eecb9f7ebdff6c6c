package abbex.app.instruments;

import abbex.core.instrument.Frame;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/** Instruments as they are heard right now; nothing of it outlives the application. */
@Component
class Live {
    /** A device says every second that it is there. */
    private static final Duration SILENT = Duration.ofMillis(2200);

    /** One that was not heard for so long is gone. */
    private static final Duration GONE = Duration.ofMinutes(10);

    /** More do not lie in one shop (ours). */
    private static final int MOST = 64;

    private final Map<String, Device> devices = new ConcurrentHashMap<>();
    private final Clock clock;

    Live(Clock clock) {
        this.clock = clock;
    }

    /**
     * A device.
     *
     * @param code on its display since it was switched on
     * @param say writes a line to it
     */
    record Device(
            String name, String boot, String code, int battery, boolean low, Instant heard, Consumer<String> say) {}

    /** A frame came in. */
    void heard(Frame frame, Consumer<String> say) {
        Instant now = clock.instant();
        devices.values().removeIf(d -> d.heard().plus(GONE).isBefore(now));
        if (devices.size() >= MOST && !devices.containsKey(frame.device())) {
            return;
        }
        devices.compute(frame.device(), (name, was) -> {
            boolean same = was != null && was.boot().equals(frame.boot());
            String code = frame.kind() == Frame.Kind.HELLO ? frame.value() : same ? was.code() : "";
            return new Device(name, frame.boot(), code, frame.battery(), frame.low(), now, say);
        });
    }

    /** The device that shows a code; empty where none does, or two do. */
    Optional<Device> showing(String code) {
        var all = devices.values().stream()
                .filter(d -> d.code().equals(code) && !silent(d))
                .toList();
        return all.size() == 1 ? Optional.of(all.get(0)) : Optional.empty();
    }

    Optional<Device> find(String device, String boot) {
        return Optional.ofNullable(devices.get(device)).filter(d -> d.boot().equals(boot));
    }

    boolean silent(Device device) {
        return device.heard().plus(SILENT).isBefore(clock.instant());
    }
}
