/** Tables of notices and escalations. */
@NullMarked
package fabulum.server.notices.store;

import org.jspecify.annotations.NullMarked;
