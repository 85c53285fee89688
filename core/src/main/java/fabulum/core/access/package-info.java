/** Who may come in: passwords and the slowing of repeated failures. */
@NullMarked
package fabulum.core.access;

import org.jspecify.annotations.NullMarked;
