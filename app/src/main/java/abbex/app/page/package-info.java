/** What every page needs: words by type, figures as they are written, who reads. */
@NullMarked
package abbex.app.page;

import org.jspecify.annotations.NullMarked;
