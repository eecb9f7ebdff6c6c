/** Taking a person out of what was written about a job. */
@NullMarked
package abbex.core.redact;

import org.jspecify.annotations.NullMarked;
