package abbex.core.workcard;

import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.VehicleKind;
import java.util.List;
import java.util.Set;

/**
 * The steps of a file.
 *
 * @param name of the file
 * @param architectures that it is for; empty where it is for the whole vehicle whatever its ends are
 * @param kinds of vehicle that it is for; empty for all
 */
public record Chapter(String name, Set<Architecture> architectures, Set<VehicleKind> kinds, List<Step> steps) {
    public Chapter {
        architectures = Set.copyOf(architectures);
        kinds = Set.copyOf(kinds);
        steps = List.copyOf(steps);
    }

    boolean of(VehicleKind kind, Architecture architecture) {
        return (kinds.isEmpty() || kinds.contains(kind)) && architectures.contains(architecture);
    }

    boolean whole(VehicleKind kind) {
        return (kinds.isEmpty() || kinds.contains(kind)) && architectures.isEmpty();
    }
}
