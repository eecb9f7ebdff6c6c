package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Place;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.Map;
import java.util.Optional;

/** A truck's rear axle under its frame: the travel that is left, and whether it goes with the wheels' own heights. */
final class TruckCheck {
    /** The frame rail stands inboard of the wheel and another part of the axle is read: they may differ by this (ours). */
    private static final Length APART = Length.ofMm(4);

    private TruckCheck() {}

    static void run(Comparison c, PerEnd<EndDrop> ends, Map<MeasuringPoint, Figure<Estimate>> points) {
        travel(c);
        Optional<Estimate> left = drop(points, Corner.LR);
        Optional<Estimate> right = drop(points, Corner.RR);
        Optional<Estimate> rear = ends.get(End.REAR).drop().map(Figure::value);
        if (left.isPresent() && right.isPresent() && rear.isPresent()) {
            Estimate axle = Estimate.mean(left.get(), right.get());
            if (axle.minus(rear.get()).differsFromZero(APART)) {
                c.say(new HeightFinding.AxleAgainstWheel(axle, rear.get()));
            }
        }
    }

    private static void travel(Comparison c) {
        Height shortest = null;
        for (Place place : PointMethod.AXLE.places()) {
            Height here = c.after().points().get(MeasuringPoint.of(place, PointMethod.AXLE));
            if (here != null && (shortest == null || here.value().compareTo(shortest.value()) < 0)) {
                shortest = here;
            }
        }
        if (shortest != null && shortest.value().compareTo(c.limits().of(Limit.AXLE_TRAVEL)) < 0) {
            c.say(new HeightFinding.AxleTravelShort(
                    shortest.spot(),
                    shortest.spot().place(),
                    shortest.estimate(),
                    c.limits().of(Limit.AXLE_TRAVEL)));
        }
    }

    private static Optional<Estimate> drop(Map<MeasuringPoint, Figure<Estimate>> points, Corner corner) {
        return Optional.ofNullable(points.get(MeasuringPoint.of((Place) corner, PointMethod.AXLE)))
                .map(Figure::value);
    }
}
