/** Reading the inbox from the database. */
@NullMarked
package fabulum.server.inbox.store;

import org.jspecify.annotations.NullMarked;
