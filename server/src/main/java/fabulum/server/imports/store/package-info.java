/** Imports in the database. */
@NullMarked
package fabulum.server.imports.store;

import org.jspecify.annotations.NullMarked;
