package abbex.core.ground;

import abbex.core.figure.Figure;
import abbex.core.figure.Finding;
import abbex.core.figure.Reason;
import abbex.core.units.Angle;
import abbex.core.units.Length;
import java.util.Optional;

/** Lamps and bumpers after lowering: where the beam goes, and what some codes say of heights. Shown, never certified. */
public final class Lamps {
    /** A beam is looked at on a wall so far away, common practice in workshops. */
    public static final Length WALL = Length.ofInches(25 * 12, 0, 1);

    private static final double LEAST = 0.1;

    private Lamps() {}

    /** A height that a code names; all from memory, and each is to be checked where the vehicle is driven. */
    public enum Code {
        DIPPED_BEAM("UN R48", Length.ofMm(500), Optional.of(Length.ofMm(1200))),
        FRONT_FOG("UN R48", Length.ofMm(250), Optional.empty()),
        HEADLAMP("FMVSS 108", Length.ofInches(22, 0, 1), Optional.of(Length.ofInches(54, 0, 1))),
        BUMPER("49 CFR 581", Length.ofInches(16, 0, 1), Optional.of(Length.ofInches(20, 0, 1)));

        private final String source;
        private final Length least;
        private final Optional<Length> most;

        Code(String source, Length least, Optional<Length> most) {
            this.source = source;
            this.least = least;
            this.most = most;
        }

        public String source() {
            return source;
        }

        public Length least() {
            return least;
        }

        /** Empty where it names none. */
        public Optional<Length> most() {
            return most;
        }
    }

    /**
     * By how much the beam turns down.
     *
     * @param rake change of the rear's height less the front's, positive nose-down
     * @param over the distance along the vehicle of the points it was taken between
     */
    public static Figure<Angle> aim(Length rake, Length over) {
        return new Figure<>(Angle.ofRise(rake, over), Reason.of(GroundFormula.AIM, rake, over));
    }

    /** How much lower a turned beam meets a wall. */
    public static Length onWall(Angle aim, Length away) {
        return Length.ofRoundedMm(away.mm() * Math.tan(aim.rad()));
    }

    /** What a code has to say of a height; a bumper's zone is to be met by the bumper's own height. */
    public static Finding check(Code code, Length height) {
        boolean below = height.compareTo(code.least()) < 0;
        boolean above = code.most().filter(most -> height.compareTo(most) > 0).isPresent();
        if (above) {
            return new GroundFinding.AboveCode(code, height, code.most().orElseThrow(), code.source());
        }
        return below
                ? new GroundFinding.BelowCode(code, height, code.least(), code.source())
                : new GroundFinding.WithinCode(code, height, code.least(), code.source());
    }

    /** That the beam goes elsewhere now; empty when it does by less than a tenth of a degree (ours). */
    public static Optional<Finding> turned(Length rake, Length over) {
        Angle aim = aim(rake, over).value();
        if (Math.abs(aim.degrees()) < LEAST) {
            return Optional.empty();
        }
        Angle by = new Angle(Math.abs(aim.rad()));
        Length wall = onWall(aim, WALL).abs();
        return Optional.of(rake.sign() > 0 ? new GroundFinding.BeamDown(by, wall) : new GroundFinding.BeamUp(by, wall));
    }
}
