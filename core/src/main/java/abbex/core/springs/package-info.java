/** Springs, bump stops and dampers, and where a corner comes to rest on them. Newtons, millimetres, N/mm. */
@NullMarked
package abbex.core.springs;

import org.jspecify.annotations.NullMarked;
