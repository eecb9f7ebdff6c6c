/** Wheels and tyres: sizes, load and speed, wheel dimensions, and what another wheel does to edges, radius and gauges. */
@NullMarked
package abbex.core.wheels;

import org.jspecify.annotations.NullMarked;
