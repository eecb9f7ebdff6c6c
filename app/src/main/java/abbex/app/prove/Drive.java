package abbex.app.prove;

import abbex.app.measure.Standing;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.RoadTest;
import abbex.core.clearance.TyreBody;
import abbex.core.motion.Range;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.WheelPlace;
import abbex.core.wheels.Fitment;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A road test as it was told.
 *
 * @param bump how far each wheel was taken up from ride height, mm, by a tie or a ring on the damper's rod
 * @param locks true when it was steered to both locks
 * @param hung true when it hung on the lift with its wheels turned lock to lock
 * @param lean of the body in the hardest corner, degrees
 * @param on the wheels that were driven
 * @param sheet that tells how low the vehicle stood; null before the first
 * @param marks what it left
 * @param by initials
 */
record Drive(
        UUID id,
        Map<WheelPlace, Double> bump,
        boolean locks,
        boolean hung,
        double lean,
        String note,
        PerEnd<Fitment> on,
        @Nullable UUID sheet,
        List<Mark> marks,
        String by,
        Instant at) {
    /** What the tell-tale was made of. */
    enum SeenOn {
        PAINT,
        CLAY,
        TAPE,
        CHALK,
        METAL
    }

    /** A witness mark. */
    record Mark(UUID id, WheelPlace corner, ProbePlace place, double clock, TyreBody.Face face, SeenOn on, String by) {}

    /** What it says of a corner that moves as is planned. */
    RoadTest at(WheelPlace corner, SweepPlan plan, Standing standing) {
        Range whole = plan.motion(corner).range();
        Range driven = new Range(
                hung ? whole.droop() : 0,
                bump.getOrDefault(corner, 0.0),
                locks ? whole.left() : 0,
                locks ? whole.right() : 0,
                Math.toRadians(lean));
        return new RoadTest(
                on.get(corner.end()),
                standing.at(sheet, corner),
                plan.motion(corner).withRange(driven));
    }
}
