package abbex.app.ground;

import abbex.core.ground.Lamps;
import abbex.core.ground.Underline;
import abbex.core.units.Length;
import java.util.Optional;
import java.util.UUID;

/**
 * Something low, a lamp or a bumper, as it was measured standing.
 *
 * @param name that somebody gave it; empty for what it is
 * @param alongRaw as typed, from the axle that {@code from} says
 * @param from code of where that distance begins; empty for what has none
 * @param along from the front axle, positive ahead
 * @param height over the floor; of a nose lift what it lifts at the front axle
 * @param frontStood how much lower than when it was first probed the front stood, mm
 * @param rearStood the same of the rear
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
        double frontStood,
        double rearStood) {
    /** Its height with the ends lowered so far from where the vehicle was first probed, mm over the floor. */
    double height(double front, double rear, double wheelbase) {
        double f = front - frontStood;
        double r = rear - rearStood;
        return height.mm() - Underline.down(along.mm(), f, r, wheelbase);
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
