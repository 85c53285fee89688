/** Opening hours, closed days, and working time between instants. */
@NullMarked
package fabulum.core.hours;

import org.jspecify.annotations.NullMarked;
