/** Setting: what to turn so that the heights come out. Owns the table setting_move. */
@NullMarked
package abbex.app.set;

import org.jspecify.annotations.NullMarked;
