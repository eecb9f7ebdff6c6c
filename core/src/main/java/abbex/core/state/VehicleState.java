package abbex.core.state;

import abbex.core.heights.SheetState;
import abbex.core.vehicle.PerCorner;
import abbex.core.vehicle.PerEnd;
import java.time.Instant;
import java.util.Map;

/**
 * What stands on a vehicle at a moment.
 *
 * @param parts at each end
 * @param turned what adjusters were turned since it came, at each wheel as it is believed, mm, body up positive
 * @param wheels name of the set that it stands on; empty where nobody said
 * @param remedies ids of those that were fitted, with when
 * @param open what is off, loose or not done
 * @param loads in which it was measured last
 * @param settled it was driven until its springs had settled, and nothing was changed since
 * @param since when this state began
 * @param by initials of whoever did the last act; empty where nobody did
 */
public record VehicleState(
        PerEnd<PartsFitted> parts,
        PerCorner<Double> turned,
        String wheels,
        Map<String, Instant> remedies,
        OpenWork open,
        SheetState loads,
        boolean settled,
        Instant since,
        String by) {
    /** As it arrived, nothing said. */
    public static final VehicleState ARRIVED = new VehicleState(
            PerEnd.of(end -> PartsFitted.AS_IT_CAME),
            PerCorner.of(corner -> 0.0),
            "",
            Map.of(),
            OpenWork.NONE,
            SheetState.NOT_TAKEN,
            false,
            Instant.EPOCH,
            "");

    public VehicleState {
        remedies = Map.copyOf(remedies);
    }

    /** Something of the vehicle carries it otherwise than when it came. */
    public boolean worked() {
        return parts.stream().anyMatch(PartsFitted::changed)
                || turned.values().stream().anyMatch(moved -> moved != 0);
    }
}
