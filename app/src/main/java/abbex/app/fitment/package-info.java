/** Which wheels stand on the vehicle, which are planned, and what they do. */
@NullMarked
package abbex.app.fitment;

import org.jspecify.annotations.NullMarked;
