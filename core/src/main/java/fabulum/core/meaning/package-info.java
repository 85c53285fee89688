/** What words mean, as points of a space, and how alike such points are. */
@NullMarked
package fabulum.core.meaning;

import org.jspecify.annotations.NullMarked;
