package abbex.app.rules;

import abbex.core.heights.Reading;
import java.util.List;
import java.util.UUID;

/** What two people read at one spot; the station that keeps the readings tells. */
public interface RepeatedReadings {
    /** Readings that both stand, of the last two years: a list for each spot of each sheet. */
    List<List<Reading>> of(UUID shop);
}
