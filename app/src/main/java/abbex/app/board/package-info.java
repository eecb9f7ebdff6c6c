/** The floor: where vehicles stand, each with its next act. */
@NullMarked
package abbex.app.board;

import org.jspecify.annotations.NullMarked;
