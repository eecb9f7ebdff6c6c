/** The station Fit: the work card, a step at a time or whole, and the torque log. */
@NullMarked
package abbex.app.workcard;

import org.jspecify.annotations.NullMarked;
