package abbex.app.measure;

import abbex.core.heights.OnPurpose;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Whoever knows that a vehicle was turned on after a sheet was read: what was read before stands for another height. */
public interface TurnedSince {
    /**
     * What was turned after a reading of a sheet.
     *
     * @param after the newest reading's number then
     * @param does what it was to do to heights; nothing where that was not kept
     */
    record Turn(UUID sheet, long after, OnPurpose does) {}

    /** The newest reading's number when something was turned last; 0 while nothing was. */
    long lastBefore(UUID shop, UUID sheet);

    /**
     * What was turned in each of some stays, in order; a stay where nothing was is not among them.
     *
     * @param vehicles of the stays, by the stay
     */
    Map<UUID, List<Turn>> turns(UUID shop, Map<UUID, UUID> vehicles);
}
