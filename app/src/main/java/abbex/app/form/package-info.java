/**
 * What people type into forms: kept as typed whatever becomes of it, each field that cannot be taken with its reason, and
 * what somebody else saved meanwhile.
 */
@NullMarked
package abbex.app.form;

import org.jspecify.annotations.NullMarked;
