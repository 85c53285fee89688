/** What number checks said, in the database. */
@NullMarked
package fabulum.server.numbers.store;

import org.jspecify.annotations.NullMarked;
