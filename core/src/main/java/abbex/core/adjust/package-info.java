/** Least squares: all observations as one truth, how sure each answer is, and which observation does not go with the rest. */
@NullMarked
package abbex.core.adjust;

import org.jspecify.annotations.NullMarked;
