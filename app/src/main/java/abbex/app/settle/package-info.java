/** Settling: how far a vehicle has sunk since it was set down, and what was looked at when it was back. Owns the table watch_answer. */
@NullMarked
package abbex.app.settle;

import org.jspecify.annotations.NullMarked;
