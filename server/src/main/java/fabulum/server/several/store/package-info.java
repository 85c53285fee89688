/** Tables of batches. */
@NullMarked
package fabulum.server.several.store;

import org.jspecify.annotations.NullMarked;
