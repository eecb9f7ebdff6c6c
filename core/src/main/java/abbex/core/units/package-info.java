/** Exact lengths, angles and pressures, tape text in and out, and estimates with their uncertainty. */
@NullMarked
package abbex.core.units;

import org.jspecify.annotations.NullMarked;
