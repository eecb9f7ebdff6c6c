/** A figure with its reasons, and findings as data: nothing here forms words for people. */
@NullMarked
package abbex.core.figure;

import org.jspecify.annotations.NullMarked;
