package abbex.app.state;

import abbex.app.arrive.Job;
import abbex.core.state.VehicleHistory;
import java.util.List;

/** A station that does something to vehicles; it tells what it did to one. */
public interface ActSource {
    /** What was done in a stay, in any order. */
    List<VehicleHistory.Entry> acts(Job job);
}
