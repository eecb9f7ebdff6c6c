/** The web application: one package a station of the job, and a few that all of them share. */
@NullMarked
package abbex.app;

import org.jspecify.annotations.NullMarked;
