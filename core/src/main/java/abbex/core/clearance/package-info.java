/** Whether wheel and tyre clear the body: the tyre's body, probed obstacles, the corner's motion, the sweep, the verdict. */
@NullMarked
package abbex.core.clearance;

import org.jspecify.annotations.NullMarked;
