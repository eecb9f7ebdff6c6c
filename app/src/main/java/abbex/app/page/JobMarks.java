package abbex.app.page;

import java.util.UUID;

/** Judges a stay for pages of stations that do not know each other. */
public interface JobMarks {
    JobMark of(UUID shop, UUID job, Reader reader);
}
