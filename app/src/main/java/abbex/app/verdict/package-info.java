/** The one judgement of a stay, out of what each station found; it drives floor, tag, strip, sheet and handing over. */
@NullMarked
package abbex.app.verdict;

import org.jspecify.annotations.NullMarked;
