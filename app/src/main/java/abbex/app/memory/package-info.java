/** Memory: what this shop has seen of each kit and kind of vehicle. Owns the tables memory_seen, memory_bin and memory_struck. */
@NullMarked
package abbex.app.memory;

import org.jspecify.annotations.NullMarked;
