/** Kits that a stay may get, what is told of their parts and of the vehicle's own, and what will come of each. */
@NullMarked
package abbex.app.kit;

import org.jspecify.annotations.NullMarked;
