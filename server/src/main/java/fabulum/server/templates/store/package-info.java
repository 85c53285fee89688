/** Templates in the database. */
@NullMarked
package fabulum.server.templates.store;

import org.jspecify.annotations.NullMarked;
