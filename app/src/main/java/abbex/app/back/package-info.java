/** The return: when it is due, what is looked at, plan, set-down and settled side by side. */
@NullMarked
package abbex.app.back;

import org.jspecify.annotations.NullMarked;
