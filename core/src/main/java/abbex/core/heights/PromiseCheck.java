package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Place;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.PerCorner;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.Seat;
import abbex.core.vehicle.WheelPlace;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The measured drop of each end against what the box promises. */
final class PromiseCheck {
    private PromiseCheck() {}

    static void run(
            Comparison c,
            PerCorner<CornerDrop> corners,
            PerEnd<EndDrop> ends,
            Map<MeasuringPoint, Figure<Estimate>> points) {
        Optional.ofNullable(points.get(MeasuringPoint.of(Seat.SEAT, PointMethod.SEAT)))
                .ifPresent(seat -> c.advertised()
                        .at(Seat.SEAT)
                        .ifPresent(range -> judge(c, Seat.SEAT, seat.value(), NOTHING, range)));
        for (EndDrop end : ends.values()) {
            c.advertised().at(end.end()).ifPresent(range -> judge(c, corners, end, range));
        }
    }

    /** The mean of sides that came down unlike each other is the drop of neither. */
    private static void judge(Comparison c, PerCorner<CornerDrop> corners, EndDrop end, Advertised.Range range) {
        if (end.uneven()) {
            for (Corner corner : List.of(end.end().left(), end.end().right())) {
                CornerDrop at = corners.get(corner);
                judge(c, corner, at.best().orElseThrow().value(), turned(c, at), range);
            }
        } else {
            Estimate turned = Estimate.mean(
                    turned(c, corners.get(end.end().left())),
                    turned(c, corners.get(end.end().right())));
            end.drop().ifPresent(drop -> judge(c, end.end(), drop.value(), turned, range));
        }
    }

    private static final Estimate NOTHING = new Estimate(Length.ZERO, Uncertainty.NONE);

    private static Estimate turned(Comparison c, CornerDrop corner) {
        return c.known().turned()
                ? c.known().turned(corner.corner(), corner.bestMethod().orElse(Method.HF))
                : NOTHING;
    }

    /** @param turned what the end was raised by on purpose since: no kit is judged by it, nor by a load that was told */
    private static void judge(Comparison c, Place place, Estimate drop, Estimate turned, Advertised.Range range) {
        Estimate own = drop.plus(turned).minus(c.known().load());
        if (place instanceof WheelPlace wheel) {
            own = own.minus(c.known().bags(wheel.end()));
        }
        Length missing = range.least().minus(own.value());
        Length over = own.value().minus(range.most());
        Length expanded = own.expanded();
        if (missing.compareTo(expanded) > 0) {
            boolean usual = missing.compareTo(c.limits().of(Limit.PROMISE)) <= 0;
            c.say(
                    usual
                            ? new HeightFinding.LessButUsual(place, drop, range, missing)
                            : new HeightFinding.LessThanPromised(place, drop, range, missing));
        } else if (over.compareTo(expanded) > 0) {
            boolean usual = over.compareTo(c.limits().of(Limit.PROMISE)) <= 0;
            c.say(
                    usual
                            ? new HeightFinding.MoreButUsual(place, drop, range, over)
                            : new HeightFinding.MoreThanPromised(place, drop, range, over));
        } else if (!c.sameState()) {
            c.say(new HeightFinding.PromiseUnclear(place, drop, range, PromiseDoubt.STATE));
        } else if (c.halfSaid()) {
            c.say(new HeightFinding.PromiseUnclear(place, drop, range, PromiseDoubt.HALF_SAID));
        } else if (!within(c, own, range)) {
            c.say(new HeightFinding.PromiseUnclear(place, drop, range, doubt(c, place, own)));
        } else {
            c.say(new HeightFinding.AsPromised(place, drop, range));
        }
    }

    /** The whole interval lies where a drop is usual, with what a load that nobody told may take or give. */
    private static boolean within(Comparison c, Estimate drop, Advertised.Range range) {
        Length usual = c.limits().of(Limit.PROMISE);
        Length expanded = new Estimate(drop.value(), drop.uncertainty().and(c.unsaidLoad())).expanded();
        return drop.value().minus(expanded).compareTo(range.least().minus(usual)) >= 0
                && drop.value().plus(expanded).compareTo(range.most().plus(usual)) <= 0;
    }

    private static PromiseDoubt doubt(Comparison c, Place place, Estimate drop) {
        double substitute = c.standIns().standard();
        if (substitute > drop.uncertainty().standard() / 2) {
            return PromiseDoubt.STAND_IN;
        }
        return c.findings().stream()
                        .anyMatch(f -> f instanceof HeightFinding.OneSideOnly
                                && f.place().equals(place))
                ? PromiseDoubt.ONE_SIDE
                : PromiseDoubt.SPREAD;
    }
}
