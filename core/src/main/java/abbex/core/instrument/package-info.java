/** What measuring instruments say: frames on a line, each framed, numbered, checked and with its unit. */
@NullMarked
package abbex.core.instrument;

import org.jspecify.annotations.NullMarked;
