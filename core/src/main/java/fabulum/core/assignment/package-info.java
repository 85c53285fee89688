/** Who takes it, and why. */
@NullMarked
package fabulum.core.assignment;

import org.jspecify.annotations.NullMarked;
