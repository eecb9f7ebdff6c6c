package abbex.core.kit;

import abbex.core.motorcycle.ForkSlide;
import abbex.core.motorcycle.LeanClearance;
import abbex.core.motorcycle.SideStand;
import abbex.core.motorcycle.Steering;
import abbex.core.units.Angle;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What becomes of a motorcycle's chassis; angles in degrees, lengths in mm.
 *
 * @param turn of the chassis, the rear down positive
 */
public record MachinePlan(Interval turn, Optional<Steered> steered, Optional<Leaned> stand, List<Touched> touches) {
    /** Below about this lean a machine may topple (common practice), degrees. */
    public static final double STEEP = 8;

    /** A drop that turns less is not told, degrees. */
    private static final double TOLD = 0.05;

    /** A front end before and after, and the slide that gives the head angle back. */
    public record Steered(
            Steering was, Steering is, Interval headAngle, Interval trailWas, Interval trail, Optional<Slide> slide) {}

    /**
     * The fork up in its clamps.
     *
     * @param left degrees of head angle that cannot be had back
     * @param stop what ends it before that
     * @param measured true where somebody measured what ends it
     */
    public record Slide(double slide, double left, Optional<ForkSlide.Stop> stop, boolean measured) {}

    /** A machine on its stand before and after, and how much shorter the leg has to be for the old lean. */
    public record Leaned(SideStand was, SideStand is, Interval before, Interval lean, Interval cut) {}

    /** How far a machine leans until a part touches, before and after. */
    public record Touched(KitFinding.Side side, LeanClearance was, LeanClearance is, Interval before, Interval lean) {}

    public MachinePlan {
        touches = List.copyOf(touches);
    }

    /**
     * What there is to say of it.
     *
     * @param front true where the front comes down too, or was lowered before
     * @param rear the same of the rear
     */
    List<KitFinding> findings(boolean front, boolean rear) {
        List<KitFinding> findings = new ArrayList<>();
        if (Math.abs(turn.value()) >= TOLD) {
            steered.ifPresentOrElse(
                    is -> steers(is, findings), () -> findings.add(new KitFinding.SteeringUnknown(End.FRONT)));
            if (front != rear) {
                findings.add(new KitFinding.OneEndYet(front ? End.FRONT : End.REAR, degrees(Math.abs(turn.value()))));
            }
        }
        stand.ifPresent(is -> {
            Angle was = degrees(is.before().value());
            Angle then = degrees(is.lean().value());
            Length shorten = Length.ofRoundedMm(is.cut().value());
            findings.add(
                    is.lean().value() < STEEP
                            ? new KitFinding.StandWillTopple(End.REAR, was, then, shorten)
                            : new KitFinding.StandWillLean(End.REAR, was, then, shorten));
        });
        for (Touched touch : touches) {
            findings.add(new KitFinding.TouchesEarlier(
                    End.REAR,
                    touch.side(),
                    degrees(touch.before().value()),
                    degrees(touch.lean().value())));
        }
        return findings;
    }

    /** To a tenth: none of it is known better. */
    private static Angle degrees(double degrees) {
        return Angle.ofDegrees(Math.rint(10 * degrees) / 10);
    }

    private static void steers(Steered is, List<KitFinding> findings) {
        findings.add(new KitFinding.Steers(
                End.FRONT,
                degrees(is.was().headAngle()),
                degrees(is.is().headAngle()),
                Length.ofRoundedMm(is.trailWas().value()),
                Length.ofRoundedMm(is.trail().value())));
        is.slide().ifPresent(slide -> {
            Length up = Length.ofRoundedMm(slide.slide());
            findings.add(
                    slide.stop().isPresent()
                            ? new KitFinding.ForkStops(End.FRONT, slide.stop().get(), up, degrees(slide.left()))
                            : slide.measured()
                                    ? new KitFinding.ForkReaches(End.FRONT, up)
                                    : new KitFinding.ForkRestores(End.FRONT, up));
        });
    }
}
