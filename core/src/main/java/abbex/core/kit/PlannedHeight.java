package abbex.core.kit;

import abbex.core.heights.Height;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.PointMethod;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.List;
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

    /** Every height of a sheet that the planned ends move, in the sheet's order. */
    static List<PlannedHeight> of(HeightSheet sheet, PerEnd<Optional<EndPlan>> ends) {
        List<PlannedHeight> heights = new ArrayList<>();
        for (Height height : sheet.everything()) {
            end(height.spot())
                    .ifPresent(end -> ends.get(end).ifPresent(plan -> {
                        double inboard =
                                height.spot().atCorner() && height.spot().method() == Method.FG ? INBOARD : 0;
                        heights.add(of(height, plan, ends.get(end.other()), inboard));
                    }));
        }
        return List.copyOf(heights);
    }

    private static PlannedHeight of(Height height, EndPlan plan, Optional<EndPlan> other, double inboard) {
        double now = height.value().mm();
        double half = height.estimate().expanded().mm();
        Interval setDown = plan.setDown().from(now, half);
        Interval settled = plan.settled().from(now, half);
        if (inboard > 0) {
            double apart =
                    plan.setDown().value() - other.map(o -> o.setDown().value()).orElse(0.0);
            setDown = setDown.moved(inboard * apart);
            settled = settled.moved(inboard * apart);
        }
        return new PlannedHeight(height.spot(), height, setDown, settled);
    }

    /** The end whose drop a height falls by; empty for what falls by neither alone. */
    private static Optional<End> end(MeasuringPoint spot) {
        if (spot.atCorner()) {
            return Optional.of(spot.corner().end());
        }
        return spot.way() instanceof PointMethod way
                        && way.sense() == PointMethod.Sense.FALLS
                        && spot.place() instanceof abbex.core.vehicle.WheelPlace wheel
                ? Optional.of(wheel.end())
                : Optional.empty();
    }
}
