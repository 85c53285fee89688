/** What customers allow us to text, and how they say so. */
@NullMarked
package fabulum.core.agreement;

import org.jspecify.annotations.NullMarked;
