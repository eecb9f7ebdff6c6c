package abbex.app.measure;

import abbex.core.heights.Stage;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A sheet of heights: the stage it was taken at, and the tape and unit it is read in.
 *
 * @param seq 1 for the first of a job
 * @param stage as it was opened; {@link SheetData#stage} is what it was said to be since
 * @param baseline the sheet it is compared with, none for the first
 * @param said the last entry of its state, 0 for none: who changes the state says from which
 */
public record SheetRow(
        UUID id,
        UUID job,
        int seq,
        Stage stage,
        @Nullable UUID baseline,
        LengthUnit unit,
        Graduation tape,
        Instant madeAt,
        int said) {

    public boolean first() {
        return seq == 1;
    }
}
