package abbex.app.measure;

import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A sheet of heights: the stage it was taken at, and the tape and unit it is read in.
 *
 * @param seq 1 for the first of a job
 * @param baseline the sheet it is compared with, none for the first
 */
public record SheetRow(
        UUID id,
        UUID job,
        int seq,
        Stage stage,
        @Nullable UUID baseline,
        LengthUnit unit,
        Graduation tape,
        Instant madeAt) {

    /** At which point of the work a sheet is taken. */
    public enum Stage {
        AS_ARRIVED,
        FIRST_SET_DOWN,
        AFTER_SHORT_DRIVE,
        AFTER_HARD_DRIVE,
        AFTER_ALIGNMENT,
        SETTLED,
        OTHER;

        /** What usually comes next. */
        Stage next() {
            return values()[Math.min(ordinal() + 1, OTHER.ordinal())];
        }

        /** Those that a vehicle may be measured at again. */
        static List<Stage> later() {
            return List.of(values()).subList(1, values().length);
        }
    }

    public boolean first() {
        return seq == 1;
    }
}
