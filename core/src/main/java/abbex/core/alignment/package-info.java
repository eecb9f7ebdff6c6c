/** Toe and thrust of the wheels, and what toe costs. */
@NullMarked
package abbex.core.alignment;

import org.jspecify.annotations.NullMarked;
