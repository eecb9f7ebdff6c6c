package abbex.core.heights;

import abbex.core.figure.Reason;
import abbex.core.units.Estimate;
import abbex.core.vehicle.End;

/**
 * What one part takes an end down by.
 *
 * @param part what the shop calls it
 * @param place the end
 * @param drop at the wheel, positive down, with what is not known of it
 * @param reason how the figure came about
 */
public record Contribution(String part, End place, Estimate drop, Reason reason) {}
