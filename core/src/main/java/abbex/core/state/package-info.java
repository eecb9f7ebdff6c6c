/** What stands on a vehicle and since when: one value that every station reads, changed by acts only. */
@NullMarked
package abbex.core.state;

import org.jspecify.annotations.NullMarked;
