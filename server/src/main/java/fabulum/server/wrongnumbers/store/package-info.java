/** Codes in the database. */
@NullMarked
package fabulum.server.wrongnumbers.store;

import org.jspecify.annotations.NullMarked;
