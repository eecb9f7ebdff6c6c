package abbex.core.heights;

import abbex.core.vehicle.End;

/**
 * How far an end of a motorcycle sinks on its springs, before and after.
 *
 * @param end which
 * @param own under its own weight: axle to body with the wheel off the ground, less the same standing
 * @param ridden with the rider on: axle to body with the wheel off the ground, less the same ridden
 */
public record Sag(End end, BeforeAfter own, BeforeAfter ridden) {
    boolean isEmpty() {
        return own.isEmpty() && ridden.isEmpty();
    }
}
