/** People, roles, passwords, PINs, keys, misses and the audit. Owns the tables shop, person, audit, attempt, api_key. */
@NullMarked
package abbex.app.people;

import org.jspecify.annotations.NullMarked;
