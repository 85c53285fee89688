/** Tables of ownership. */
@NullMarked
package fabulum.server.ownership.store;

import org.jspecify.annotations.NullMarked;
