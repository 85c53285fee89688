/** Tables of people. */
@NullMarked
package fabulum.server.people.store;

import org.jspecify.annotations.NullMarked;
