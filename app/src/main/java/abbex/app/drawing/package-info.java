/** View models of drawings; their geometry is worked out here, the job’s figures come from the core. */
@NullMarked
package abbex.app.drawing;

import org.jspecify.annotations.NullMarked;
