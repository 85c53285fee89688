/** When an answer is due, and how much working time is left or how late it is. */
@NullMarked
package fabulum.core.promise;

import org.jspecify.annotations.NullMarked;
