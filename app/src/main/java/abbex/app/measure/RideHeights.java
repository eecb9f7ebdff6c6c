package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.store.Reads;
import abbex.core.heights.RideHeight;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** How low vehicles stand: the one answer that all stations ask for. */
@Service
public class RideHeights {
    private final Reads reads;
    private final Jobs jobs;
    private final Sheets sheets;

    RideHeights(Jobs jobs, Sheets sheets, Reads reads) {
        this.reads = reads;
        this.jobs = jobs;
        this.sheets = sheets;
    }

    public Standing of(Job job) {
        return reads.ofVehicle(
                job.shop(),
                job.vehicle().id(),
                List.of(RideHeights.class, job.shop(), job.vehicle().id()),
                () -> read(job));
    }

    private Standing read(Job job) {
        List<SheetData> inOrder = new ArrayList<>();
        sheets.ofVehicle(job).values().forEach(stay -> inOrder.addAll(stay.sheets()));
        RideHeight heights = RideHeight.of(
                job.vehicle().vehicle(),
                inOrder.stream().map(SheetData::heights).toList(),
                sheets.limits(job.shop()));
        return new Standing(
                inOrder.stream().map(s -> s.row().id()).toList(),
                inOrder.isEmpty()
                        ? Optional.empty()
                        : Optional.of(inOrder.get(inOrder.size() - 1).stage()),
                heights);
    }
}
