/** Tables of what texts cost. */
@NullMarked
package fabulum.server.cost.store;

import org.jspecify.annotations.NullMarked;
