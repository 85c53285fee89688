/** Other programs in the database. */
@NullMarked
package fabulum.server.programs.store;

import org.jspecify.annotations.NullMarked;
