package abbex.app.prove;

import abbex.core.clearance.GapReading;
import abbex.core.vehicle.WheelPlace;
import abbex.core.wheels.Fitment;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A probe as it was taken.
 *
 * @param raw the gap as typed
 * @param measured the wheel and tyre that it was measured from
 * @param sheet that tells how low the vehicle stood; null before the first
 * @param by initials
 * @param at when
 */
record MeasuredGap(
        UUID id,
        WheelPlace corner,
        GapReading probe,
        String raw,
        Fitment measured,
        @Nullable UUID sheet,
        String by,
        Instant at) {}
