/** How a corner's wheel moves against the body: the seam behind which straight travel or a linkage stands. */
@NullMarked
package abbex.core.motion;

import org.jspecify.annotations.NullMarked;
