/** Who probably writes, with the evidence for and against. */
@NullMarked
package fabulum.core.identify;

import org.jspecify.annotations.NullMarked;
