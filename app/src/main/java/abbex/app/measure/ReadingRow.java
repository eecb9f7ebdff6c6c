package abbex.app.measure;

import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Reading;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import java.time.Instant;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One row of the append-only record: what somebody wrote at a spot, or took back.
 *
 * @param act take, correct, undo (an earlier text stands again) or withdraw (nothing stands)
 * @param raw as typed; null when withdrawn
 * @param value exact; null when withdrawn
 * @param supersedes the row it replaces
 * @param takenAt by the device that it was typed on
 * @param nr in the order in which the server took them
 * @param restores with undo, the row whose text stands again
 */
record ReadingRow(
        UUID id,
        UUID sheet,
        UUID person,
        String initials,
        MeasuringPoint spot,
        Act act,
        @Nullable String raw,
        LengthUnit unit,
        Graduation tape,
        @Nullable Length value,
        @Nullable UUID supersedes,
        @Nullable UUID restores,
        Instant takenAt,
        long nr) {

    enum Act {
        TAKE,
        CORRECT,
        UNDO,
        WITHDRAW
    }

    boolean stands() {
        return act != Act.WITHDRAW;
    }

    /** What was read; only of a row that stands. */
    TapeReading tapeReading() {
        return TapeText.stored(
                Objects.requireNonNull(raw), unit, tape, spot.way().allowed(), Objects.requireNonNull(value));
    }

    Reading reading() {
        return new Reading(spot, tapeReading(), initials, takenAt, act != Act.TAKE, nr);
    }
}
