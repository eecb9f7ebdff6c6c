package abbex.app.ground;

import abbex.app.measure.Standing;
import abbex.core.ground.Lamps;
import abbex.core.ground.Underbody;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something low, a lamp or a bumper, as it was measured standing.
 *
 * @param name that somebody gave it; empty for what it is
 * @param alongRaw as typed, from the axle that {@code from} says
 * @param from code of where that distance begins; empty for what has none
 * @param along from the front axle, positive ahead
 * @param height over the floor; of a nose lift what it lifts at the front axle
 * @param sheet that tells how low the vehicle stood; null before the first
 */
record LowPoint(
        UUID id,
        Kind kind,
        String name,
        String alongRaw,
        String from,
        Length along,
        String heightRaw,
        Length height,
        @Nullable UUID sheet) {
    /** Its height as the vehicle is planned, mm over the floor. */
    double height(Standing standing, double wheelbase) {
        double f = standing.planned(End.FRONT) - standing.at(sheet, End.FRONT);
        double r = standing.planned(End.REAR) - standing.at(sheet, End.REAR);
        return height.mm() - Underbody.down(along.mm(), f, r, wheelbase);
    }

    /** What it is. */
    enum Kind {
        UNDERSIDE,
        DIPPED_BEAM,
        FRONT_FOG,
        HEADLAMP,
        BUMPER,
        NOSE_LIFT;

        /** The height that codes name for it. */
        Optional<Lamps.Code> code() {
            return switch (this) {
                case DIPPED_BEAM -> Optional.of(Lamps.Code.DIPPED_BEAM);
                case FRONT_FOG -> Optional.of(Lamps.Code.FRONT_FOG);
                case HEADLAMP -> Optional.of(Lamps.Code.HEADLAMP);
                case BUMPER -> Optional.of(Lamps.Code.BUMPER);
                case UNDERSIDE, NOSE_LIFT -> Optional.empty();
            };
        }
    }
}
