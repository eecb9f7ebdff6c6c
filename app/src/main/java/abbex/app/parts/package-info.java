/** Parts and tools of a stay: what it needs before the vehicle goes up, and where each of it is. */
@NullMarked
package abbex.app.parts;

import org.jspecify.annotations.NullMarked;
