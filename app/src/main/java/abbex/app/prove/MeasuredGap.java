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
 * @param spot where on the tyre, as typed
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
        Taped spot,
        Fitment measured,
        @Nullable UUID sheet,
        String by,
        Instant at) {
    /**
     * Where on the tyre a gap was read, by tape, as typed; empty where the eye told.
     *
     * @param along the tread from 12 o'clock
     * @param across in from the outer sidewall for the tread, down from the tread for a sidewall
     */
    record Taped(String along, String across) {
        static final Taped NOTHING = new Taped("", "");

        /** Both, by comma. */
        String text() {
            return along + (along.isEmpty() || across.isEmpty() ? "" : ", ") + across;
        }
    }
}
