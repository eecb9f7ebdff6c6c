/** One judgement of a stay out of what each station found: what stops it, what is to be looked at, what was not looked at. */
@NullMarked
package abbex.core.verdict;

import org.jspecify.annotations.NullMarked;
