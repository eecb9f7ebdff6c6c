package abbex.app.state;

import abbex.app.arrive.Job;
import abbex.app.store.Reads;
import abbex.core.state.VehicleHistory;
import abbex.core.state.VehicleState;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;

/** What stands on the vehicle of a stay, and since when: the one answer that every station asks for. */
@Service
public class VehicleStates {
    /** Asked late: a station that tells its acts may read the state of others. */
    private final ObjectProvider<ActSource> sources;

    private final Reads reads;

    VehicleStates(ObjectProvider<ActSource> sources, Reads reads) {
        this.sources = sources;
        this.reads = reads;
    }

    /** Put together once while nothing of the vehicle or its shop is written. */
    public VehicleHistory history(Job job) {
        return reads.ofVehicle(
                job.shop(),
                job.vehicle().id(),
                List.of(VehicleStates.class, job.shop(), job.id()),
                () -> VehicleHistory.of(sources.orderedStream()
                        .flatMap(source -> source.acts(job).stream())
                        .toList()));
    }

    public VehicleState now(Job job) {
        return history(job).now();
    }
}
