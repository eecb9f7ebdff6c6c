package abbex.app.page;

import java.util.UUID;

/** Makes the head of a job's page; the station that knows the heights fills it. */
public interface JobHeads {
    JobHead head(UUID shop, UUID job, String station, Reader reader);
}
