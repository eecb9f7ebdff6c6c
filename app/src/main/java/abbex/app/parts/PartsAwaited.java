package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.page.Reader;
import abbex.core.parts.BillLine;
import java.util.List;
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

    /** In a sentence; empty where nothing is awaited. */
    public String waits(Job job, Reader reader) {
        List<BillLine> awaited = log.awaited(job);
        return awaited.isEmpty() ? "" : said.waits(awaited, jobs.today(reader.zone()), reader);
    }
}
