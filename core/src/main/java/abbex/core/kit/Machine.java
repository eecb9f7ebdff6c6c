package abbex.core.kit;

import abbex.core.motorcycle.ForkSlide;
import abbex.core.motorcycle.SideStand;
import abbex.core.motorcycle.Steering;
import abbex.core.units.Angle;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What of a motorcycle turns with its chassis, as far as it was measured.
 *
 * @param wheelbase mm
 * @param stand as the machine stands upright before
 */
public record Machine(double wheelbase, Optional<Steering> steering, Optional<SideStand> stand) {
    /** Below about this lean a machine may topple (common practice), degrees. */
    private static final double STEEP = 8;

    /** A drop that turns less is not told, degrees. */
    private static final double TOLD = 0.05;

    /** A side stand turns about the middle of a wheelbase (common practice). */
    private static final double MIDDLE = 0.5;

    /** What drops of its ends do, mm. */
    List<KitFinding> turned(double front, double rear) {
        List<KitFinding> findings = new ArrayList<>();
        double turn = Steering.turn(front, rear, wheelbase);
        if (Math.abs(turn) >= TOLD) {
            steering.filter(was -> was.headAngle() + turn > 0 && was.headAngle() + turn < Steering.MOST)
                    .ifPresent(was -> {
                        Steering is = was.turned(turn);
                        findings.add(new KitFinding.Steers(
                                End.FRONT,
                                Angle.ofDegrees(was.headAngle()),
                                Angle.ofDegrees(is.headAngle()),
                                Length.ofRoundedMm(was.groundTrail()),
                                Length.ofRoundedMm(is.groundTrail())));
                        if (rear > front) {
                            findings.add(new KitFinding.ForkRestores(
                                    End.FRONT, Length.ofRoundedMm(ForkSlide.slide(rear - front, was.headAngle()))));
                        }
                    });
        }
        stand.ifPresent(was -> {
            SideStand is = was.lowered(SideStand.dropAt(front, rear, MIDDLE * wheelbase, wheelbase));
            Angle lean = Angle.ofDegrees(was.lean());
            Angle then = Angle.ofDegrees(is.lean());
            Length shorten = Length.ofRoundedMm(was.length() - is.legFor(was.lean()));
            findings.add(
                    is.lean() < STEEP
                            ? new KitFinding.StandWillTopple(End.REAR, lean, then, shorten)
                            : new KitFinding.StandWillLean(End.REAR, lean, then, shorten));
        });
        return findings;
    }
}
