/** Tables of sites and lines. */
@NullMarked
package fabulum.server.lines.store;

import org.jspecify.annotations.NullMarked;
