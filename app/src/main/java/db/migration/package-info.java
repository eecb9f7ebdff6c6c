/** Migrations that need more than SQL. */
@NullMarked
package db.migration;

import org.jspecify.annotations.NullMarked;
