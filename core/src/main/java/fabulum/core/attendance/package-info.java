/** Who is in, who is away, and who covers for them. */
@NullMarked
package fabulum.core.attendance;

import org.jspecify.annotations.NullMarked;
