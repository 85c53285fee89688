/** Tables of undo. */
@NullMarked
package fabulum.server.undo.store;

import org.jspecify.annotations.NullMarked;
