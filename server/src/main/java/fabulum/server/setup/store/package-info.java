/** The table of changes to the set-up. */
@NullMarked
package fabulum.server.setup.store;

import org.jspecify.annotations.NullMarked;
