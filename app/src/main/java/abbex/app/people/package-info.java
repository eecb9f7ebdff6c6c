/** People, roles, passwords, PINs, keys, misses and the audit. Owns the tables shop, person, audit, sign_in_miss, api_key. */
@NullMarked
package abbex.app.people;

import org.jspecify.annotations.NullMarked;
