package abbex.core.kit;

import abbex.core.heights.Height;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.PointMethod;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.WheelPlace;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A height as it is and as it will be.
 *
 * @param now as it was measured
 * @param setDown mm, with the tape's uncertainty in it
 * @param settled the same after settling
 */
public record PlannedHeight(MeasuringPoint spot, Height now, Interval setDown, Interval settled) {
    /** Frame points lie so far towards the other end, as a part of the wheelbase (common practice). */
    private static final double INBOARD = 0.15;

    /** What falls by neither end alone lies somewhere along the wheelbase (common practice). */
    private static final Map<PointMethod, Double> ALONG = Map.of(
            PointMethod.CAB, 0.2,
            PointMethod.BEDF, 0.62,
            PointMethod.SEAT, 0.65,
            PointMethod.HANGF, 0.8,
            PointMethod.HANGR, 1.2);

    /** A running board's ends. */
    private static final PerEnd<Double> BOARD = new PerEnd<>(0.2, 0.75);

    /** How far from there it may be, one standard deviation, as a part of the wheelbase. */
    private static final double ASIDE = 0.06;

    private static final Interval NOTHING = new Interval(0, 0, 0);

    /**
     * Where a height is along the wheelbase.
     *
     * @param place from the front axle, 0, to the rear one, 1
     * @param standard how well that is known
     */
    private record Along(double place, double standard) {
        Interval of(Interval front, Interval rear) {
            double apart = rear.value() - front.value();
            double aside = Carried.REACH * standard * apart;
            double value = front.value() + place * apart;
            double least = Math.hypot((1 - place) * (front.value() - front.low()), place * (rear.value() - rear.low()));
            double most =
                    Math.hypot((1 - place) * (front.high() - front.value()), place * (rear.high() - rear.value()));
            return new Interval(value, value - Math.hypot(least, aside), value + Math.hypot(most, aside));
        }
    }

    /** It falls by what one end does alone. */
    public boolean ofOneEnd() {
        return spot.atCorner()
                || spot.place() instanceof WheelPlace && along(spot).isEmpty();
    }

    /** Every height of a sheet that the planned ends move, in the sheet's order. */
    static List<PlannedHeight> of(HeightSheet sheet, PerEnd<Optional<EndPlan>> ends) {
        List<PlannedHeight> heights = new ArrayList<>();
        for (Height height : sheet.everything()) {
            along(height.spot(), ends).ifPresent(along -> heights.add(of(height, ends, along)));
        }
        return List.copyOf(heights);
    }

    private static PlannedHeight of(Height height, PerEnd<Optional<EndPlan>> ends, Along along) {
        double now = height.value().mm();
        double half = height.estimate().expanded().mm();
        PerEnd<Interval> setDown = ends.map(plan -> plan.map(EndPlan::setDown).orElse(NOTHING));
        PerEnd<Interval> settled = ends.map(plan -> plan.map(EndPlan::settled).orElse(NOTHING));
        return new PlannedHeight(
                height.spot(),
                height,
                along.of(setDown.front(), setDown.rear()).from(now, half),
                along.of(settled.front(), settled.rear()).from(now, half));
    }

    /** Empty for what the planned ends do not move. */
    private static Optional<Along> along(MeasuringPoint spot, PerEnd<Optional<EndPlan>> ends) {
        if (spot.atCorner()) {
            End end = spot.corner().end();
            double inboard = spot.method() == Method.FG ? INBOARD : 0;
            return planned(ends, end, new Along(end == End.FRONT ? inboard : 1 - inboard, 0));
        }
        if (!(spot.way() instanceof PointMethod way) || way.sense() != PointMethod.Sense.FALLS) {
            return Optional.empty();
        }
        Optional<Double> place = along(spot);
        if (place.isPresent()) {
            return ends.stream().allMatch(Optional::isEmpty)
                    ? Optional.empty()
                    : Optional.of(new Along(place.get(), ASIDE));
        }
        return spot.place() instanceof WheelPlace wheel
                ? planned(ends, wheel.end(), new Along(wheel.end() == End.FRONT ? 0 : 1, 0))
                : Optional.empty();
    }

    /** Where it lies between the ends; empty for what falls with one of them. */
    private static Optional<Double> along(MeasuringPoint spot) {
        return spot.way().equals(PointMethod.BOARD) && spot.place() instanceof WheelPlace board
                ? Optional.of(BOARD.get(board.end()))
                : spot.way() instanceof PointMethod way ? Optional.ofNullable(ALONG.get(way)) : Optional.empty();
    }

    private static Optional<Along> planned(PerEnd<Optional<EndPlan>> ends, End end, Along along) {
        return ends.get(end).map(plan -> along);
    }
}
