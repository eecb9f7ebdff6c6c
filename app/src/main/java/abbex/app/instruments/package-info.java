/** Measuring instruments that speak for themselves: the line they come in on, whose hand they are in, what they measured. */
@NullMarked
package abbex.app.instruments;

import org.jspecify.annotations.NullMarked;
