/** What a drop asks of a vehicle's electronics. */
@NullMarked
package abbex.core.electronics;

import org.jspecify.annotations.NullMarked;
