package abbex.app.align;

import abbex.app.arrive.StayValues;
import abbex.app.form.Form;
import abbex.core.electronics.Electronics;
import abbex.core.electronics.VehicleSystem;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** The fields of lamps and sensors, and what they say. */
final class SystemsForm {
    private static final int LONGEST = 120;

    private SystemsForm() {}

    static String field(String name, VehicleSystem system) {
        return name + system.name();
    }

    static List<String> all() {
        return Stream.of(VehicleSystem.values())
                .flatMap(system -> Stream.of("has", "did", "src").map(name -> field(name, system)))
                .toList();
    }

    /** Reads what was chosen; problems at their fields. */
    static Map<String, String> read(Form form) {
        Map<String, String> kept = new LinkedHashMap<>();
        for (VehicleSystem system : VehicleSystem.values()) {
            VehicleSystem.Has has =
                    form.choice(field("has", system), VehicleSystem.Has.values(), VehicleSystem.Has.UNSAID);
            VehicleSystem.Did did =
                    form.choice(field("did", system), VehicleSystem.Did.values(), VehicleSystem.Did.OPEN);
            String source = form.line(field("src", system), LONGEST);
            boolean procedure = system.need() == VehicleSystem.Need.PROCEDURE;
            if (has == VehicleSystem.Has.YES && did != VehicleSystem.Did.OPEN && procedure && source.isEmpty()) {
                form.problem(field("src", system), "problem.system.source");
            }
            kept.put(field("has", system), has == VehicleSystem.Has.UNSAID ? "" : has.name());
            kept.put(field("did", system), did == VehicleSystem.Did.OPEN ? "" : did.name());
            kept.put(field("src", system), source);
        }
        return kept;
    }

    static Electronics electronics(StayValues.Told told) {
        Map<VehicleSystem, Electronics.Said> systems = new EnumMap<>(VehicleSystem.class);
        for (VehicleSystem system : VehicleSystem.values()) {
            String has = told.text(field("has", system));
            String did = told.text(field("did", system));
            systems.put(
                    system,
                    new Electronics.Said(
                            has.isEmpty() ? VehicleSystem.Has.UNSAID : VehicleSystem.Has.valueOf(has),
                            did.isEmpty() ? VehicleSystem.Did.OPEN : VehicleSystem.Did.valueOf(did),
                            told.text(field("src", system))));
        }
        return new Electronics(systems);
    }
}
