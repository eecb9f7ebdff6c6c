/** The state of a vehicle in a stay, out of what every station did to it: each tells its acts, and all read the one state. */
@NullMarked
package abbex.app.state;

import org.jspecify.annotations.NullMarked;
