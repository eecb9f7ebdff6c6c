/** How the load lies on the four wheels. */
@NullMarked
package abbex.core.balance;

import org.jspecify.annotations.NullMarked;
