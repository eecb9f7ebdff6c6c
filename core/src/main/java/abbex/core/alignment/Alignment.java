package abbex.core.alignment;

import abbex.core.units.Angle;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerCorner;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The wheels' angles before and after, and what an axle may have.
 *
 * @param expected what the drop is expected to have done to camber, degrees; as entered
 * @param reach what could move an axle's camber
 */
public record Alignment(
        PerCorner<WheelAngles> before,
        PerCorner<WheelAngles> after,
        PerEnd<Limits> limits,
        PerEnd<Optional<Double>> expected,
        PerEnd<AlignFinding.Reach> reach) {
    /** Toe of a wheel that tyres live with, where no limit was entered, degrees (common practice: 3.5 m a kilometre). */
    public static final double TOE = 0.2;

    /** Camber that needs a reason, degrees (common practice). */
    public static final double STEEP = -3;

    /** Left and right may differ by half a degree (common practice, from memory). */
    public static final double UNEVEN = 0.5;

    /** A thrust angle that a straight road shows, degrees (common practice, from memory). */
    public static final double THRUST = 0.1;

    /** What a gauge and a drop's own width leave unsaid, degrees (ours). */
    private static final double SAME = 0.4;

    /** As it stands, as far as that was read: once anything was read after the work, what was read before tells nothing of now. */
    public PerCorner<WheelAngles> now() {
        return measured() ? after : before;
    }

    public boolean measured() {
        return Corner.WALK.stream().anyMatch(corner -> !after.get(corner).nothing());
    }

    /** Where the rear axle steers to, to the right positive; empty until both rear wheels' toe was read. */
    public static Optional<Double> thrust(PerCorner<WheelAngles> angles) {
        return both(angles, End.REAR).map(AxleToe::thrust);
    }

    /** Toe of both wheels of an axle. */
    public static Optional<AxleToe> both(PerCorner<WheelAngles> angles, End end) {
        Optional<Double> left = angles.get(end.left()).toe();
        Optional<Double> right = angles.get(end.right()).toe();
        return left.isPresent() && right.isPresent()
                ? Optional.of(new AxleToe(new Toe(left.get()), new Toe(right.get())))
                : Optional.empty();
    }

    /** What moved, and how much, at a wheel; empty where it was not read twice. */
    public Optional<Double> camberMoved(Corner corner) {
        Optional<Double> was = before.get(corner).camber();
        return after.get(corner).camber().flatMap(is -> was.map(w -> is - w));
    }

    /** What has to be said of what was measured after the work; nothing before that. */
    public List<AlignFinding> findings() {
        List<AlignFinding> found = new ArrayList<>();
        if (!measured()) {
            return found;
        }
        PerCorner<WheelAngles> now = after;
        for (Corner corner : Corner.WALK) {
            if (now.get(corner).toe().isEmpty()) {
                found.add(new AlignFinding.ToeNotRead(corner));
            }
            now.get(corner).toe().ifPresent(toe -> toe(corner, toe, found));
            now.get(corner).camber().ifPresent(camber -> camber(corner, camber, found));
        }
        for (End end : End.values()) {
            uneven(now, end, found);
        }
        thrust(now)
                .filter(by -> Math.abs(by) > THRUST)
                .ifPresent(by -> found.add(new AlignFinding.ThrustOff(
                        End.REAR,
                        Angle.ofDegrees(Math.abs(by)),
                        by > 0 ? AlignFinding.Side.RIGHT : AlignFinding.Side.LEFT)));
        if (found.isEmpty() && limited()) {
            found.add(new AlignFinding.ToeWithinLimits());
        }
        moved(found);
        return found;
    }

    private boolean limited() {
        return limits.front().toe().isPresent() && limits.rear().toe().isPresent();
    }

    private void toe(Corner corner, double toe, List<AlignFinding> found) {
        boolean out = limits.get(corner.end())
                .toe()
                .map(range -> range.beyond(toe) != 0)
                .orElse(Math.abs(toe) > TOE);
        if (out) {
            found.add(new AlignFinding.ToeEats(
                    corner,
                    Angle.ofDegrees(Math.abs(toe)),
                    toe < 0 ? AlignFinding.Way.OUT : AlignFinding.Way.IN,
                    new AlignFinding.Scrub(new Toe(toe).scrubMetresPerKilometre())));
        }
    }

    private void camber(Corner corner, double camber, List<AlignFinding> found) {
        double beyond = limits.get(corner.end())
                .camber()
                .map(range -> range.beyond(camber))
                .orElse(0.0);
        if (beyond != 0) {
            found.add(new AlignFinding.CamberOut(
                    corner, Angle.ofDegrees(camber), Angle.ofDegrees(Math.abs(beyond)), reach.get(corner.end())));
        } else if (camber <= STEEP && limits.get(corner.end()).camber().isEmpty()) {
            found.add(new AlignFinding.CamberSteep(corner, Angle.ofDegrees(camber)));
        }
    }

    private static void uneven(PerCorner<WheelAngles> now, End end, List<AlignFinding> found) {
        Optional<Double> left = now.get(end.left()).camber();
        Optional<Double> right = now.get(end.right()).camber();
        if (left.isPresent() && right.isPresent() && Math.abs(left.get() - right.get()) > UNEVEN) {
            found.add(new AlignFinding.CamberUneven(end, Angle.ofDegrees(Math.abs(left.get() - right.get()))));
        }
    }

    private void moved(List<AlignFinding> found) {
        for (Corner corner : Corner.WALK) {
            Optional<Double> told = expected.get(corner.end());
            camberMoved(corner)
                    .ifPresent(by -> told.filter(e -> Math.abs(by - e) > SAME)
                            .ifPresent(e -> found.add(
                                    new AlignFinding.MovedOtherwise(corner, Angle.ofDegrees(by), Angle.ofDegrees(e)))));
        }
    }
}
