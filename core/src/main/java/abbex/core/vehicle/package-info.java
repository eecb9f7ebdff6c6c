/** What is measured: the kind of vehicle, its corners and ends, wheelbase, track and tyres. */
@NullMarked
package abbex.core.vehicle;

import org.jspecify.annotations.NullMarked;
