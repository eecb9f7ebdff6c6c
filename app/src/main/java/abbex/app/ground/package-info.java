/** The vehicle over the ground: its stance, what lies low, what it climbs, its lamps. */
@NullMarked
package abbex.app.ground;

import org.jspecify.annotations.NullMarked;
