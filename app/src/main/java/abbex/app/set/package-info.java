/** Setting: what to turn so that the heights come out. Owns the tables setting_value and setting_move. */
@NullMarked
package abbex.app.set;

import org.jspecify.annotations.NullMarked;
