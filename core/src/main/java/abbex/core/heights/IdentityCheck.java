package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerCorner;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/**
 * What must not change unless tyre, wheel, floor or tape did: loaded radius (GF − HF), free radius (HF − TG), rim radius
 * (RIM − HF); and the frame drop against the wheels'.
 */
final class IdentityCheck {
    /** How far from the corner towards the other axle a jacking point may lie, as a part of the wheelbase (common practice). */
    private static final double FRAME_POINT = 0.35;

    /** A finding about two radii and what they differ by. */
    private interface Says<P> {
        HeightFinding of(P place, Length one, Length other, Estimate difference);
    }

    private IdentityCheck() {}

    /** Two radii that ought to be one, and what may be said of them. */
    private record Compared(Estimate difference, Length allowance, HeightFinding finding) {
        /** Rims of an axle are honestly never quite alike. */
        Compared wider(Length standard) {
            Uncertainty wide = difference.uncertainty().and(Uncertainty.known(standard.mm()));
            return new Compared(new Estimate(difference.value(), wide), allowance, finding);
        }
    }

    static void run(Comparison c, PerCorner<CornerDrop> corners, PerEnd<EndDrop> ends) {
        List<Compared> all = new ArrayList<>();
        Length tyre = c.limits().of(Limit.TYRE);
        if (c.sameWheels()) {
            for (CornerDrop drop : corners.values()) {
                constant(drop, drop.loadedRadius(), HeightFinding.TyreOrMisread::new, tyre, all);
                constant(drop, drop.freeRadius(), HeightFinding.FreeRadiusMoved::new, Length.ZERO, all);
                constant(drop, drop.rimRadius(), HeightFinding.RimRadiusMoved::new, Length.ZERO, all);
            }
        }
        for (End end : End.values()) {
            CornerDrop left = corners.get(end.left());
            CornerDrop right = corners.get(end.right());
            sides(end, left, right, CornerDrop::loadedRadius, HeightFinding.TyreSides::new, tyre, all);
            List<Compared> rims = new ArrayList<>();
            sides(end, left, right, CornerDrop::rimRadius, HeightFinding.RimRadiusSides::new, Length.ZERO, rims);
            rims.forEach(rim -> all.add(rim.wider(c.limits().of(Limit.RIM))));
        }
        // So many are compared that one in twenty each would accuse every other sheet.
        all.stream()
                .filter(one -> one.difference().differsFromZero(one.allowance(), all.size(), Comparison.READ_SURE))
                .forEach(one -> c.say(one.finding()));
        corners.values()
                .forEach(drop -> frame(c, drop, corners.get(drop.corner().alongside())));
    }

    private static void constant(
            CornerDrop drop, BeforeAfter radius, Says<Corner> says, Length allowance, List<Compared> all) {
        radius.change()
                .map(Figure::value)
                .ifPresent(d -> all.add(new Compared(
                        d, allowance, says.of(drop.corner(), value(radius.before()), value(radius.after()), d))));
    }

    private static Length value(Optional<Figure<Estimate>> figure) {
        return figure.orElseThrow().value().value();
    }

    /** Left and right of an axle on the newest sheet that has both. */
    private static void sides(
            End end,
            CornerDrop left,
            CornerDrop right,
            Function<CornerDrop, BeforeAfter> radius,
            Says<End> says,
            Length allowance,
            List<Compared> all) {
        BeforeAfter l = radius.apply(left);
        BeforeAfter r = radius.apply(right);
        boolean after = l.after().isPresent() && r.after().isPresent();
        Optional<Figure<Estimate>> a = after ? l.after() : l.before();
        Optional<Figure<Estimate>> b = after ? r.after() : r.before();
        if (a.isPresent() && b.isPresent()) {
            Estimate difference = a.get().value().minus(b.get().value());
            all.add(new Compared(difference, allowance, says.of(end, value(a), value(b), difference)));
        }
    }

    /** The frame's drop lies between the drop of its corner and that a third of the way to the other end. */
    private static void frame(Comparison c, CornerDrop here, CornerDrop alongside) {
        Figure<Estimate> frame = here.byMethod().get(Method.FG);
        if (frame == null
                || here.best().isEmpty()
                || !here.bestMethod().orElseThrow().hubReferenced()) {
            return;
        }
        // What other tyres lifted it by is in the frame's height and in no hub's.
        boolean other = !c.sameWheels();
        if (other
                && (!here.byMethod().containsKey(Method.GF)
                        || alongside.byMethod().get(Method.GF) == null)) {
            return;
        }
        Estimate wheel = drop(here, other);
        double towards = alongside.best().isPresent()
                ? (drop(alongside, other).value().mm() - wheel.value().mm()) * FRAME_POINT
                : 0;
        double low = wheel.value().mm() + Math.min(0, towards);
        double high = wheel.value().mm() + Math.max(0, towards);
        double is = frame.value().value().mm();
        double outside = Math.max(low - is, is - high);
        Estimate beyond = new Estimate(
                Length.ofRoundedMm(Math.max(0, outside)),
                wheel.uncertainty().and(frame.value().uncertainty()));
        if (beyond.differsFromZero(c.limits().of(Limit.TYRE), Corner.WALK.size(), Comparison.READ_SURE)) {
            c.say(new HeightFinding.WheelAgainstFrame(here.corner(), wheel, frame.value()));
        }
    }

    private static Estimate drop(CornerDrop corner, boolean fromGround) {
        return (fromGround
                        ? Objects.requireNonNull(corner.byMethod().get(Method.GF))
                        : corner.best().orElseThrow())
                .value();
    }
}
