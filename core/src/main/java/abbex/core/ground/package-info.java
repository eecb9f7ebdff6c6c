/** The vehicle over the ground: its underline, what it climbs, its lamps. */
@NullMarked
package abbex.core.ground;

import org.jspecify.annotations.NullMarked;
