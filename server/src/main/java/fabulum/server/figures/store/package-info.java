/** Sums of days in the database. */
@NullMarked
package fabulum.server.figures.store;

import org.jspecify.annotations.NullMarked;
