package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.units.Estimate;
import abbex.core.vehicle.Corner;
import java.util.Map;
import java.util.Optional;

/**
 * How far the body came down at a corner; positive is down.
 *
 * @param corner where
 * @param best the drop by the hub-referenced method of least uncertainty, else by a method with the tyre in it
 * @param bestMethod the method of the best drop
 * @param byMethod the drop by each method that was read on both sheets
 * @param gap tyre to lip, from hub to lip and the tyre's free radius
 * @param loadedRadius ground to lip minus hub to lip
 * @param freeRadius hub to lip minus tread to lip
 * @param rimRadius rim to lip minus hub to lip
 */
public record CornerDrop(
        Corner corner,
        Optional<Figure<Estimate>> best,
        Optional<Method> bestMethod,
        Map<Method, Figure<Estimate>> byMethod,
        BeforeAfter gap,
        BeforeAfter loadedRadius,
        BeforeAfter freeRadius,
        BeforeAfter rimRadius) {}
