package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.core.heights.Advertised;

/** Whoever knows which parts stood on a vehicle when a sheet was taken: their advertised drop is what it is judged by. */
public interface AdvertisedBy {
    Advertised on(Job job, SheetData sheet);
}
