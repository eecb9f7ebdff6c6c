/** Alignment: the wheels' angles before and after, their limits, what reaches them, what must stay. */
@NullMarked
package abbex.app.align;

import org.jspecify.annotations.NullMarked;
