/** Corner heights before and after, and the drop sheet that compares them. */
@NullMarked
package abbex.core.heights;

import org.jspecify.annotations.NullMarked;
