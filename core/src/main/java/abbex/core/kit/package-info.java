/** What a kit will do: the ledger of its parts, the height that comes of it with its interval, and what the drop takes with it. */
@NullMarked
package abbex.core.kit;

import org.jspecify.annotations.NullMarked;
