/** Tables of notices and ladders. */
@NullMarked
package fabulum.server.notices.store;

import org.jspecify.annotations.NullMarked;
