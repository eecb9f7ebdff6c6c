package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Place;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.Seat;
import java.util.Map;
import java.util.Optional;

/** The measured drop of each end against what the box promises. */
final class PromiseCheck {
    private PromiseCheck() {}

    static void run(Comparison c, PerEnd<EndDrop> ends, Map<MeasuringPoint, Figure<Estimate>> points) {
        Optional.ofNullable(points.get(MeasuringPoint.of(Seat.SEAT, PointMethod.SEAT)))
                .ifPresent(seat ->
                        c.advertised().at(Seat.SEAT).ifPresent(range -> judge(c, Seat.SEAT, seat.value(), range)));
        for (EndDrop end : ends.values()) {
            if (end.drop().isPresent()) {
                c.advertised()
                        .at(end.end())
                        .ifPresent(range -> judge(c, end.end(), end.drop().get().value(), range));
            }
        }
    }

    private static void judge(Comparison c, Place place, Estimate drop, Advertised.Range range) {
        Length missing = range.least().minus(drop.value());
        Length over = drop.value().minus(range.most());
        Length expanded = drop.expanded();
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
        } else {
            c.say(new HeightFinding.AsPromised(place, drop, range));
        }
    }
}
