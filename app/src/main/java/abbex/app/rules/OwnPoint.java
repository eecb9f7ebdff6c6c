package abbex.app.rules;

import abbex.core.heights.PointMethod;
import abbex.core.vehicle.VehicleKind;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A point that the shop named.
 *
 * @param kind the kind of vehicle that has it
 * @param vehicle the one vehicle that has it; null when all of the kind do
 * @param inUse false when it is not offered any more; what was read there stays
 */
public record OwnPoint(
        UUID id,
        PointMethod way,
        VehicleKind kind,
        @Nullable UUID vehicle,
        boolean inUse) {
    boolean of(VehicleKind kindOf, UUID one) {
        return kind == kindOf && (vehicle == null || vehicle.equals(one));
    }
}
