package abbex.app.measure;

import abbex.core.heights.Contribution;
import abbex.core.heights.RideHeight;
import abbex.core.heights.Stage;
import abbex.core.units.Estimate;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerCorner;
import java.util.List;
import java.util.Optional;
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

    /** How far a corner had come down when something was measured, mm; what was measured before any sheet was as arrived. */
    public double at(@Nullable UUID sheet, Corner corner) {
        return mm(heights.at(index(sheet), corner));
    }

    /** The mean of an end. */
    public double at(@Nullable UUID sheet, End end) {
        return mm(heights.end(end, heights.at(index(sheet))));
    }

    public double now(Corner corner) {
        return mm(heights.now(corner));
    }

    public double now(End end) {
        return mm(heights.end(end, heights.now()));
    }

    public double planned(Corner corner) {
        return mm(heights.planned(corner));
    }

    public double planned(End end) {
        PerCorner<Estimate> planned = heights.planned();
        return mm(heights.end(end, planned));
    }

    /** A corner's present height is told by no reading of the newest sheet. */
    public boolean missing(Corner corner) {
        return heights.missing().contains(corner);
    }

    private int index(@Nullable UUID sheet) {
        return Math.max(0, sheets.indexOf(sheet));
    }

    private static double mm(Estimate drop) {
        return drop.value().mm();
    }
}
