/** How new springs and seats go on sinking, and what a later sheet says of it. */
@NullMarked
package abbex.core.settling;

import org.jspecify.annotations.NullMarked;
