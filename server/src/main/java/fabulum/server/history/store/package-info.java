/** Reading what was said from the database. */
@NullMarked
package fabulum.server.history.store;

import org.jspecify.annotations.NullMarked;
