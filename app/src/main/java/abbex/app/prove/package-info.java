/** Whether wheel and tyre clear the body: gaps probed once, swept for what is planned. */
@NullMarked
package abbex.app.prove;

import org.jspecify.annotations.NullMarked;
