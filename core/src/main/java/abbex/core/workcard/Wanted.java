package abbex.core.workcard;

import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import java.util.Set;

/**
 * What a card is for.
 *
 * @param supplied kinds of parts that the kit brings to each end; an end without any is not touched
 * @param facts of the whole job, such as {@code lift}, {@code two-people}, {@code adaptive-dampers}
 */
public record Wanted(
        VehicleKind kind, PerEnd<Architecture> architecture, PerEnd<Set<String>> supplied, Set<String> facts) {
    public Wanted {
        supplied = supplied.map(Set::copyOf);
        facts = Set.copyOf(facts);
    }
}
