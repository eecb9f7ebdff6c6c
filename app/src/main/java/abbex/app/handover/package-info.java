/** The sheet that leaves the shop: made, frozen, versioned, printed. Owns the table handed_over. */
@NullMarked
package abbex.app.handover;

import org.jspecify.annotations.NullMarked;
