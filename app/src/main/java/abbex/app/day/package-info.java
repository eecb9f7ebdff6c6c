/** The day of a shop: which vehicle when, where, with whom; its calendars. */
@NullMarked
package abbex.app.day;

import org.jspecify.annotations.NullMarked;
