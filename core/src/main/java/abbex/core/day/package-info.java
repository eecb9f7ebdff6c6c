/**
 * A shop's day: vehicles over bays, lifts and people, solved under a limit of time and told with its optimum or its gap.
 *
 * <p>Times are minutes of work since the shop opens, on a grid of five; {@link WorkHours} carries them to the clock and back.
 */
@NullMarked
package abbex.core.day;

import org.jspecify.annotations.NullMarked;
