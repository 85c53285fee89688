/** Read marks in the database. */
@NullMarked
package fabulum.server.presence.store;

import org.jspecify.annotations.NullMarked;
