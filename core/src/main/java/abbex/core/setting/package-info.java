/** What to turn, and what it does: the exact best over what adjusters can really do. */
@NullMarked
package abbex.core.setting;

import org.jspecify.annotations.NullMarked;
