/** What the two databases write differently. */
@NullMarked
package fabulum.server.platform.store;

import org.jspecify.annotations.NullMarked;
