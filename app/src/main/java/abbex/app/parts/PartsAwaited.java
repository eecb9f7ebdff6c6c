package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.page.Reader;
import abbex.core.parts.BillLine;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What a vehicle on the floor waits for. */
@Service
public class PartsAwaited {
    private final PartLog log;
    private final PartWords said;
    private final Jobs jobs;

    PartsAwaited(PartLog log, PartWords said, Jobs jobs) {
        this.log = log;
        this.said = said;
        this.jobs = jobs;
    }

    /**
     * By when all is to be here.
     *
     * @param awaited something is
     * @param last the day of the last; empty where of one no day was said
     */
    public record Until(boolean awaited, Optional<LocalDate> last) {}

    public Until until(Job job) {
        List<BillLine> awaited = log.awaited(job);
        boolean open = awaited.stream().anyMatch(line -> line.due().isEmpty());
        return new Until(
                !awaited.isEmpty(),
                open
                        ? Optional.empty()
                        : awaited.stream().map(l -> l.due().orElseThrow()).max(LocalDate::compareTo));
    }

    /** In a sentence; empty where nothing is awaited. */
    public String waits(Job job, Reader reader) {
        List<BillLine> awaited = log.awaited(job);
        return awaited.isEmpty() ? "" : said.waits(awaited, jobs.today(reader.zone()), reader);
    }
}
