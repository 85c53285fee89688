/** Tables of permissions and their log. */
@NullMarked
package fabulum.server.access.store;

import org.jspecify.annotations.NullMarked;
