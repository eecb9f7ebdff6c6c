/** Measuring: the walk round the vehicle, its sheets and readings. Owns the tables sheet, reading, state_entry. */
@NullMarked
package abbex.app.measure;

import org.jspecify.annotations.NullMarked;
