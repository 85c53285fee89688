/** Whether a text may go, with all reasons at once. */
@NullMarked
package fabulum.core.sending;

import org.jspecify.annotations.NullMarked;
