package abbex.app.prove;

import abbex.core.clearance.Probe;
import abbex.core.vehicle.Corner;
import abbex.core.wheels.Fitment;
import java.time.Instant;
import java.util.UUID;

/**
 * A probe as it was taken.
 *
 * @param raw the gap as typed
 * @param measured the wheel and tyre that it was measured from
 * @param stood how much lower than when it was first probed the vehicle stood, mm
 * @param by initials
 * @param at when
 */
record ProbeRow(
        UUID id, Corner corner, Probe probe, String raw, Fitment measured, double stood, String by, Instant at) {}
