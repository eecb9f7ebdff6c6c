/** What a job needs before the vehicle goes up: its parts, where each comes from, and what a calliper says of them. */
@NullMarked
package abbex.core.parts;

import org.jspecify.annotations.NullMarked;
