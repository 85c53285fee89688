/** What we have of what the network received. */
@NullMarked
package fabulum.server.outage.store;

import org.jspecify.annotations.NullMarked;
