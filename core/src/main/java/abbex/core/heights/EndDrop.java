package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.units.Estimate;
import abbex.core.vehicle.End;
import java.util.Map;
import java.util.Optional;

/**
 * How far an end came down, and how its sides stand to each other.
 *
 * @param end front or rear
 * @param drop the mean of left and right, else what one side says of it, positive down
 * @param uneven the sides came down unlike each other, so that their mean says nothing of either
 * @param leftRight per way to measure, left minus right, positive when left stands higher
 */
public record EndDrop(End end, Optional<Figure<Estimate>> drop, boolean uneven, Map<Way, BeforeAfter> leftRight) {
    /** How the sides stand by one way to measure; empty where it was not read on both. */
    public Optional<BeforeAfter> sides(Way way) {
        return Optional.ofNullable(leftRight.get(way));
    }
}
