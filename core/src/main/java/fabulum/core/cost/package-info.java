/** What texts cost, and how many may be sent. */
@NullMarked
package fabulum.core.cost;

import org.jspecify.annotations.NullMarked;
