/** Torque: threads and what they bear, levers on a wrench, where a figure comes from, and what is tight, marked and open. */
@NullMarked
package abbex.core.torque;

import org.jspecify.annotations.NullMarked;
