/** Plain text that people type. */
@NullMarked
package fabulum.core.text;

import org.jspecify.annotations.NullMarked;
