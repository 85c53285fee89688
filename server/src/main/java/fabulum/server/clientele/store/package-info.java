/** What is read of all customers at once. */
@NullMarked
package fabulum.server.clientele.store;

import org.jspecify.annotations.NullMarked;
