/** Colleagues named in notes. */
@NullMarked
package fabulum.core.mention;

import org.jspecify.annotations.NullMarked;
