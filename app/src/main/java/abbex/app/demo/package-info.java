/** The demo data: an invented shop with its stories. */
@NullMarked
package abbex.app.demo;

import org.jspecify.annotations.NullMarked;
