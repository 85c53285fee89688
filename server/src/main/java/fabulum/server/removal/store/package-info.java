/** Removing for good in the database. */
@NullMarked
package fabulum.server.removal.store;

import org.jspecify.annotations.NullMarked;
