/** Work cards: steps as data, the order that a vehicle and its kit need, and what of it is done, held and accounted for. */
@NullMarked
package abbex.core.workcard;

import org.jspecify.annotations.NullMarked;
