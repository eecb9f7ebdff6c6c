/** The published interface: computation for other programs, described in {@code openapi/v1.json}. */
@NullMarked
package abbex.app.api;

import org.jspecify.annotations.NullMarked;
