/**
 * What goes into a sheet, as codes and values: what is stored never holds a word that a message may change. Words are
 * formed when a fact is shown.
 */
@NullMarked
package abbex.app.facts;

import org.jspecify.annotations.NullMarked;
