/** The plan's page: parts in, heights out, what the drop takes with it, kits side by side. */
@NullMarked
package abbex.app.plan;

import org.jspecify.annotations.NullMarked;
