package abbex.app.measure;

import abbex.core.heights.Contribution;
import abbex.core.heights.RideHeight;
import abbex.core.heights.Stage;
import abbex.core.units.Estimate;
import abbex.core.vehicle.WheelPlace;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * How low a vehicle stands by all its sheets, of this stay and of those before.
 *
 * @param sheets the ids, in order of time
 * @param newestStage of the newest sheet; empty when there is none
 */
public record Standing(List<UUID> sheets, Optional<Stage> newestStage, RideHeight heights) {
    public Standing planning(List<Contribution> parts) {
        return new Standing(sheets, newestStage, heights.planning(parts));
    }

    /** The sheet that tells how low what is measured now stands; empty before the first. */
    public Optional<UUID> newest() {
        return sheets.isEmpty() ? Optional.empty() : Optional.of(sheets.get(sheets.size() - 1));
    }

    /** How far a place had come down when something was measured, mm; what was measured before any sheet was as arrived. */
    public double at(@Nullable UUID sheet, WheelPlace place) {
        return mm(heights.at(index(sheet), place));
    }

    public double now(WheelPlace place) {
        return mm(heights.now(place));
    }

    public double planned(WheelPlace place) {
        return mm(heights.planned(place));
    }

    /** The present height of a wheel's place is told by no reading of the newest sheet. */
    public boolean missing(WheelPlace place) {
        return heights.missing().contains(place);
    }

    /** How far the axle may go up to the frame at the planned height, mm; empty where no sheet read that. */
    public OptionalDouble travel(WheelPlace place) {
        return heights.travel(place).map(left -> OptionalDouble.of(mm(left))).orElseGet(OptionalDouble::empty);
    }

    private int index(@Nullable UUID sheet) {
        return Math.max(0, sheets.indexOf(sheet));
    }

    private static double mm(Estimate drop) {
        return drop.value().mm();
    }
}
