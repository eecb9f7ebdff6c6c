/** Who works here: sign-in, one’s own account, the shop’s people, PINs, keys of programs, who did what. */
@NullMarked
package abbex.app.account;

import org.jspecify.annotations.NullMarked;
