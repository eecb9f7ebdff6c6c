package abbex.core.kit;

import abbex.core.motorcycle.ForkSlide;
import abbex.core.motorcycle.LeanClearance;
import abbex.core.motorcycle.SideStand;
import abbex.core.motorcycle.Steering;
import java.util.List;
import java.util.Optional;

/**
 * What of a motorcycle turns with its chassis, as far as it was measured, upright before the work.
 *
 * @param wheelbase mm
 * @param touches parts that come to the ground first, on either side
 */
public record Machine(Told wheelbase, Optional<Front> front, Optional<Leg> stand, List<Touch> touches) {
    /** How far along the wheelbase a stand or a peg sits where nobody measured it: about the middle (common practice). */
    private static final Told PLACE = Told.typical(0.5, 0.06);

    /**
     * A front end; lengths in mm, the head angle in degrees from the vertical.
     *
     * @param stops what ends a fork slide, where it was measured
     */
    public record Front(Told radius, Told headAngle, Told offset, Optional<ForkSlide> stops) {}

    /** A side stand: see {@link SideStand}. */
    public record Leg(Told height, Told out, Told length, Told spread) {
        SideStand stand() {
            return new SideStand(height.value(), out.value(), length.value(), spread.value());
        }
    }

    /** A part on a side: its height, how far out it is, and the tyre's crown radius, mm. */
    public record Touch(KitFinding.Side side, Told high, Told out, Told crown) {}

    public Machine {
        touches = List.copyOf(touches);
    }

    /** What drops of its ends do, mm. */
    public MachinePlan turned(Told front, Told rear) {
        return new MachinePlan(
                Carried.of(p -> Steering.turn(p[0], p[1], p[2]), front, rear, wheelbase),
                this.front.filter(was -> steers(was, front, rear)).map(was -> steered(was, front, rear)),
                stand.map(was -> leaned(was, front, rear)),
                touches.stream()
                        .filter(touch -> LeanClearance.outside(
                                touch.high().value() - drop(front.value(), rear.value(), PLACE.value()),
                                touch.out().value(),
                                touch.crown().value()))
                        .map(touch -> touched(touch, front, rear))
                        .toList());
    }

    /** So far its ends cannot be apart on this wheelbase: nothing is said of it. */
    boolean fits(Told front, Told rear) {
        return Math.abs(rear.value() - front.value()) + Carried.REACH * (rear.standard() + front.standard())
                < wheelbase.value() / 2;
    }

    private boolean steers(Front was, Told front, Told rear) {
        double is = was.headAngle().value() + Steering.turn(front.value(), rear.value(), wheelbase.value());
        return is > 0 && is < Steering.MOST;
    }

    private static double drop(double front, double rear, double place) {
        return SideStand.dropAt(front, rear, place, 1);
    }

    private MachinePlan.Steered steered(Front was, Told front, Told rear) {
        Steering before = new Steering(
                was.radius().value(), was.headAngle().value(), was.offset().value());
        double turn = Steering.turn(front.value(), rear.value(), wheelbase.value());
        Optional<MachinePlan.Slide> slide = Optional.empty();
        double apart = rear.value() - front.value();
        if (apart > 0) {
            slide = Optional.of(was.stops()
                    .map(stops -> slide(stops, apart, before.headAngle()))
                    .orElseGet(() -> new MachinePlan.Slide(
                            ForkSlide.slide(apart, before.headAngle()), 0, Optional.empty(), false)));
        }
        return new MachinePlan.Steered(
                before,
                before.turned(turn),
                Carried.of(p -> p[0] + Steering.turn(p[1], p[2], p[3]), was.headAngle(), front, rear, wheelbase),
                Carried.of(p -> trail(p[0], p[1], p[2]), was.radius(), was.headAngle(), was.offset()),
                Carried.of(
                        p -> trail(p[0], p[1] + Steering.turn(p[3], p[4], p[5]), p[2]),
                        was.radius(),
                        was.headAngle(),
                        was.offset(),
                        front,
                        rear,
                        wheelbase),
                slide);
    }

    private MachinePlan.Slide slide(ForkSlide stops, double apart, double headAngle) {
        ForkSlide.Restored restored = stops.restore(apart, wheelbase.value(), headAngle);
        boolean short_ = restored.slide() < ForkSlide.slide(apart, headAngle) - 0.05;
        return new MachinePlan.Slide(
                restored.slide(),
                short_ ? restored.left() : 0,
                short_ ? Optional.of(stops.stop()) : Optional.empty(),
                true);
    }

    private static double trail(double radius, double headAngle, double offset) {
        double steered = Math.max(0.01, Math.min(Steering.MOST - 0.01, headAngle));
        return new Steering(radius, steered, offset).groundTrail();
    }

    private MachinePlan.Leaned leaned(Leg was, Told front, Told rear) {
        SideStand before = was.stand();
        SideStand after = before.lowered(drop(front.value(), rear.value(), PLACE.value()));
        Told[] all = {was.height(), was.out(), was.length(), was.spread(), front, rear, PLACE};
        return new MachinePlan.Leaned(
                before,
                after,
                Carried.of(p -> lean(p, 0), was.height(), was.out(), was.length(), was.spread()),
                Carried.of(p -> lean(p, drop(p[4], p[5], p[6])), all),
                Carried.of(p -> cut(p, drop(p[4], p[5], p[6])), all));
    }

    private static double lean(double[] p, double drop) {
        return Math.toDegrees(Math.atan2(
                p[0] - drop - p[2] * Math.cos(Math.toRadians(p[3])), p[1] + p[2] * Math.sin(Math.toRadians(p[3]))));
    }

    /** How much shorter the leg has to be for the old lean, mm. */
    private static double cut(double[] p, double drop) {
        SideStand was = new SideStand(p[0], Math.max(0, p[1]), p[2], Math.max(0, p[3]));
        return p[2] - was.lowered(drop).legFor(was.lean());
    }

    private static MachinePlan.Touched touched(Touch touch, Told front, Told rear) {
        double high = touch.high().value();
        double down = drop(front.value(), rear.value(), PLACE.value());
        Told[] all = {touch.high(), touch.out(), touch.crown(), front, rear, PLACE};
        return new MachinePlan.Touched(
                touch.side(),
                new LeanClearance(high, touch.out().value(), touch.crown().value()),
                new LeanClearance(
                        high - down, touch.out().value(), touch.crown().value()),
                Carried.of(p -> touching(p, 0), all),
                Carried.of(p -> touching(p, drop(p[3], p[4], p[5])), all));
    }

    private static double touching(double[] p, double drop) {
        double crown = Math.max(0, p[2]);
        double above = p[0] - drop - crown;
        double away = Math.max(crown + 1e-9, Math.hypot(p[1], above));
        return Math.toDegrees(Math.atan2(above, p[1]) + Math.asin(crown / away));
    }
}
