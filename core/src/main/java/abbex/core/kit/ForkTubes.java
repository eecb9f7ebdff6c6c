package abbex.core.kit;

import abbex.core.figure.Reason;
import abbex.core.motorcycle.ForkSlide;
import abbex.core.units.Angle;
import abbex.core.units.Length;

/**
 * Fork tubes that go up in their clamps: the front comes down by their way along the fork, seen upright.
 *
 * @param up along the fork, mm; down negative
 * @param headAngle from the vertical, degrees
 */
public record ForkTubes(Length up, Told headAngle) implements Part {
    /** Between two tapes over the clamp, mm. */
    private static final double READ = 0.7;

    @Override
    public double move() {
        return ForkSlide.drop(up.mm(), headAngle.value());
    }

    @Override
    public double standard() {
        double leans = Math.toRadians(headAngle.standard()) * Math.sin(Math.toRadians(headAngle.value()));
        return Math.hypot(READ * Math.cos(Math.toRadians(headAngle.value())), leans * up.mm());
    }

    @Override
    public boolean atWheel() {
        return true;
    }

    /** Fork and spring stay as they are. */
    @Override
    public boolean usesTravel() {
        return false;
    }

    @Override
    public Row row() {
        return Row.TUBES;
    }

    @Override
    public Reason reason() {
        return Reason.of(KitFormula.TUBES, up, Angle.ofDegrees(headAngle.value()));
    }
}
