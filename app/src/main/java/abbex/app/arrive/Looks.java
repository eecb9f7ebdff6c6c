package abbex.app.arrive;

import abbex.app.drawing.Outline;
import abbex.core.vehicle.VehicleKind;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a vehicle is by its outline, as somebody taps it. */
public record Looks(VehicleKind kind, VehicleFacts.Shape shape) {
    /** The outlines that are offered. */
    static final List<Looks> USUAL = Stream.of(VehicleFacts.Shape.values())
            .map(shape -> new Looks(
                    Stream.of(VehicleKind.values())
                            .filter(kind -> VehicleFacts.Shape.usual(kind) == shape)
                            .findFirst()
                            .orElse(VehicleKind.USUAL),
                    shape))
            .toList();

    /** The outline asked for, or the usual one of the kind where that one cannot be. */
    static Looks of(VehicleKind kind, VehicleFacts.Shape shape) {
        return new Looks(kind, VehicleFacts.Shape.of(kind, shape));
    }

    /** As {@link #value} writes it. */
    static Optional<Looks> parse(String text) {
        return Stream.of(VehicleKind.values())
                .flatMap(kind -> Stream.of(VehicleFacts.Shape.values()).map(shape -> of(kind, shape)))
                .filter(looks -> looks.value().equals(text))
                .findFirst();
    }

    /** Those that are offered, and the one that a vehicle has already where that is another. */
    static List<Looks> offered(String has) {
        return Stream.concat(USUAL.stream(), parse(has).stream()).distinct().toList();
    }

    public String value() {
        return kind.name() + "-" + shape.name();
    }

    /** Its symbol among the outlines. */
    public String symbol() {
        return shape.name().toLowerCase(Locale.ROOT);
    }

    public List<String> lines() {
        return Outline.of(symbol()).lines();
    }

    /** Where its rear wheel is drawn, in millimetres behind the front one. */
    public long rearX() {
        return Math.round(Outline.of(symbol()).wheelbase());
    }
}
