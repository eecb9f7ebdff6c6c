/** The database as the application sees it: ids, times, what is said while it is away. */
@NullMarked
package abbex.app.store;

import org.jspecify.annotations.NullMarked;
