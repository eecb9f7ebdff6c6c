/** What a shop sets for itself: its limits, its floors, and how well it reads. */
@NullMarked
package abbex.app.rules;

import org.jspecify.annotations.NullMarked;
