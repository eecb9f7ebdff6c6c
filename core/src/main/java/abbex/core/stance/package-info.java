/** How a body stands on its springs and tyres. */
@NullMarked
package abbex.core.stance;

import org.jspecify.annotations.NullMarked;
